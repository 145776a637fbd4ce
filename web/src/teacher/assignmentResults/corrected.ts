import type { Api } from '../../shared/api';

export type Way = 'out' | 'key';

/** What a correction says is right: picks, or a sentence by version; both null to take the question out. */
export interface Key {
  right: number[] | null;
  proofs: Record<string, string> | null;
}
export const takenOut: Key = { right: null, proofs: null };

type Question = Api<'QuestionView'>;

const indexes = (q: Question, has: (c: Question['choices'][number]) => boolean) =>
  q.choices.flatMap((c, i) => (has(c) ? [i] : []));

/** Things on the left of a match, and those that have another half. */
export const leftsOf = (q: Question) => indexes(q, (c) => c.text !== '');
export const halvesOf = (q: Question) => indexes(q, (c) => !!c.match);

/** The key as it is written, to begin from. */
export function keyOf(q: Question): Key {
  if (q.kind === 'Sentence') return { right: [], proofs: q.proofs };
  if (q.kind === 'Order') return { right: q.choices.map((_, i) => i), proofs: null };
  if (q.kind === 'Match') return { right: leftsOf(q), proofs: null };
  return { right: indexes(q, (c) => c.right), proofs: null };
}

/** Whether its key can be another one; what is written a person marks. */
export const hasKey = (q: Question) => q.kind !== 'Short' && q.kind !== 'Long';

/** Two things of an order change places. */
export function swapped(right: readonly number[], at: number, to: number) {
  const next = [...right];
  [next[at], next[to]] = [right[to] ?? 0, right[at] ?? 0];
  return next;
}

/** Another half for a thing on the left; what had it takes what this one had. */
export function paired(right: readonly number[], at: number, half: number) {
  const had = right.indexOf(half);
  return right.map((x, i) => {
    if (i === at) return half;
    return i === had ? (right[at] ?? x) : x;
  });
}
