import type { Signal } from './signals';

/** So many readers with the same trouble stand together. */
const together = 3;

/** One signal, or several of the same trouble. */
export type Block = { key: string; of: Signal[] };

const trouble = (s: Signal) => `${s.kind} ${s.strand ?? ''} ${s.goal ?? ''}`;

/** Signals in their order; those of readers with the same trouble come together, where the first of them stands. */
export function blocksOf(all: readonly Signal[]): Block[] {
  const by = new Map<string, Signal[]>();
  for (const s of all) if (s.readerId !== null) by.set(trouble(s), [...(by.get(trouble(s)) ?? []), s]);
  const alike = (s: Signal) => (s.readerId === null ? [] : (by.get(trouble(s)) ?? []));
  return all.flatMap((s) => {
    const those = alike(s);
    if (those.length < together) return [{ key: s.id, of: [s] }];
    return those[0] === s ? [{ key: trouble(s), of: those }] : [];
  });
}
