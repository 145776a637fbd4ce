import { useQuery } from '@tanstack/react-query';
import { Fragment, useState } from 'react';
import { Link, useOutletContext } from 'react-router';
import { type Api, api, fieldOf, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { chanceWords, fm, shortDay } from '../../shared/format';
import { courseWord, type GoalKind, goalKinds } from '../../shared/goalKinds';
import { Empty, Show } from '../../shared/Whole';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { useSaid } from '../classQueries';
import type { Place } from '../frame/Frame';
import { useKept } from '../../shared/useKept';
import { useTray } from '../tray/useTray';

type Line = Api<'GoalLine'>;
/** What is typed for each reader, by kind. */
type Draft = Record<string, Partial<Record<GoalKind, string>>>;
const nothing: Draft = {};
const kinds = Object.keys(goalKinds) as GoalKind[];

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
  const { value: draft, set: setDraft } = useKept<Draft>(`dc-goals-of-${data.id}`, nothing);
  const [error, setError] = useState<unknown>();

  const suggest = (lines: Line[]) =>
    setDraft(
      Object.fromEntries(
        lines.map((l) => [l.readerId, Object.fromEntries(l.kinds.map((k) => [k.kind, String(k.suggested)]))]),
      ),
    );
  const change = (l: Line, kind: GoalKind, value: string) =>
    setDraft((d) => ({ ...d, [l.readerId]: { ...d[l.readerId], [kind]: value } }));
  const targets = Object.entries(draft).flatMap(([readerId, typed]) =>
    kinds.filter((kind) => typed[kind]?.trim()).map((kind) => ({ readerId, kind, target: Number(typed[kind]) })),
  );
  const wanted = new Set(targets.map((x) => x.readerId)).size;
  const save = async () => {
    try {
      const done = await ok(
        api.PUT('/classes/{classId}/goals', {
          params: { path: { classId: data.id } },
          body: { targets, reason: '' },
        }),
      );
      setDraft(nothing);
      setError(undefined);
      said(
        done.changed === 0 ? t('Nothing had changed') : t('Set goals for {{count}} readers', { count: wanted }),
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
              {wanted > 0 && (
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
              <button className="btn main" disabled={wanted === 0} onClick={() => void save()}>
                {t('Set goals for {{count}} readers', { count: wanted })}
              </button>
            </div>
            {wanted > 0 && (
              <p className="note" role="status">
                {t('Nothing is saved yet. Edit what you like, then set the goals.')}{' '}
                {t('Words start from what each reader reads in a week, with a quarter more.')}
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
                      {kinds.map((kind) => (
                        <Fragment key={kind}>
                          <th>{goalKinds[kind].name()}</th>
                          <th>{t('How it stands')}</th>
                        </Fragment>
                      ))}
                    </tr>
                  </thead>
                  <tbody>
                    {g.lines.map((l) => {
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
                          {l.kinds.map((k) => (
                            <Fragment key={k.kind}>
                              <td>
                                <Target
                                  of={k}
                                  reader={l.givenName}
                                  typed={draft[l.readerId]?.[k.kind] ?? ''}
                                  fault={fieldOf(error, `${k.kind}.${l.readerId}`)}
                                  change={(value) => change(l, k.kind, value)}
                                />
                              </td>
                              <td>
                                <Standing of={k} />
                              </td>
                            </Fragment>
                          ))}
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

type OfKind = Line['kinds'][number];

function Target(p: {
  of: OfKind;
  reader: string;
  typed: string;
  fault: string | undefined;
  change: (value: string) => void;
}) {
  return (
    <>
      <input
        type="number"
        className={p.of.kind}
        min="1"
        aria-label={t('{{name}} goal for {{reader}}', { name: goalKinds[p.of.kind].name(), reader: p.reader })}
        aria-invalid={!!p.fault}
        value={p.typed}
        placeholder={p.of.goal ? String(p.of.goal.target) : '–'}
        onChange={(e) => p.change(e.target.value)}
      />
      {p.fault && <p className="error">{p.fault}</p>}
    </>
  );
}

function Standing({ of: { kind, soFar, goal } }: { of: OfKind }) {
  const { write, outOf } = goalKinds[kind];
  if (!goal)
    return (
      <span className="soft">
        {t('so far')} {soFar == null ? '–' : write(soFar)}
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
      <span>{outOf(soFar ?? null, goal.target)}</span>{' '}
      <span className="soft">{goal.course === 'Reached' ? courseWord(goal.course) : chanceWords(goal.chance)}</span>
    </span>
  );
}
