import { BellRinging } from '@phosphor-icons/react';
import { cx } from 'class-variance-authority';
import { memo, type Dispatch, type SetStateAction } from 'react';
import type { Api } from '../../../shared/api';
import { dayOf } from '../../../shared/format';
import { scoreSaid, shortScore } from '../../../shared/scores';
import { ticketWords } from '../../../shared/ticketStates';
import { t } from '../../../shared/words';
import { LateMark, StateMark } from '../../../ui/StateMark';
import { isLate, type Place } from './places';

export type Assigned = Api<'WeekPlate'>['assignment'];

/** What a cell adds to its shape: how far its reader is, the score, a day of its own. */
const notes = (k: Place, of: Assigned | undefined) => ({
  page: k.state === 'UnderWay' && k.pages > 0 && t('{{n}}/{{of}}', { n: Math.min(k.page + 1, k.pages), of: k.pages }),
  score: k.state === 'UnderWay' ? null : k.score,
  round: k.round > 1 && t('round {{n}}', { n: k.round }),
  due: k.dueOn !== null && k.dueOn !== of?.dueOn && t('due {{day}}', { day: dayOf(k.dueOn) }),
});

/** Where one reader is with one assignment: a shape, a figure, and whether it is late. Many stand on a page, so it is
 * drawn again only where it changed, and is named whole. */
export const PlaceCell = memo(function PlaceCell({
  k,
  of,
  today,
  called,
  chosen,
  picked,
  focus,
}: {
  k: Place;
  of: Assigned | undefined;
  today: string;
  called: string;
  chosen: boolean;
  picked: boolean;
  focus: Dispatch<SetStateAction<string | null>>;
}) {
  const late = isLate(k, today);
  const { page, score, round, due } = notes(k, of);
  const said = [
    t(ticketWords[k.state]),
    page,
    score != null && scoreSaid(of?.kind, score),
    round,
    due,
    k.reminded && t('reminded'),
    late && t('late'),
  ].filter(Boolean);
  return (
    <button
      type="button"
      aria-pressed={chosen}
      aria-label={`${called}, ${of?.title ?? ''}: ${said.join(', ')}`}
      onClick={() => focus((before) => (before === k.id ? null : k.id))}
      title={of?.title}
      className={cx(
        'hover:bg-depth-1 inline-flex h-6.5 min-w-11 items-center gap-1.5 rounded-sm px-1.5 text-sm',
        chosen && 'outline-overlay bg-paper outline-2 -outline-offset-2',
        picked && !chosen && 'outline-overlay outline-1 -outline-offset-1',
      )}
    >
      <StateMark state={k.state} bare />
      {page}
      {score != null && shortScore(of?.kind, score)}
      {round && <span className="text-soft">{round}</span>}
      {due}
      {k.reminded && <BellRinging size={14} aria-hidden />}
      {late && <LateMark bare />}
    </button>
  );
});
