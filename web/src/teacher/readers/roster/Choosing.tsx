import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import { get, put, sentence, type Api } from '../../../shared/api';
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
  const key = ['choosing', roster.id];
  const rules = useQuery({ queryKey: key, queryFn: () => get<Rules>(`/classes/${roster.id}/choosing`) });
  const client = useQueryClient();
  const [kept, setKept] = useState(false);
  const keep = useMutation({
    mutationFn: (r: Rules) =>
      put<Rules>(`/classes/${roster.id}/choosing`, {
        open: r.open,
        depth: r.depth,
        fiction: r.fiction,
        without: r.without,
        mostOpen: r.mostOpen,
      }),
    onMutate: (r) => {
      const before = client.getQueryData<Rules>(key);
      client.setQueryData(key, r);
      return before;
    },
    onSuccess: (r) => {
      client.setQueryData(key, r);
      setKept(true);
    },
    onError: (e, _, before) => {
      client.setQueryData(key, before);
      toast.error(sentence(e));
    },
  });
  const off = !roster.mayChange;
  return (
    <section className="card" aria-labelledby="choosing">
      <h2 id="choosing">{t('What readers may choose')}</h2>
      <Show query={rules}>
        {(r) => {
          const set = (changes: Partial<Rules>) => keep.mutate({ ...r, ...changes });
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
