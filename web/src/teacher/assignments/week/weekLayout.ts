import type { Api } from '../../../shared/api';
import { addDays } from '../../../shared/days';

export type Plate = Api<'WeekPlate'>;
type Row = Api<'WeekRow'>;

export const daysOfWeek = 7;
const weekend = 2;

/** Monday of the week a day is in. */
export function mondayOf(day: string): string {
  const weekday = (new Date(`${day}T12:00:00`).getDay() + 6) % 7;
  return addDays(day, -weekday);
}

/** What begins in the week of a Monday; what is seen from the weekend before on is there on Monday. */
export const ofWeek = (plates: readonly Plate[], monday: string) =>
  plates.filter((p) => {
    const { visibleFrom } = p.assignment;
    return visibleFrom >= addDays(monday, -weekend) && visibleFrom < addDays(monday, daysOfWeek - weekend);
  });

/** A plate in its row: from which day to which, counted from 0, and in which lane. */
export interface Laid {
  plate: Plate;
  from: number;
  to: number;
  lane: number;
  /** The day it closes on, where that is later than the day it is due. */
  closes: number | null;
}

export const sameRow = (a: Row, b: Row) => a.kind === b.kind && (a.groupId ?? null) === (b.groupId ?? null);

/** Which of the days that are shown something lies on, counted from 0; null where on none of them. */
export function spanOf(first: string, last: string, days: readonly string[]): { from: number; to: number } | null {
  const from = days.findIndex((day) => day >= first);
  const to = days.findLastIndex((day) => day <= last);
  // Of a weekend only, it stands on the day after.
  return from < 0 || to < 0 ? null : { from, to: Math.max(from, to) };
}

/**
 * Lays plates into lanes: from the day one becomes visible to the day it is due, each as high as there is room. What
 * began before or ends after the days that are shown is cut there; what lies in none of them is left out.
 * @param days Monday to Friday, of one or several weeks.
 */
export function lay(plates: readonly Plate[], days: readonly string[]): { laid: Laid[]; lanes: number } {
  const laid: Laid[] = [];
  const ends: number[] = [];
  for (const plate of plates) {
    const { visibleFrom, dueOn, closesOn } = plate.assignment;
    const span = spanOf(visibleFrom, dueOn ?? visibleFrom, days);
    if (!span) continue;
    const { from, to: end } = span;
    const shut = closesOn === null ? -1 : days.findLastIndex((day) => day <= closesOn);
    const free = ends.findIndex((until) => until < from);
    const lane = free < 0 ? ends.length : free;
    ends[lane] = Math.max(end, shut);
    laid.push({ plate, from, to: end, lane, closes: shut > end ? shut : null });
  }
  return { laid, lanes: ends.length };
}

/** The first stretch of school days of a week on which a row has nothing; null where there is none, or nothing at all. */
export function gap(laid: readonly Laid[], days: readonly { day: string; off: boolean }[], from: number, to: number) {
  const busy = (i: number) => laid.some((x) => x.from <= i && i <= x.to);
  const open = Array.from({ length: to - from + 1 }, (_, i) => from + i).filter((i) => !days[i]?.off);
  const first = open.find((i) => !busy(i));
  if (first === undefined) return null;
  const after = open.filter((i) => i >= first);
  const end = after.find(busy);
  const last = end === undefined ? after.at(-1) : after.filter((i) => i < end).at(-1);
  return { from: first, to: last ?? first, whole: open.every((i) => !busy(i)) };
}

/** The school day so many school days from another; past what is known, so many days. */
export function schoolDay(day: string, steps: number, days: readonly { day: string; off: boolean }[]): string {
  const open = days.filter((d) => !d.off).map((d) => d.day);
  const at = steps > 0 ? open.findLastIndex((d) => d <= day) : open.findIndex((d) => d >= day);
  return (at < 0 ? undefined : open[at + steps]) ?? addDays(day, steps);
}
