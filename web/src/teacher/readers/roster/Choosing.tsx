import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import { type Api, api, ok, sentence } from '../../../shared/api';
import { keys } from '../../../shared/keys';
import { oneOf } from '../../../shared/kinds';
import { Show } from '../../../shared/Whole';
import { t } from '../../../shared/words';
import type { Roster } from './rosterQueries';

type Rules = Api<'ChoiceRulesView'>;
const depths = [
  ['WithinReach', 'within their reach'],
  ['OrEasier', 'within their reach, or easier'],
  ['Any', 'at any depth'],
] as const;
const sorts = [
  ['', 'stories and other texts'],
  ['true', 'stories only'],
  ['false', 'other texts only'],
] as const;

/** What the readers of a class may choose for themselves. Each change is kept as it is made. */
export function Choosing({ roster }: { roster: Roster }) {
  const key = keys.choosing(roster.id);
  const rules = useQuery({
    queryKey: key,
    queryFn: () => ok(api.GET('/classes/{classId}/choosing', { params: { path: { classId: roster.id } } })),
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
          params: { path: { classId: roster.id } },
          body: {
            open: r.open,
            depth: r.depth,
            fiction: r.fiction,
            without: r.without,
            mostOpen: r.mostOpen,
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
  const off = !roster.mayChange;
  return (
    <section className="card" aria-labelledby="choosing">
      <h2 id="choosing">{t('What readers may choose')}</h2>
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
              <label className="tickline">
                <input
                  type="checkbox"
                  disabled={off}
                  checked={r.open}
                  onChange={(e) => set({ open: e.target.checked })}
                />
                {t('Readers may choose texts for themselves')}
              </label>
              {r.open && (
                <>
                  <div className="fields">
                    <p className="field">
                      <label htmlFor="ch-depth">{t('How deep')}</label>
                      <select
                        id="ch-depth"
                        disabled={off}
                        value={r.depth}
                        onChange={(e) =>
                          set({
                            depth: oneOf(
                              depths.map(([k]) => k),
                              e.target.value,
                            ),
                          })
                        }
                      >
                        {depths.map(([k, name]) => (
                          <option key={k} value={k}>
                            {t(name)}
                          </option>
                        ))}
                      </select>
                    </p>
                    <p className="field">
                      <label htmlFor="ch-fiction">{t('Which texts')}</label>
                      <select
                        id="ch-fiction"
                        disabled={off}
                        value={r.fiction == null ? '' : String(r.fiction)}
                        onChange={(e) => set({ fiction: e.target.value === '' ? null : e.target.value === 'true' })}
                      >
                        {sorts.map(([k, name]) => (
                          <option key={k} value={k}>
                            {t(name)}
                          </option>
                        ))}
                      </select>
                    </p>
                    <p className="field">
                      <label htmlFor="ch-most">{t('Open at once, at most')}</label>
                      <select
                        id="ch-most"
                        disabled={off}
                        value={r.mostOpen}
                        onChange={(e) => set({ mostOpen: Number(e.target.value) })}
                      >
                        {[1, 2, 3, 4, 5, 6, 7, 8, 9].map((n) => (
                          <option key={n} value={n}>
                            {n}
                          </option>
                        ))}
                      </select>
                    </p>
                  </div>
                  <details>
                    <summary>
                      {r.without.length === 0
                        ? t('All topics')
                        : t('{{count}} topics left out', { count: r.without.length })}
                    </summary>
                    <div className="ticks">
                      {r.topics.map((topic) => (
                        <label key={topic} className="tickline">
                          <input
                            type="checkbox"
                            disabled={off}
                            checked={!r.without.includes(topic)}
                            onChange={(e) =>
                              set({
                                without: e.target.checked
                                  ? r.without.filter((x) => x !== topic)
                                  : [...r.without, topic],
                              })
                            }
                          />
                          {topic}
                        </label>
                      ))}
                    </div>
                  </details>
                  <p className="hint" role="status">
                    {r.fewest === r.most
                      ? t('Each reader has {{count}} texts to choose from, less those they have had.', {
                          count: r.most,
                        })
                      : t('Each reader has {{fewest}} to {{most}} texts to choose from, less those they have had.', {
                          fewest: r.fewest,
                          most: r.most,
                        })}
                    {r.fewest === 0 && ` ${t('Some have none: allow easier texts, or bring some in.')}`}
                    {kept && ` ${t('Saved.')}`}
                  </p>
                </>
              )}
            </>
          );
        }}
      </Show>
    </section>
  );
}
