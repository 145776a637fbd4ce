import { minutesOf, type PartPlan, type Plan } from './plan';
import type { Choices } from './checkQueries';

/** A part as it hangs on its line.
 * @remarks Passages have a knot each; those after the first come only while the level is not sure enough. */
export type Knot = {
  part: PartPlan;
  ties: number;
  minutes: number;
  from: number;
  to: number;
  top: number;
  bottom: number;
};
/** One sitting: parts that are taken one after the other. */
export type Line = { knots: Knot[]; minutes: number; bottom: number };
export type Lines = { lines: Line[]; perMinute: number; minutes: number; bottom: number };

const least = 14,
  most = 22,
  card = 48,
  between = 8,
  under = 64;
/** Above the first part. */
export const lineTop = 34;

/** The lines of a plan: one sitting, or one a day. A minute is as long on each, and every card has room.
 * @returns Places in pixels from the water's surface. */
export function linesOf(plan: Plan, choices: Choices, depth: number): Lines {
  const sittings = plan.aPartADay ? plan.parts.map((p) => [p]) : [plan.parts];
  const minutes = (p: PartPlan) => Math.max(1, minutesOf(p, plan, choices, depth));
  const shortest = Math.min(...plan.parts.map(minutes), 60);
  const perMinute = Math.max(least, Math.min(most, card / shortest));
  const lines = sittings.map((parts): Line => {
    let from = 0,
      free = 0;
    const knots = parts.map((part): Knot => {
      const to = from + minutes(part);
      // What is shorter than its card moves what comes after it down.
      const top = Math.max(from * perMinute, free);
      const bottom = Math.max(top + card, to * perMinute - between);
      free = bottom + between;
      const ties = part.part !== 'Passages' ? 1 : plan.form.length || plan.mostPassages;
      const knot = { part, ties, minutes: minutes(part), from, to, top: lineTop + top, bottom: lineTop + bottom };
      from = to;
      return knot;
    });
    return { knots, minutes: from, bottom: lineTop + Math.max(free, from * perMinute) };
  });
  const bottom = Math.max(...lines.map((l) => l.bottom), lineTop + card) + under;
  return { lines, perMinute, minutes: Math.max(...lines.map((l) => l.minutes), 0), bottom };
}
