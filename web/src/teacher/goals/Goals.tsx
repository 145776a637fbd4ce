import { useQuery } from '@tanstack/react-query';
import { Fragment, useState } from 'react';
import { Link, useOutletContext } from 'react-router';
import { type Api, api, fieldOf, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { chanceWords, fm, shortDay } from '../../shared/format';
import { courseWord, type GoalKind, goalKinds } from '../../shared/goalKinds';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { calledIn, useSaid } from '../classQueries';
import type { Place } from '../frame/Frame';
import { useKept } from '../../shared/useKept';
import { useTray } from '../tray/useTray';
import { Button } from '../../ui/Button';
import { RowTick } from '../../ui/Checkbox';
import { ErrorText } from '../../ui/Field';
import { ListPage, Notice, PageHead } from '../../ui/Page';
import { Empty, Show } from '../../ui/Show';
import { TextField } from '../../ui/TextField';
import { Table, TableBody, TableHead, Td, Th } from '../../ui/table/Table';

type Line = Api<'GoalLine'>;
/** What is typed for each reader, by kind. */
type Draft = Record<string, Partial<Record<GoalKind, string>>>;
const nothing: Draft = {};
const kinds = Object.keys(goalKinds) as GoalKind[];

/** Term goals: suggest for those picked up, change one by one, save, see how each stands. */
export default function Goals() {
  const { data } = useOutletContext<Place>();
  const called = calledIn(data);
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
        done.changed === 0 ? t('Nothing changed') : t('Set goals for {{count}} readers', { count: wanted }),
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
          <ListPage>
            <PageHead
              title={t('Goals')}
              beside={
                <>
                  {g.term && (
                    <p className="text-soft">
                      {g.term.name}, {t('until')} {shortDay(g.term.lastDay)},{' '}
                      {t('{{count}} school days left', { count: g.schoolDaysLeft })}
                    </p>
                  )}
                </>
              }
            >
              <Button disabled={g.lines.length === 0} onClick={() => suggest(target)}>
                {chosen.length > 0 ? t('Suggest for {{n}} in tray', { n: chosen.length }) : t('Suggest for all')}
              </Button>
              {wanted > 0 && (
                <Button
                  onClick={() => {
                    setDraft(nothing);
                    setError(undefined);
                  }}
                >
                  {t('Discard')}
                </Button>
              )}
              <Button look="main" disabled={wanted === 0} onClick={() => void save()}>
                {t('Set goals for {{count}} readers', { count: wanted })}
              </Button>
            </PageHead>
            {wanted > 0 && (
              <Notice kind="action" role="status">
                {t('Not saved yet. Edit, then set goals.')}{' '}
                {t('Word goals start at each reader’s weekly words plus a quarter.')}
              </Notice>
            )}
            {error ? (
              <p className="text-overlay px-4 py-1.5 text-sm font-semibold" role="alert">
                {sentence(error)}
              </p>
            ) : null}
            {!g.term ? (
              <Empty title={t('No term')}>
                <p>{t('Goals belong to a term. This school year has none yet.')}</p>
              </Empty>
            ) : g.lines.length === 0 ? (
              <Empty title={t('No readers yet')}>
                <Button asChild look="main">
                  <Link to={`/class/${data.id}/readers?add=1`}>{t('Add reader')}</Link>
                </Button>
              </Empty>
            ) : (
              <div
                className="border-ink relative min-h-0 overflow-auto border-t"
                tabIndex={0}
                role="region"
                aria-labelledby="title"
              >
                <Table>
                  <TableHead>
                    <tr>
                      <Th>
                        <span className="sr-only">{t('Add to tray')}</span>
                      </Th>
                      <Th>{t('Reader')}</Th>
                      <Th num>{t('Depth')}</Th>
                      {kinds.map((kind) => (
                        <Fragment key={kind}>
                          <Th>{goalKinds[kind].name()}</Th>
                          <Th>{t('Progress')}</Th>
                        </Fragment>
                      ))}
                    </tr>
                  </TableHead>
                  <TableBody>
                    {g.lines.map((l) => {
                      const on = tray.readers.includes(l.readerId);
                      return (
                        <tr key={l.readerId} className={on ? 'bg-tint' : undefined}>
                          <Td>
                            <RowTick
                              label={t('Add {{name}} to tray', { name: called(l.readerId, l.givenName) })}
                              checked={on}
                              set={() => tray.toggleReader(l.readerId)}
                            />
                          </Td>
                          <Th scope="row">
                            <Link to={`?reader=${l.readerId}`}>
                              {l.givenName} {l.familyName}
                            </Link>
                          </Th>
                          <Td num>{fm(l.depth)}</Td>
                          {l.kinds.map((k) => (
                            <Fragment key={k.kind}>
                              <Td>
                                <Target
                                  of={k}
                                  reader={called(l.readerId, l.givenName)}
                                  typed={draft[l.readerId]?.[k.kind] ?? ''}
                                  fault={fieldOf(error, `${k.kind}.${l.readerId}`)}
                                  change={(value) => change(l, k.kind, value)}
                                />
                              </Td>
                              <Td>
                                <Standing of={k} />
                              </Td>
                            </Fragment>
                          ))}
                        </tr>
                      );
                    })}
                  </TableBody>
                </Table>
              </div>
            )}
          </ListPage>
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
      <TextField
        label={t('{{name}} goal for {{reader}}', { name: goalKinds[p.of.kind].name(), reader: p.reader })}
        bare
        type="number"
        min="1"
        aria-invalid={!!p.fault}
        value={p.typed}
        placeholder={p.of.goal ? String(p.of.goal.target) : '–'}
        set={p.change}
      />
      {p.fault && <ErrorText>{p.fault}</ErrorText>}
    </>
  );
}

function Standing({ of: { kind, soFar, goal } }: { of: OfKind }) {
  const { write, outOf } = goalKinds[kind];
  if (!goal)
    return (
      <span className="text-soft">
        {t('so far')} {soFar == null ? '–' : write(soFar)}
      </span>
    );
  const share = Math.min(1, goal.done / goal.target),
    due = Math.min(1, goal.dueNow / goal.target);
  return (
    <span className="inline-flex items-center gap-2 text-sm whitespace-nowrap">
      <svg width="120" height="14" aria-hidden>
        <rect x=".5" y="3.500" width="119" height="7" fill="var(--color-paper)" stroke="var(--color-ink)" />
        <rect x=".5" y="3.500" width={share * 119} height="7" fill="var(--color-depth-6)" />
        <path d={`M${Math.max(1, due * 119)} 0v14`} stroke="var(--color-ink)" strokeWidth="2" />
      </svg>
      <span>{outOf(soFar ?? null, goal.target)}</span>{' '}
      <span className="text-soft">
        {goal.course === 'Reached' ? courseWord(goal.course) : chanceWords(goal.chance)}
      </span>
    </span>
  );
}
