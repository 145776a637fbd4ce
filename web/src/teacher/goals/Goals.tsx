import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useOutletContext } from 'react-router';
import { type Api, api, fieldOf, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { chanceWords, fm, number, shortDay } from '../../shared/format';
import { Empty, Show } from '../../shared/Whole';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { useSaid } from '../classQueries';
import type { Place } from '../frame/Frame';
import { courseWord } from '../readers/ReaderPieces';
import { useKept } from '../../shared/useKept';
import { useTray } from '../tray/useTray';

type Line = Api<'GoalLine'>;
type Draft = Record<string, { comprehension: string; words: string }>;
const nothing: Draft = {};

/** Term goals: suggest for those picked up, change one by one, save, see how each stands. */
export default function Goals() {
  const { data } = useOutletContext<Place>();
  const goals = useQuery({
    queryKey: keys.goals(data.id),
    queryFn: () => ok(api.GET('/classes/{classId}/goals', { params: { path: { classId: data.id } } })),
  });
  const tray = useTray();
  const said = useSaid();
  const changed = useChanged();
  const { value: draft, set: setDraft } = useKept<Draft>(`dc-goals-${data.id}`, nothing);
  const [error, setError] = useState<unknown>();

  const suggest = (lines: Line[]) =>
    setDraft(
      Object.fromEntries(
        lines.map((l) => [
          l.readerId,
          { comprehension: String(l.suggestedComprehension), words: String(l.suggestedWords) },
        ]),
      ),
    );
  const change = (l: Line, key: 'comprehension' | 'words', value: string) =>
    setDraft((d) => ({ ...d, [l.readerId]: { ...(d[l.readerId] ?? { comprehension: '', words: '' }), [key]: value } }));
  const wanted = Object.entries(draft).filter(([, v]) => v.comprehension.trim() || v.words.trim());
  const save = async () => {
    try {
      const done = await ok(
        api.PUT('/classes/{classId}/goals', {
          params: { path: { classId: data.id } },
          body: {
            targets: wanted.map(([readerId, v]) => ({
              readerId,
              comprehension: v.comprehension.trim() ? Number(v.comprehension) : null,
              words: v.words.trim() ? Number(v.words) : null,
            })),
            reason: '',
          },
        }),
      );
      setDraft(nothing);
      setError(undefined);
      said(
        done.changed === 0 ? t('Nothing had changed') : t('Set goals for {{count}} readers', { count: wanted.length }),
        done.changeId,
      );
      await changed('goals');
    } catch (problem) {
      setError(problem);
    }
  };
  return (
    <Show query={goals}>
      {(g) => {
        const chosen = g.lines.filter((l) => tray.readers.includes(l.readerId));
        const target = chosen.length > 0 ? chosen : g.lines;
        return (
          <section className="listpage" aria-labelledby="title">
            <div className="head">
              <h1 id="title">{t('Goals')}</h1>
              {g.term && (
                <p className="soft">
                  {g.term.name}, {t('until')} {shortDay(g.term.lastDay)},{' '}
                  {t('{{n}} school days left', { n: g.schoolDaysLeft })}
                </p>
              )}
              <span className="grow" />
              <button className="btn" disabled={g.lines.length === 0} onClick={() => suggest(target)}>
                {chosen.length > 0
                  ? t('Suggest for the {{n}} picked up', { n: chosen.length })
                  : t('Suggest for everybody')}
              </button>
              {wanted.length > 0 && (
                <button
                  className="btn"
                  onClick={() => {
                    setDraft(nothing);
                    setError(undefined);
                  }}
                >
                  {t('Put away')}
                </button>
              )}
              <button className="btn main" disabled={wanted.length === 0} onClick={() => void save()}>
                {t('Set goals for {{count}} readers', { count: wanted.length })}
              </button>
            </div>
            {wanted.length > 0 && (
              <p className="note" role="status">
                {t(
                  'Nothing is saved yet. Edit what you like, then set the goals. Words start from what each reader reads in a week, with a quarter more.',
                )}
              </p>
            )}
            {error ? (
              <p className="note error" role="alert">
                {sentence(error)}
              </p>
            ) : null}
            {!g.term ? (
              <Empty title={t('No term')}>
                <p>{t('Goals are set for a term; the school year has none.')}</p>
              </Empty>
            ) : g.lines.length === 0 ? (
              <Empty title={t('No readers yet')}>
                <Link className="btn main" to={`/class/${data.id}/readers?add=1`}>
                  {t('Add the first reader')}
                </Link>
              </Empty>
            ) : (
              <div className="scroll" tabIndex={0} role="region" aria-labelledby="title">
                <table className="goaltable">
                  <thead>
                    <tr>
                      <th>
                        <span className="hide">{t('Pick up')}</span>
                      </th>
                      <th>{t('Reader')}</th>
                      <th className="num">{t('Depth')}</th>
                      <th>{t('Comprehension')}</th>
                      <th>{t('How it stands')}</th>
                      <th>{t('Words')}</th>
                      <th>{t('How it stands')}</th>
                    </tr>
                  </thead>
                  <tbody>
                    {g.lines.map((l) => {
                      const d = draft[l.readerId];
                      const of = (kind: Api<'GoalKind'>) => l.goals.find((x) => x.kind === kind);
                      const cell = (key: 'comprehension' | 'words', name: string) => {
                        const now = of(key === 'words' ? 'Words' : 'Comprehension');
                        return (
                          <>
                            <input
                              type="number"
                              className={key}
                              min="1"
                              aria-label={t('{{name}} goal for {{reader}}', { name, reader: l.givenName })}
                              aria-invalid={!!fieldOf(error, `${key}.${l.readerId}`)}
                              value={d?.[key] ?? ''}
                              placeholder={now ? String(now.target) : '–'}
                              onChange={(e) => change(l, key, e.target.value)}
                            />
                            {fieldOf(error, `${key}.${l.readerId}`) && (
                              <p className="error">{fieldOf(error, `${key}.${l.readerId}`)}</p>
                            )}
                          </>
                        );
                      };
                      const on = tray.readers.includes(l.readerId);
                      return (
                        <tr key={l.readerId} className={on ? 'on' : undefined}>
                          <td>
                            <span className="tick">
                              <input
                                type="checkbox"
                                aria-label={t('Pick up {{name}}', { name: l.givenName })}
                                checked={on}
                                onChange={() => tray.toggleReader(l.readerId)}
                              />
                            </span>
                          </td>
                          <th scope="row">
                            <Link to={`?reader=${l.readerId}`}>
                              {l.givenName} {l.familyName}
                            </Link>
                          </th>
                          <td className="num">{fm(l.depth)}</td>
                          <td>{cell('comprehension', t('Comprehension'))}</td>
                          <td>
                            <Standing
                              goal={of('Comprehension')}
                              so={l.meanScore == null ? '–' : `${Math.round(l.meanScore)} %`}
                            />
                          </td>
                          <td>{cell('words', t('Words'))}</td>
                          <td>
                            <Standing goal={of('Words')} so={number(l.wordsSoFar)} />
                          </td>
                        </tr>
                      );
                    })}
                  </tbody>
                </table>
              </div>
            )}
          </section>
        );
      }}
    </Show>
  );
}

function Standing({ goal, so }: { goal: Line['goals'][number] | undefined; so: string }) {
  if (!goal)
    return (
      <span className="soft">
        {t('so far')} {so}
      </span>
    );
  const share = Math.min(1, goal.done / goal.target),
    due = Math.min(1, goal.dueNow / goal.target);
  return (
    <span className="standing">
      <svg width="120" height="14" aria-hidden>
        <rect x=".5" y="3.500" width="119" height="7" fill="var(--paper)" stroke="var(--ink)" />
        <rect x=".5" y="3.500" width={share * 119} height="7" fill="var(--depth-6)" />
        <path d={`M${Math.max(1, due * 119)} 0v14`} stroke="var(--ink)" strokeWidth="2" />
      </svg>
      <span>
        {so} {t('of')} {goal.kind === 'Words' ? number(goal.target) : `${goal.target} %`}
      </span>{' '}
      <span className="soft">{goal.course === 'Reached' ? courseWord(goal.course) : chanceWords(goal.chance)}</span>
    </span>
  );
}
