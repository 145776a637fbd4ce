import { phrase, type Phrase } from './words';
import type { Api } from './api';

export type TicketState = Api<'TicketState'>;

/** What a teacher reads; every state has its word. */
export const ticketWords: Record<TicketState, Phrase> = {
  Planned: phrase('planned'),
  Waiting: phrase('waiting'),
  UnderWay: phrase('under way'),
  HandedIn: phrase('handed in'),
  ToMark: phrase('to mark'),
  Marked: phrase('marked, not yet seen by the reader'),
  Released: phrase('finished'),
  SentBack: phrase('sent back'),
  TakenBack: phrase('taken back'),
  Closed: phrase('closed, nothing answered'),
};

const doneStates: ReadonlySet<TicketState> = new Set(['HandedIn', 'ToMark', 'Marked', 'Released']);

/** Handed in: nothing more can be answered. */
export const isDone = (state: TicketState) => doneStates.has(state);

const openStates: ReadonlySet<TicketState> = new Set(['Waiting', 'UnderWay', 'SentBack']);

/** Its reader may still read and answer. */
export const isOpen = (state: TicketState) => openStates.has(state);
