import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import { type Api, api, ok, sentence } from '../../../shared/api';
import { keys } from '../../../shared/keys';
import { t } from '../../../shared/words';
import { optionsOf } from '../../assignments/terms';
import { depths, formats, sorts } from '../choiceWords';
import type { Roster } from './rosterQueries';
import { Checkbox } from '../../../ui/Checkbox';
import { FieldRow } from '../../../ui/Field';
import { Card } from '../../../ui/Page';
import { Select } from '../../../ui/Select';
import { Show } from '../../../ui/Show';

type Rules = Api<'ChoiceRulesView'>;
type Sort = Api<'ChoiceSort'>;
const sortOf = (fiction: boolean | null): Sort => {
  if (fiction === null) return 'Both';
  return fiction ? 'Stories' : 'Others';
};

/** What the readers of a class may choose for themselves. Each change is kept as it is made. */
export function Choosing({ roster }: { roster: Roster }) {
  const { rules, wanted, setWanted, keep, kept } = useRules(roster.id);
  const off = !roster.mayChange;
  return (
    <Card aria-labelledby="choosing">
      <h2 id="choosing">{t('Reader choice')}</h2>
      <Show query={rules}>
        {(said) => {
          const r = wanted ?? said;
          const set = (changes: Partial<Rules>) => {
            const next = { ...r, ...changes };
            setWanted(next);
            keep.mutate(next);
          };
          return (
            <>
              <Checkbox checked={r.open} disabled={off} set={(on) => set({ open: on })}>
                {t('Readers can choose texts themselves')}
              </Checkbox>
              {r.open && <Choices r={r} off={off} kept={kept} set={set} />}
            </>
          );
        }}
      </Show>
    </Card>
  );
}

/** The rules as the server has them, and as they were just chosen. */
function useRules(classId: string) {
  const key = keys.choosing(classId);
  const rules = useQuery({
    queryKey: key,
    queryFn: () => ok(api.GET('/classes/{classId}/choosing', { params: { path: { classId: classId } } })),
  });
  const client = useQueryClient();
  const [kept, setKept] = useState(false);
  // What was chosen stands at once; the server's word comes when it has taken all of it.
  const [wanted, setWanted] = useState<Rules | null>(null);
  const keep = useMutation({
    mutationKey: key,
    // One after the other: a quick second change must not reach the server before the first.
    scope: { id: key.join(' ') },
    mutationFn: (r: Rules) =>
      ok(
        api.PUT('/classes/{classId}/choosing', {
          params: { path: { classId: classId } },
          body: {
            open: r.open,
            depth: r.depth,
            fiction: r.fiction,
            without: r.without,
            mostOpen: r.mostOpen,
            format: r.format,
          },
        }),
      ),
    onSuccess: (r) => {
      client.setQueryData(key, r);
      setKept(true);
    },
    onError: (e) => {
      setWanted(null);
      toast.error(sentence(e));
    },
    // What the server kept of an earlier change says nothing of those that wait behind it.
    onSettled: () => {
      if (client.isMutating({ mutationKey: key }) === 1) setWanted(null);
    },
  });
  return { rules, wanted, setWanted, keep, kept };
}

function Choices({
  r,
  off,
  kept,
  set,
}: {
  r: Rules;
  off: boolean;
  kept: boolean;
  set: (changes: Partial<Rules>) => void;
}) {
  return (
    <>
      <FieldRow>
        <Select
          label={t('Depth')}
          disabled={off}
          value={r.depth}
          set={(depth) => set({ depth })}
          options={optionsOf(depths)}
        />
        <Select
          label={t('Which texts')}
          disabled={off}
          value={sortOf(r.fiction)}
          set={(sort) => set({ fiction: sort === 'Both' ? null : sort === 'Stories' })}
          options={optionsOf(sorts)}
        />
        <Select
          label={t('Format')}
          disabled={off}
          value={r.format}
          set={(format) => set({ format })}
          options={optionsOf(formats)}
        />
        <Select
          label={t('Most open at once')}
          disabled={off}
          value={r.mostOpen}
          set={(value) => set({ mostOpen: Number(value) })}
          options={[1, 2, 3, 4, 5, 6, 7, 8, 9].map((n) => ({ value: n, label: n }))}
        />
      </FieldRow>
      <details>
        <summary>
          {r.without.length === 0 ? t('All topics') : t('{{count}} topics left out', { count: r.without.length })}
        </summary>
        <div className="flex flex-wrap gap-x-4 gap-y-1">
          {r.topics.map((topic) => (
            <Checkbox
              key={topic}
              checked={!r.without.includes(topic)}
              disabled={off}
              set={(on) =>
                set({
                  without: on ? r.without.filter((x) => x !== topic) : [...r.without, topic],
                })
              }
            >
              {topic}
            </Checkbox>
          ))}
        </div>
      </details>
      <p className="text-soft text-sm" role="status">
        {r.fewest === r.most
          ? t('Each reader can choose from {{count}} texts, minus those they have had.', {
              count: r.most,
            })
          : t('Each reader can choose from {{fewest}} to {{most}} texts, minus those they have had.', {
              fewest: r.fewest,
              most: r.most,
            })}
        {r.fewest === 0 && ` ${t('Some readers have none. Allow easier texts, or import some.')}`}
        {kept && ` ${t('Saved.')}`}
      </p>
    </>
  );
}
