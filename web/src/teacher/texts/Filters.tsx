import { useQuery } from '@tanstack/react-query';
import { useId, type ReactNode } from 'react';
import { type Api, api, ok } from '../../shared/api';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import type { ClassData } from '../classQueries';
import type { Ask, FieldName } from './useLibrary';
import { sure } from '../../shared/sure';

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
    <aside className="filters" aria-label={t('Filters')}>
      <div className="row">
        <h2>{t('Filters')}</h2>
        {ask.filters > 0 && (
          <button className="btn plain small" onClick={ask.clear}>
            {t('Clear')}
          </button>
        )}
      </div>
      <DepthFilter ask={ask} data={data} values={values('depth')} />
      <Choice
        ask={ask}
        field="read"
        name={t('Read by the class')}
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
      <fieldset>
        <legend>{t('Length')}</legend>
        <NumberField ask={ask} field="wordsTo" name={t('at most')} unit={t('words')} />
        <NumberField ask={ask} field="minutesTo" name={t('at most')} unit={t('minutes for these readers')} />
      </fieldset>
      <fieldset>
        <legend>{t('Has')}</legend>
        {(['quiz', 'deck', 'audio'] as const).map((h) => (
          <label key={h}>
            <input
              type="checkbox"
              checked={ask.of(h) === 'true'}
              onChange={(e) => ask.put({ [h]: e.target.checked ? 'true' : '' })}
            />
            {h === 'quiz' ? t('a quiz') : h === 'deck' ? t('words to know') : t('a reading to listen to')}{' '}
            <span className="n">{count('has', h)}</span>
          </label>
        ))}
      </fieldset>
      <Choice
        ask={ask}
        field="whose"
        name={t('Whose')}
        options={[
          ['', t('anybody’s')],
          ['Mine', t('mine'), count('whose', 'Mine')],
          ['School', t('my school’s'), count('whose', 'School')],
          ['Shipped', t('the library’s'), count('whose', 'Shipped')],
        ]}
      />
      {values('pattern').length > 0 && (
        <label className="stack">
          {t('Letter–sound pattern')}
          <select value={ask.of('pattern')} onChange={(e) => ask.put({ pattern: e.target.value })}>
            <option value="">{t('any')}</option>
            {(patterns.data ?? [])
              .filter((p) => count('pattern', p.key) > 0 || ask.of('pattern') === p.key)
              .map((p) => (
                <option key={p.key} value={p.key}>
                  {t('{{name}}, as in {{example}} ({{n}})', {
                    name: p.name,
                    example: p.example,
                    n: count('pattern', p.key),
                  })}
                </option>
              ))}
          </select>
        </label>
      )}
      {(values('season').length > 0 || ask.of('season')) && (
        <label className="stack">
          {t('Season or unit')}
          <select value={ask.of('season')} onChange={(e) => ask.put({ season: e.target.value })}>
            <option value="">{t('any')}</option>
            {[...new Set([...values('season').map((v) => v.value), ask.of('season')])].filter(Boolean).map((s) => (
              <option key={s} value={s}>
                {s} ({count('season', s)})
              </option>
            ))}
          </select>
        </label>
      )}
      <fieldset>
        <legend>{t('Retired')}</legend>
        <label>
          <input
            type="checkbox"
            checked={ask.of('retired') === 'true'}
            onChange={(e) => ask.put({ retired: e.target.checked ? 'true' : '' })}
          />
          {t('show retired texts instead')}
        </label>
      </fieldset>
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
    <fieldset>
      <legend>{t('Depth')}</legend>
      <div className="row">
        <NumberField ask={ask} field="depthFrom" name={t('from')} />
        <NumberField ask={ask} field="depthTo" name={t('to')} unit="fm" />
      </div>
      <ul className="bands">
        {bands.map((b) => {
          const on = ask.of('depthFrom') === String(b) && ask.of('depthTo') === String(b + 9.99);
          return (
            <li key={b}>
              <button
                className="band"
                aria-pressed={on}
                onClick={() =>
                  ask.put(on ? { depthFrom: '', depthTo: '' } : { depthFrom: String(b), depthTo: String(b + 9.99) })
                }
              >
                <span>{t('{{from}} to {{to}} fm', { from: b, to: b + 10 })}</span>
                <svg width="56" height="8" aria-hidden>
                  <rect width={(56 * at(b)) / most} height="8" fill="var(--depth-4)" />
                </svg>
                <span className="n">{at(b)}</span>
              </button>
            </li>
          );
        })}
      </ul>
      <label className="stack">
        {t('or by a label')}
        <select value="" onChange={(e) => e.target.value && label(e.target.value)}>
          <option value="">{t('choose…')}</option>
          {systems(data).map((s, k) => (
            <optgroup key={s.name} label={s.name}>
              {data.levelChart.map(
                (_, i) =>
                  s.of(i) && (
                    <option key={i} value={`${k}|${i}`}>
                      {s.name} {s.of(i)}
                    </option>
                  ),
              )}
            </optgroup>
          ))}
        </select>
      </label>
    </fieldset>
  );
}

function NumberField({ ask, field, name, unit }: { ask: Ask; field: FieldName; name: string; unit?: string }) {
  const id = useId();
  return (
    <label htmlFor={id} className="numline">
      {name}
      <input
        id={id}
        type="number"
        inputMode="decimal"
        value={ask.of(field)}
        onChange={(e) => ask.put({ [field]: e.target.value })}
        aria-label={`${name} ${unit ?? ''}`}
      />
      {unit}
    </label>
  );
}

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
    <fieldset>
      <legend>{name}</legend>
      {options.map(([value, label, n]) => (
        <label key={value}>
          <input
            type="radio"
            name={field}
            checked={ask.of(field) === value}
            onChange={() => ask.put({ [field]: value })}
          />
          {label} {n !== undefined && <span className="n">{n}</span>}
        </label>
      ))}
    </fieldset>
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
    <label key={v.value}>
      <input type="checkbox" checked={on.includes(v.value)} onChange={() => toggle(v.value)} />
      {v.value} <span className="n">{v.count}</span>
    </label>
  ));
  return (
    <fieldset>
      <legend>{name}</legend>
      {lines.slice(0, 8)}
      {lines.length > 8 && (
        <details open={on.length > 0}>
          <summary>{t('{{count}} more', { count: lines.length - 8 })}</summary>
          {lines.slice(8)}
        </details>
      )}
    </fieldset>
  );
}
