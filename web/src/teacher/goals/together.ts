import type { GoalKind } from '../../shared/goalKinds';
import type { Line } from './goals';

/** Goals of one kind over some readers: their own, taken together. */
export interface Together {
  kind: GoalKind;
  /** Readers who have a goal. */
  set: number;
  /** Of words the sums; of scores and levels the means. */
  done: number;
  target: number;
  /** Where it should be by now, likewise. */
  dueNow: number;
  /** Goals that are to be expected to be reached: the sum of their chances. */
  expected: number;
  reached: number;
}

/** None where nobody has a goal of the kind. */
export function together(lines: readonly Line[], kind: GoalKind): Together | null {
  const goals = lines.flatMap((l) => l.kinds.filter((k) => k.kind === kind).flatMap((k) => k.goal ?? []));
  if (goals.length === 0) return null;
  const share = kind === 'Words' ? 1 : 1 / goals.length;
  const over = (of: (g: (typeof goals)[number]) => number) => goals.reduce((sum, g) => sum + of(g), 0) * share;
  return {
    kind,
    set: goals.length,
    done: over((g) => g.done),
    target: over((g) => g.target),
    dueNow: over((g) => g.dueNow),
    expected: goals.reduce((sum, g) => sum + g.chance, 0),
    reached: goals.filter((g) => g.course === 'Reached').length,
  };
}
