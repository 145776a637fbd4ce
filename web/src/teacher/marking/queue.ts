import type { Api } from '../../shared/api';

export type Question = Api<'ToMarkQuestion'>;
export type Answer = Api<'ToMarkAnswer'>;

/** One answer in the queue, with the question it answers. */
export interface Entry {
  key: string;
  q: Question;
  a: Answer;
}

export type Order = 'question' | 'reader';

export const entryKey = (a: Answer) => `${a.ticketId} ${a.answerId ?? ''}`;

/** A head of the queue with what hangs under it. */
export interface Part {
  key: string;
  entries: Entry[];
}

/**
 * The queue in parts: a question with all its readers, or a reader with all their questions. What waits longest comes
 * first; what is written by several hangs there once, at whoever wrote it, if that is here, too.
 */
export function partsOf(questions: readonly Question[], order: Order): Part[] {
  const all = questions.flatMap((q) => {
    const here = new Set(q.answers.map((a) => a.ticketId));
    return q.answers
      .filter((a) => a.writtenWith === null || !here.has(a.writtenWith))
      .map((a) => ({ key: entryKey(a), q, a }));
  });
  const parts = new Map<string, Entry[]>();
  for (const e of all) {
    const key = order === 'question' ? e.q.key : e.a.readerId;
    parts.set(key, [...(parts.get(key) ?? []), e]);
  }
  const since = (p: Part) => p.entries.map((e) => e.a.handedInAt).sort()[0] ?? '';
  return [...parts]
    .map(([key, entries]) => ({ key, entries }))
    .sort((one, other) => since(one).localeCompare(since(other)));
}

export const inOrder = (parts: readonly Part[]) => parts.flatMap((p) => p.entries);
export const toMark = (e: Entry) => e.a.mark === null;

/** The next one that waits, after one and around the end; null where none waits but itself. */
export function nextToMark(entries: readonly Entry[], at: string): Entry | null {
  const i = entries.findIndex((e) => e.key === at);
  return [...entries.slice(i + 1), ...entries.slice(0, Math.max(i, 0))].find(toMark) ?? null;
}

const plain = (words: string) =>
  words
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** Others who wrote the same words to the same question and are not marked yet. */
export const alike = (entries: readonly Entry[], of: Entry) =>
  plain(of.a.words) === ''
    ? []
    : entries.filter(
        (e) => e.key !== of.key && e.q.key === of.q.key && toMark(e) && plain(e.a.words) === plain(of.a.words),
      );

/** An answer in pieces: those a proposal went by are told apart. */
export function piecesOf(words: string, by: readonly string[]): { text: string; by: boolean }[] {
  const those = new Set(by);
  return words
    .split(/(\p{L}+(?:['’]\p{L}+)?)/u)
    .filter((x) => x !== '')
    .map((text) => ({ text, by: those.has(text) }));
}
