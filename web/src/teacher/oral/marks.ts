import { sure } from '../../shared/sure';

/** What can happen to a word, in the order of the keys that mark it. */
export const kinds = ['Substitution', 'Omission', 'Insertion', 'Repetition', 'SelfCorrection', 'Told'] as const;
export type Kind = (typeof kinds)[number];

/** The key of each. */
export const letterKinds: Readonly<Record<string, Kind>> = {
  s: 'Substitution',
  o: 'Omission',
  i: 'Insertion',
  r: 'Repetition',
  c: 'SelfCorrection',
  t: 'Told',
};
export const letterOf = Object.fromEntries(
  Object.entries(letterKinds).map(([letter, kind]) => [kind, letter.toUpperCase()]),
) as Record<Kind, string>;

export interface Mark {
  index: number;
  kind: Kind;
  heard: string;
  used: string;
  span: number;
  doubt: boolean;
}
export interface SheetWord {
  start: number;
  length: number;
  name: boolean;
}

/** Insertions and repetitions stand between words; of the others a word has one. */
export const isBetween = (kind: Kind) => kind === 'Insertion' || kind === 'Repetition';
const isError = (kind: Kind) =>
  kind === 'Substitution' || kind === 'Omission' || kind === 'Insertion' || kind === 'Told';

export const markOf = (marks: Mark[], index: number) =>
  marks.find((m) => !isBetween(m.kind) && index >= m.index && index < m.index + m.span);
export const betweenAt = (marks: Mark[], index: number) => marks.filter((m) => isBetween(m.kind) && m.index === index);

/** Puts a mark on a word, in place of the one it has; the same mark again takes it off. */
export function put(marks: Mark[], index: number, kind: Kind): Mark[] {
  const made: Mark = { index, kind, heard: '', used: '', span: 1, doubt: false };
  if (isBetween(kind)) {
    const same = betweenAt(marks, index).find((m) => m.kind === kind);
    return sorted(same ? marks.filter((m) => m !== same) : [...marks, made]);
  }
  const before = markOf(marks, index);
  const rest = marks.filter((m) => m !== before);
  if (before?.kind === kind) return rest;
  // What was said stays, whether it was put right afterwards or not.
  return sorted([
    ...rest,
    before && before.index === index
      ? { ...before, kind, heard: kind === 'Omission' ? '' : before.heard, doubt: false }
      : made,
  ]);
}

export const clear = (marks: Mark[], index: number) =>
  marks.filter((m) => m !== markOf(marks, index) && !(isBetween(m.kind) && m.index === index));
export const change = (marks: Mark[], mark: Mark, to: Partial<Mark>) =>
  marks.map((m) => (m === mark ? { ...m, ...to, doubt: false } : m));

const sorted = (marks: Mark[]) =>
  [...marks].sort((a, b) => a.index - b.index || Number(isBetween(a.kind)) - Number(isBetween(b.kind)));

export interface Counted {
  words: number;
  errors: number;
  corrections: number;
  repetitions: number;
  accuracy: number;
  lost: number;
}

/** Words as they are said: case and the signs around them do not matter. */
const spoken = (heard: string) => (heard.toLowerCase().match(/[\p{L}\p{N}’']+/gu) ?? []).join(' ');

/** The counts while a record is marked; the server counts again by the same rules. A name misread the same way counts once. */
export function counted(
  marks: Mark[],
  words: SheetWord[],
  lastWord: number | null,
  keyOf: (index: number) => string,
): Counted {
  const read = lastWord === null ? words.length : Math.min(words.length, lastWord + 1);
  const here = marks.filter((m) => m.index < read);
  const names = new Set<string>();
  const errors = here.filter((m) => {
    if (!isError(m.kind)) return false;
    if (m.kind !== 'Substitution' || !words[m.index]?.name) return true;
    const misread = `${keyOf(m.index)} ${spoken(m.heard)}`;
    return !names.has(misread) && !!names.add(misread);
  }).length;
  const lost = here
    .filter((m) => m.kind === 'Substitution' || m.kind === 'Omission' || m.kind === 'Told')
    .reduce((n, m) => n + m.span, 0);
  return {
    words: read,
    errors,
    corrections: here.filter((m) => m.kind === 'SelfCorrection').length,
    repetitions: here.filter((m) => m.kind === 'Repetition').length,
    accuracy: read === 0 ? 0 : Math.max(0, (read - errors) / read),
    lost,
  };
}

export interface Line {
  from: number;
  to: number;
  begins: boolean;
}

/** The text in lines of at most so many letters; a paragraph begins a line. */
export function linesOf(body: string, words: SheetWord[], most = 62): Line[] {
  const lines: Line[] = [];
  let from = 0,
    begins = true;
  for (let i = 0; i < words.length; i++) {
    const end = sure(words[i]).start + sure(words[i]).length;
    const next = words[i + 1];
    const paragraph = !next || body.slice(end, next.start).includes('\n');
    if (paragraph || next.start + next.length - sure(words[from]).start > most) {
      lines.push({ from, to: i + 1, begins });
      from = i + 1;
      begins = paragraph;
    }
  }
  return lines;
}

/** A word with the signs around it: opening ones go with the word they open. */
export function shownAt(body: string, words: SheetWord[], i: number): string {
  const word = sure(words[i]);
  const gap =
    i === 0 ? body.slice(0, word.start) : body.slice(sure(words[i - 1]).start + sure(words[i - 1]).length, word.start);
  const after = body.slice(word.start + word.length, words[i + 1]?.start ?? body.length);
  return (
    (gap.match(/[^\s]*$/)?.[0] ?? '').replace(/^[.,;:!?…)”’»]+/u, '') +
    body.slice(word.start, word.start + word.length) +
    (after.match(/^[^\s]*/)?.[0].replace(/[(“‘«]+$/u, '') ?? '')
  );
}
