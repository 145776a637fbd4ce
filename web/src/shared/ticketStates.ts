import type { Api } from './api';

export type TicketState = Api<'TicketState'>;

/** What a teacher reads; every state has its word. */
export const ticketWords: Record<TicketState, string> = {
  Planned: 'planned',
  Waiting: 'waiting',
  UnderWay: 'under way',
  HandedIn: 'handed in',
  ToMark: 'to mark',
  Marked: 'marked, not yet seen by the reader',
  Released: 'finished',
  SentBack: 'sent back',
  Withdrawn: 'taken back',
};

const doneStates: ReadonlySet<TicketState> = new Set(['HandedIn', 'ToMark', 'Marked', 'Released']);

/** Handed in: nothing more can be answered. */
export const isDone = (state: TicketState) => doneStates.has(state);
