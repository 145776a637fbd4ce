import { cx } from 'class-variance-authority';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { type Api, api, ok } from '../../shared/api';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import type { ClassData } from '../classQueries';
import type { Ask, FieldName } from './useLibrary';
import { sure } from '../../shared/sure';
import { Button } from '../../ui/Button';
import { Checkbox, Radios } from '../../ui/Checkbox';
import { FieldSet } from '../../ui/Field';
import { Select } from '../../ui/Select';
import { TextField } from '../../ui/TextField';

type Facets = Api<'FacetView'>[];
type Props = { ask: Ask; facets: Facets; data: ClassData };

const systems = (data: ClassData) => [
  { name: t('Grade'), of: (i: number) => sure(data.levelChart[i]).grade },
  { name: t('School year'), of: (i: number) => sure(data.levelChart[i]).schoolYear },
  { name: t('Age'), of: (i: number) => sure(data.levelChart[i]).ages },
  ...data.ownColumns.map((own, c) => ({ name: own, of: (i: number) => sure(data.levelChart[i]).own[c] ?? '' })),
];

/** What narrows the library, each with how many texts there would be. */
export function Filters({ ask, facets, data }: Props) {
  const patterns = useQuery({
    queryKey: keys.patterns,
    queryFn: () => ok(api.GET('/library/patterns')),
    staleTime: Infinity,
  });
  const values = (name: string) => facets.find((f) => f.name === name)?.values ?? [];
  const count = (name: string, value: string) => values(name).find((v) => v.value === value)?.count ?? 0;
  return (
    <aside
      aria-label={t('Filters')}
      className="border-line bg-sand overflow-auto px-3 pt-2 pb-4 text-sm max-lg:max-h-65 max-lg:border-b lg:border-r"
    >
      <div className="flex min-h-7 items-center justify-between">
        <h2 className="font-ui text-base">{t('Filters')}</h2>
        {ask.filters > 0 && (
          <Button look="plain" size="sm" onClick={ask.clear}>
            {t('Clear')}
          </Button>
        )}
      </div>
      <DepthFilter ask={ask} data={data} values={values('depth')} />
      <Choice
        ask={ask}
        field="read"
        name={t('Read by class')}
        options={[
          ['', t('either')],
          ['false', t('not yet'), count('read', 'false')],
          ['true', t('read'), count('read', 'true')],
        ]}
      />
      <Choice
        ask={ask}
        field="fiction"
        name={t('Fiction')}
        options={[
          ['', t('either')],
          ['true', t('fiction'), count('fiction', 'true')],
          ['false', t('non-fiction'), count('fiction', 'false')],
        ]}
      />
      <Ticks name={t('Kind')} values={values('kind')} on={ask.list('kind')} toggle={(v) => ask.toggle('kind', v)} />
      <Ticks name={t('Topic')} values={values('topic')} on={ask.list('topic')} toggle={(v) => ask.toggle('topic', v)} />
      <Part name={t('Length')}>
        <Limit ask={ask} field="wordsTo" name={t('at most')} unit={t('words')} />
        <Limit ask={ask} field="minutesTo" name={t('at most')} unit={t('minutes for these readers')} />
      </Part>
      <Part name={t('With')}>
        {(['quiz', 'wordsToKnow', 'audio'] as const).map((h) => (
          <Checkbox key={h} checked={ask.of(h) === 'true'} set={(on) => ask.put({ [h]: on ? 'true' : '' })}>
            {h === 'quiz' ? t('a quiz') : h === 'wordsToKnow' ? t('words to know') : t('a recording')}
            <span className="text-soft ml-auto">{count('has', h)}</span>
          </Checkbox>
        ))}
      </Part>
      <Choice
        ask={ask}
        field="whose"
        name={t('Whose')}
        options={[
          ['', t('all')],
          ['Mine', t('mine'), count('whose', 'Mine')],
          ['School', t('my school’s'), count('whose', 'School')],
          ['Shipped', t('the library’s'), count('whose', 'Shipped')],
        ]}
      />
      {values('pattern').length > 0 && (
        <Select
          label={t('Letter–sound pattern')}
          className="border-line border-t pt-1.5 pb-2"
          value={ask.of('pattern')}
          set={(value) => ask.put({ pattern: value })}
          options={[
            { value: '', label: t('any') },
            ...(patterns.data ?? [])
              .filter((p) => count('pattern', p.key) > 0 || ask.of('pattern') === p.key)
              .map((p) => ({
                value: p.key,
                label: t('{{name}}, as in {{example}} ({{n}})', {
                  name: p.name,
                  example: p.example,
                  n: count('pattern', p.key),
                }),
              })),
          ]}
        />
      )}
      {(values('season').length > 0 || ask.of('season')) && (
        <Select
          label={t('Season or unit')}
          className="border-line border-t pt-1.5 pb-2"
          value={ask.of('season')}
          set={(value) => ask.put({ season: value })}
          options={[
            { value: '', label: t('any') },
            ...[...new Set([...values('season').map((v) => v.value), ask.of('season')])]
              .filter(Boolean)
              .map((s) => ({ value: s, label: `${s} (${count('season', s)})` })),
          ]}
        />
      )}
      <Part name={t('Archived')}>
        <Checkbox checked={ask.of('retired') === 'true'} set={(on) => ask.put({ retired: on ? 'true' : '' })}>
          {t('show archived texts')}
        </Checkbox>
      </Part>
    </aside>
  );
}

function DepthFilter({ ask, data, values }: { ask: Ask; data: ClassData; values: Api<'FacetValue'>[] }) {
  const label = (value: string) => {
    const row = Number(value.split('|')[1]);
    ask.put({
      depthFrom: row === 0 ? '' : String(sure(data.levelChart[row - 1]).depth),
      depthTo: String(sure(data.levelChart[row]).depth),
    });
  };
  const at = (band: number) => values.find((v) => Number(v.value) === band)?.count ?? 0;
  const bands = [...new Set(values.map((v) => Number(v.value)))].sort((a, b) => a - b);
  const most = Math.max(1, ...values.map((v) => v.count));
  return (
    <Part name={t('Depth')}>
      <div className="flex flex-wrap items-center gap-2">
        <Limit ask={ask} field="depthFrom" name={t('from')} />
        <Limit ask={ask} field="depthTo" name={t('to')} unit="fm" />
      </div>
      <ul>
        {bands.map((b) => {
          const on = ask.of('depthFrom') === String(b) && ask.of('depthTo') === String(b + 9.99);
          return (
            <li key={b}>
              <button
                className={cx(
                  'aria-pressed:bg-tint aria-pressed:outline-overlay flex min-h-6 w-full items-center gap-2',
                  'rounded-sm px-1 text-sm aria-pressed:outline',
                )}
                aria-pressed={on}
                onClick={() =>
                  ask.put(on ? { depthFrom: '', depthTo: '' } : { depthFrom: String(b), depthTo: String(b + 9.99) })
                }
              >
                <span className="w-22 text-left whitespace-nowrap">
                  {t('{{from}} to {{to}} fm', { from: b, to: b + 10 })}
                </span>
                <svg width="56" height="8" aria-hidden>
                  <rect width={(56 * at(b)) / most} height="8" fill="var(--color-depth-4)" />
                </svg>
                <span className="text-soft ml-auto">{at(b)}</span>
              </button>
            </li>
          );
        })}
      </ul>
      <Select
        label={t('or by label')}
        value=""
        set={(chosen) => chosen && label(chosen)}
        options={[
          { value: '', label: t('choose…') },
          ...systems(data).flatMap((s, k) =>
            data.levelChart.flatMap((_, i) => (s.of(i) ? [{ value: `${k}|${i}`, label: `${s.name} ${s.of(i)}` }] : [])),
          ),
        ]}
      />
    </Part>
  );
}

function Limit({ ask, field, name, unit }: { ask: Ask; field: FieldName; name: string; unit?: string }) {
  return (
    <span className="flex items-center gap-1.5">
      <TextField
        label={`${name} ${unit ?? ''}`.trim()}
        bare
        type="number"
        inputMode="decimal"
        size="sm"
        className="w-18"
        boxClass="text-right"
        placeholder={name}
        value={ask.of(field)}
        set={(value) => ask.put({ [field]: value })}
      />
      {unit}
    </span>
  );
}

/** One thing that narrows the list. */
const Part = ({ name, children }: { name: string; children: ReactNode }) => (
  <FieldSet legend={name} className="border-line gap-px border-t pt-1.5 pb-2 [&_label]:flex [&_label]:grow">
    {children}
  </FieldSet>
);

function Choice({
  ask,
  field,
  name,
  options,
}: {
  ask: Ask;
  field: FieldName;
  name: string;
  options: [string, string, number?][];
}) {
  return (
    <Part name={name}>
      <Radios
        label={name}
        className="flex-col"
        value={ask.of(field)}
        set={(value) => ask.put({ [field]: value })}
        options={options.map(([value, label, n]) => ({
          value,
          label: (
            <span className="flex w-full">
              {label} {n !== undefined && <span className="text-soft ml-auto">{n}</span>}
            </span>
          ),
        }))}
      />
    </Part>
  );
}

function Ticks({
  name,
  values,
  on,
  toggle,
}: {
  name: string;
  values: Api<'FacetValue'>[];
  on: string[];
  toggle: (value: string) => void;
}) {
  const shown = [
    ...values,
    ...on.filter((v) => !values.some((x) => x.value === v)).map((value) => ({ value, count: 0 })),
  ];
  const lines: ReactNode[] = shown.map((v) => (
    <Checkbox key={v.value} checked={on.includes(v.value)} set={() => toggle(v.value)}>
      {v.value} <span className="text-soft ml-auto">{v.count}</span>
    </Checkbox>
  ));
  return (
    <Part name={name}>
      {lines.slice(0, 8)}
      {lines.length > 8 && (
        <details open={on.length > 0}>
          <summary className="text-soft min-h-6 cursor-pointer leading-6">
            {t('{{count}} more', { count: lines.length - 8 })}
          </summary>
          {lines.slice(8)}
        </details>
      )}
    </Part>
  );
}
