import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useOutletContext } from 'react-router';
import { api, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { shortDay } from '../../shared/format';
import { type GoalKind } from '../../shared/goalKinds';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { calledIn, useSaid } from '../classQueries';
import type { Place } from '../frame/Frame';
import { useKept } from '../../shared/useKept';
import { useTray } from '../tray/useTray';
import { Button } from '../../ui/Button';
import { ListPage, Notice, PageHead } from '../../ui/Page';
import { Empty, Show } from '../../ui/Show';
import { GoalTable, kinds, type Draft, type Line } from './GoalTable';

const nothing: Draft = {};

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
            {!g.term && (
              <Empty title={t('No term')}>
                <p>{t('Goals belong to a term. This school year has none yet.')}</p>
              </Empty>
            )}
            {g.term && g.lines.length === 0 && (
              <Empty title={t('No readers yet')}>
                <Button asChild look="main">
                  <Link to={`/class/${data.id}/readers?add=1`}>{t('Add reader')}</Link>
                </Button>
              </Empty>
            )}
            {g.term && g.lines.length > 0 && (
              <GoalTable lines={g.lines} called={called} draft={draft} error={error} change={change} />
            )}
          </ListPage>
        );
      }}
    </Show>
  );
}
