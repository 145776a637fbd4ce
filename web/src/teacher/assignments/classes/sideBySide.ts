import type { Api } from '../../../shared/api';

export type ClassPlate = Api<'ClassPlate'>;

/** The day a plate stands on, of those shown: its due day, else the first day it is seen; at the edge where that lies
 * beyond it. Null where it is over before. */
export function dayOfPlate(p: ClassPlate, days: readonly string[]): string | null {
  const first = days[0] ?? '',
    last = days.at(-1) ?? '';
  const day = p.assignment.dueOn ?? p.assignment.visibleFrom;
  if (day > last) return p.assignment.visibleFrom > last ? null : last;
  if (day < first) return p.late > 0 || p.assignment.dueOn === null ? first : null;
  return days.findLast((d) => d <= day) ?? first;
}

/** What of a class's assignments is where, over all of them. */
export function sums(plates: readonly ClassPlate[]) {
  const given = plates.filter((p) => !p.assignment.draft);
  const sum = (of: (p: ClassPlate) => number) => given.reduce((n, p) => n + of(p), 0);
  return {
    waiting: sum((p) => p.assignment.waiting),
    underWay: sum((p) => p.assignment.underWay + p.assignment.sentBack),
    done: sum((p) => p.assignment.done),
    late: sum((p) => p.late),
    toMark: sum((p) => p.assignment.toMark),
    drafts: plates.length - given.length,
  };
}
