import type { Api } from '../../shared/api';

export type Practised = Api<'PractisedWord'>;

const known = (done: readonly Practised[], word: number) => done.some((d) => d.word === word && d.known);

/** Words of the next round: those that were missed come first, and a round is as even as can be.
 * @param count Words of the list.
 * @param atOnce Words that are practised at once, at most. */
export function roundOf(count: number, done: readonly Practised[], atOnce: number): number[] {
  const open = Array.from({ length: count }, (_, i) => i).filter((i) => !known(done, i));
  const missed = open.filter((i) => done.some((d) => d.word === i));
  const rounds = Math.ceil(open.length / atOnce);
  return [...missed, ...open.filter((i) => !missed.includes(i))].slice(0, Math.ceil(open.length / rounds) || 0);
}

/** What is known after a word was tried once more. */
export function afterTry(done: readonly Practised[], word: number, right: boolean): Practised[] {
  const before = done.find((d) => d.word === word);
  const now = { word, tries: (before?.tries ?? 0) + 1, known: right || (before?.known ?? false) };
  return [...done.filter((d) => d.word !== word), now].sort((a, b) => a.word - b.word);
}

/** What two places have of the same practice, put together: nothing that was done is lost. */
export const joined = (one: readonly Practised[], other: readonly Practised[]): Practised[] =>
  [...new Set([...one, ...other].map((d) => d.word))]
    .sort((a, b) => a - b)
    .map((word) => {
      const those = [...one, ...other].filter((d) => d.word === word);
      return { word, tries: Math.max(...those.map((d) => d.tries)), known: those.some((d) => d.known) };
    });

const shown = 3;

/** Words to choose from: the right one among its neighbours of the list, in an order that stays the same for a try. */
export function choicesOf(words: readonly string[], word: number, attempt: number): number[] {
  const others = Array.from({ length: words.length - 1 }, (_, i) => (word + 1 + i + attempt) % words.length).filter(
    (i) => i !== word && words[i] !== words[word],
  );
  const picked = [...new Set(others)].slice(0, shown - 1);
  const at = (word * 7 + attempt * 5) % (picked.length + 1);
  return [...picked.slice(0, at), word, ...picked.slice(at)];
}
