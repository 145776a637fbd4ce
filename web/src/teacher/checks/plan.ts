import type { Api } from '../../shared/api';
import type { Check, Choices } from './checkQueries';

export type Plan = Check['plan'];
export type PartPlan = Plan['parts'][number];
export type Aims = Check['for'];

export interface CheckForm {
  revision: number;
  readerTitle: string;
  directions: string;
  season: Api<'Season'> | null;
  plan: Plan;
  for: Aims;
  opensOn: string | null;
  closesOn: string | null;
  colleagues: string[];
}

export const emptyPlan = (choices: Choices): Plan => ({
  parts: choices.usual,
  start: 'OwnLevel',
  from: 20,
  to: 40,
  timerShown: false,
  mostPassages: 4,
  sureAt: 2.5,
  aPartADay: false,
  form: [],
});
export const noAims: Aims = { classIds: [], groupIds: [], readerIds: [], grades: [] };

/** Minutes a part is expected to take readers of about this depth; the limit where that is shorter. */
export function minutesOf(part: PartPlan, plan: Plan, choices: Choices, depth: number): number {
  const row = choices.grades.reduce((best, g) => (Math.abs(g.depth - depth) < Math.abs(best.depth - depth) ? g : best));
  const passages = plan.form.length > 0 ? plan.form.length : plan.mostPassages;
  const expected =
    part.part === 'WordReading'
      ? row.wordReading
      : part.part === 'WordMeaning'
        ? row.wordMeaning
        : part.part === 'Maze'
          ? part.minutes
          : passages * row.passage;
  return Math.min(part.minutes, expected);
}

export const totalMinutes = (plan: Plan, choices: Choices, depth: number) =>
  plan.parts.reduce((sum, p) => sum + minutesOf(p, plan, choices, depth), 0);

/** The depth around which a check's readers lie: the band's middle, or the middle reader's own. */
export function aboutDepth(plan: Plan, depths: number[]): number {
  if (plan.start === 'Band') return (plan.from + plan.to) / 2;
  const sorted = [...depths].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? 30;
}

/** The parts with one switched on or off, in their order. */
export function withPart(plan: Plan, part: PartPlan, on: boolean, order: readonly string[]): Plan {
  const rest = plan.parts.filter((p) => p.part !== part.part);
  const parts = on ? [...rest, part].sort((a, b) => order.indexOf(a.part) - order.indexOf(b.part)) : rest;
  // Who does not decode yet is known from word reading only.
  const words = parts.some((p) => p.part === 'WordReading');
  return { ...plan, parts: words ? parts : parts.map((p) => ({ ...p, skipUndecoding: false })) };
}
