import type { Work } from '../queries';
import { isWritten } from './kinds';

export type Question = Work['questions'][number];
/** What of a question is needed to show it and to answer it. */
export type Shown = Pick<Question, 'id' | 'kind' | 'stem' | 'choices' | 'rights' | 'wanted' | 'attempts'>;
/** An answer on its way: places that were picked (−1 for a place still empty), or words. */
export type Draft = { picks: number[]; words: string };
export type Widget = { q: Shown; draft: Draft; setDraft: (d: Draft) => void; open: boolean; heading: string };
export type Picker = Widget & { oneAtATime: boolean; text: Work['sentences'] };

export const draftKey = (ticketId: string, q: Pick<Question, 'id'>) => `dc-draft-${ticketId}-${q.id}`;

/** What a reader has written stays on the device until it is sent. */
export const emptyDraft = (ticketId: string, q: Question): Draft => ({
  picks: [],
  words: isWritten(q) ? (localStorage.getItem(draftKey(ticketId, q)) ?? '') : '',
});

/** True if all of it is answered. */
export const ready = (q: Shown, d: Draft) =>
  isWritten(q) ? d.words.trim().length > 0 : d.picks.every((p) => p >= 0) && d.picks.length === q.wanted;
