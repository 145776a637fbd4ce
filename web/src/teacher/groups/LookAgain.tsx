import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ok } from '../../shared/api';
import { chanceWords } from '../../shared/format';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Page';
import type { ClassData } from '../classQueries';
import { signalName, type SignalKind } from '../signals/signals';
import type { Proposal, Rules } from './plan';
import { SheetLink } from '../readers/SheetLink';

/** Signals that say somebody does not get on where they are. */
const stuck: ReadonlySet<SignalKind> = new Set(['BackAndForth', 'OutOfDepth', 'SameStrandMissed']);
const mostMoves = 4;

/** Every few weeks: the few moves worth making, and who is stuck and why. */
export function LookAgain({
  data,
  rules,
  show,
}: {
  data: ClassData;
  rules: Rules;
  /** Shows the proposal beside the groups as they are. */
  show: (p: Proposal) => void;
}) {
  const [put, putAway] = useState(false);
  const again = useQuery({
    queryKey: keys.groups.again(data.id, rules),
    staleTime: 600_000,
    queryFn: () => ok(api.GET('/classes/{classId}/groups/again', { params: { path: { classId: data.id } } })),
  });
  if (put || !again.data?.proposal || again.data.weeks === null) return null;
  const { proposal, moves, weeks: count } = again.data;
  const called = (id: string) => data.readers.find((r) => r.id === id)?.called ?? '';
  const readers = data.readers.filter((r) => r.signals.some((s) => stuck.has(s.kind)));
  return (
    <Notice kind="action" aria-label={t('Look again')}>
      <p className="flex flex-wrap items-center gap-x-2 gap-y-1">
        <b>{t('These groups have stood for {{count}} weeks.', { count })}</b>
        {moves.length === 0
          ? t('Everyone still belongs where they are.')
          : t('{{count}} moves are worth making:', { count: moves.length })}
        {moves.slice(0, mostMoves).map((m) => (
          <span key={m.readerId}>
            <SheetLink readerId={m.readerId}>{called(m.readerId)}</SheetLink>{' '}
            {t('to {{group}}, {{chance}}', { group: m.to, chance: chanceWords(m.likely) })};
          </span>
        ))}
        {moves.length > 0 && (
          <Button size="sm" onClick={() => show(proposal)}>
            {t('Show moves')}
          </Button>
        )}
        <Button size="sm" look="plain" onClick={() => putAway(true)}>
          {t('Not now')}
        </Button>
      </p>
      {readers.length > 0 && (
        <p className="flex flex-wrap gap-x-2 pt-1">
          <b>{t('Stuck:')}</b>
          {readers.map((r) => (
            <span key={r.id}>
              <SheetLink readerId={r.id}>{r.called}</SheetLink>{' '}
              <span className="text-soft">
                {signalName(r.signals.find((s) => stuck.has(s.kind))?.kind ?? 'BackAndForth').toLowerCase()}
              </span>
            </span>
          ))}
        </p>
      )}
    </Notice>
  );
}
