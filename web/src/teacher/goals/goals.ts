import type { Api } from '../../shared/api';
import { type GoalKind, goalKinds } from '../../shared/goalKinds';

export type GoalsData = Api<'GoalsView'>;
export type Line = Api<'GoalLine'>;
export type OfKind = Api<'GoalOfKind'>;
export const kinds = Object.keys(goalKinds) as GoalKind[];

/** What is being set: for whom, how likely, which kinds, what was typed instead, and why. */
export interface Setting {
  readerIds: string[];
  /** Which of the ambitions, safest first. */
  ambition: number;
  kinds: Record<GoalKind, boolean>;
  typed: Record<string, Partial<Record<GoalKind, string>>>;
  /** Comprehension goals are what the school aims at in the grade. */
  aims: boolean;
  /** The level check that level goals start from; null for today's estimate. */
  check: string | null;
  reason: string;
}

export const begin = (readerIds: string[], usual: number): Setting => ({
  readerIds,
  ambition: usual,
  kinds: { Comprehension: true, Words: true, Depth: true },
  typed: {},
  aims: false,
  check: null,
  reason: '',
});

/** The chance to come to a value by the end of the term, from what it ends with at 19, 18 … 1 in 20. */
export function chanceOf(k: OfKind, value: number): number {
  if (k.kind === 'Words' && k.soFar !== null && value <= k.soFar) return 1;
  const { ends } = k;
  const step = 1 / (ends.length + 1);
  const past = ends.findIndex((e) => e >= value);
  if (past < 0) return step;
  if (past === 0) return 1 - step;
  const [a, b] = [ends[past - 1] ?? 0, ends[past] ?? 0];
  const part = b === a ? 0 : (value - a) / (b - a);
  return 1 - step * (past + part);
}

/** The check that a reader's level goal starts from; none where it is today's estimate, or they have not done it. */
export const checkOf = (s: Setting, l: Line) => l.checks.find((c) => c.checkId === s.check);

/** A kind of goal as its forecast stands on what it starts from. */
export function basedOn(s: Setting, l: Line, k: OfKind): OfKind {
  const check = k.kind === 'Depth' ? checkOf(s, l) : undefined;
  return check ? { ...k, suggested: check.suggested, ends: check.ends } : k;
}

/** The goal of a kind as it is being set: what was typed, else the school's aim, else what follows from the ambition. */
export const wantedOf = (s: Setting, l: Line, k: OfKind): string => {
  const typed = s.typed[l.readerId]?.[k.kind];
  if (typed !== undefined) return typed;
  if (k.kind === 'Comprehension' && s.aims && l.aim !== null) return String(l.aim);
  const suggested = basedOn(s, l, k).suggested[s.ambition] ?? 0;
  return k.kind === 'Words' && suggested === 0 ? '' : String(suggested);
};

/** Level checks that some of the readers have done, the latest first. */
export const checksOf = (lines: readonly Line[]) => [
  ...new Map(
    lines
      .flatMap((l) => l.checks)
      .sort((one, other) => other.day.localeCompare(one.day))
      .map((c) => [c.checkId, c]),
  ).values(),
];

/** What is sent: of kinds that are set, for those it is set for. */
export const targetsOf = (s: Setting, lines: readonly Line[]) =>
  lines
    .filter((l) => s.readerIds.includes(l.readerId))
    .flatMap((l) =>
      l.kinds
        .filter((k) => s.kinds[k.kind] && wantedOf(s, l, k).trim() !== '')
        .map((k) => ({ readerId: l.readerId, kind: k.kind, target: Number(wantedOf(s, l, k)) })),
    );

/** What a goal of words asks for: words a week, how many times what is read now, minutes a school day. */
export function asks(l: Line, k: OfKind, target: number, daysLeft: number) {
  const need = target - (k.soFar ?? 0);
  if (need <= 0 || daysLeft <= 0) return null;
  const perWeek = (need / daysLeft) * 5;
  return {
    perWeek: Math.round(perWeek / 10) * 10,
    times: l.usualWeek > 0 ? perWeek / l.usualWeek : null,
    minutes: Math.max(1, Math.round(need / l.rate / daysLeft)),
  };
}
