import { PencilSimple, ArrowUUpLeft } from '@phosphor-icons/react';
import type { Api } from '../shared/api';
import { t } from '../shared/words';
import { ticketWords } from '../shared/ticketStates';
import { Buoy } from './Buoy';

type State = Api<'TicketState'>;
const size = 14;

const Round = ({ half = false, full = false, dashed = false }) => (
  <svg viewBox="0 0 14 14" width={size} height={size} aria-hidden className="flex-none">
    <circle
      cx="7"
      cy="7"
      r="5.3"
      fill={full ? 'var(--color-depth-6)' : 'var(--color-paper)'}
      stroke={full ? 'var(--color-depth-6)' : 'var(--color-ink)'}
      strokeWidth="1.5"
      strokeDasharray={dashed ? '2 2' : undefined}
    />
    {half && <path d="M7 1.7a5.3 5.3 0 0 0 0 10.6z" fill="var(--color-ink)" />}
  </svg>
);

const shapes: Record<State, React.ReactNode> = {
  Planned: <Round dashed />,
  Waiting: <Round />,
  UnderWay: <Round half />,
  HandedIn: <Round full />,
  Marked: <Round full />,
  Released: <Round full />,
  ToMark: <PencilSimple size={size} aria-hidden className="flex-none" />,
  SentBack: <ArrowUUpLeft size={size} aria-hidden className="flex-none" />,
  TakenBack: (
    <svg viewBox="0 0 14 14" width={size} height={size} aria-hidden className="flex-none">
      <path d="M2.5 7h9" stroke="var(--color-ink)" strokeWidth="1.6" />
    </svg>
  ),
  Closed: (
    <svg viewBox="0 0 14 14" width={size} height={size} aria-hidden className="flex-none">
      <path d="M3 2v10M3 7h8M11 2v10" stroke="var(--color-ink)" strokeWidth="1.6" fill="none" />
    </svg>
  ),
};

/** Where a ticket is, as a shape; its word is read out, or stands beside it. */
export const StateMark = ({ state, bare = false }: { state: State; bare?: boolean }) => (
  <>
    {shapes[state]}
    {!bare && <span className="sr-only">{t(ticketWords[state])}</span>}
  </>
);

const hourglass = 'M4.5 .5h5L7.6 3l1.9 2.5h-5L6.4 3z';

/** Late: a buoy that carries an hourglass. */
export const LateMark = ({ bare = false }: { bare?: boolean }) => (
  <>
    <Buoy topmark={hourglass} />
    {!bare && <span className="sr-only">{t('late')}</span>}
  </>
);
