import { CaretDown } from '@phosphor-icons/react';
import { useQuery } from '@tanstack/react-query';
import { cx } from 'class-variance-authority';
import { useId, useState } from 'react';
import { type Api, api, ok } from '../../shared/api';
import { keys } from '../../shared/keys';
import { phrase, t } from '../../shared/words';
import type { ClassData } from '../classQueries';
import { DepthFilter } from './DepthFilter';
import { Choice, Limit, Part, Ticks } from './FilterPieces';
import type { Ask } from './useLibrary';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { Select } from '../../ui/Select';

type Facets = Api<'FacetView'>[];
type Props = { ask: Ask; facets: Facets; data: ClassData };

const extras = { quiz: phrase('a quiz'), wordsToKnow: phrase('words to know'), audio: phrase('a recording') };

/** What narrows the library, each with how many texts there would be. */
export function Filters({ ask, facets, data }: Props) {
  const patterns = useQuery({
    queryKey: keys.patterns,
    queryFn: () => ok(api.GET('/library/patterns')),
    staleTime: Infinity,
  });
  const [open, setOpen] = useState(false);
  const all = useId();
  const values = (name: string) => facets.find((f) => f.name === name)?.values ?? [];
  const count = (name: string, value: string) => values(name).find((v) => v.value === value)?.count ?? 0;
  return (
    <aside
      aria-label={t('Filters')}
      className="border-line bg-sand overflow-auto px-3 pt-2 pb-4 text-sm max-lg:border-b max-lg:pb-2 lg:border-r"
    >
      <Head ask={ask} open={open} set={setOpen} all={all} />
      {/* Beside the list where there is room; over it where there is not, and then shut until it is wanted. */}
      <div id={all} className={cx('max-lg:columns-2 max-lg:gap-6', !open && 'max-lg:hidden')}>
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
        <Ticks
          name={t('Topic')}
          values={values('topic')}
          on={ask.list('topic')}
          toggle={(v) => ask.toggle('topic', v)}
        />
        <Part name={t('Length')}>
          <Limit ask={ask} field="wordsTo" name={t('at most')} unit={t('words')} />
          <Limit ask={ask} field="minutesTo" name={t('at most')} unit={t('minutes for these readers')} />
        </Part>
        <Part name={t('With')}>
          {(Object.keys(extras) as (keyof typeof extras)[]).map((h) => (
            <Checkbox key={h} checked={ask.of(h) === 'true'} set={(on) => ask.put({ [h]: on ? 'true' : '' })}>
              {t(extras[h])}
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
      </div>
    </aside>
  );
}

function Head({ ask, open, set, all }: { ask: Ask; open: boolean; set: (open: boolean) => void; all: string }) {
  return (
    <div className="flex min-h-7 items-center justify-between">
      <h2 className="font-ui text-base max-lg:hidden">{t('Filters')}</h2>
      <Button size="sm" className="lg:hidden" aria-expanded={open} aria-controls={all} onClick={() => set(!open)}>
        {ask.filters > 0 ? t('Filters, {{n}} in use', { n: ask.filters }) : t('Filters')}
        <CaretDown size={16} aria-hidden className={open ? 'rotate-180' : undefined} />
      </Button>
      {ask.filters > 0 && (
        <Button look="plain" size="sm" onClick={ask.clear}>
          {t('Clear')}
        </Button>
      )}
    </div>
  );
}
