import type { Api } from '../../shared/api';
import { addDays } from '../../shared/days';
import type { Span } from './span';

type DayRead = Api<'DayRead'>;

/** What was read and answered in a day or a week. */
export interface Stretch {
  from: string;
  to: string;
  readings: number;
  words: number;
  seconds: number;
  atOnce: number;
  asked: number;
}

const mostDays = 21;
const monday = (day: string) => addDays(day, -((new Date(`${day}T12:00Z`).getUTCDay() + 6) % 7));
const weekend = (day: string) => [0, 6].includes(new Date(`${day}T12:00Z`).getUTCDay());
const length = ({ from, to }: Span) => Math.round((Date.parse(to) - Date.parse(from)) / 86_400_000) + 1;

/** Whether a span is drawn by its days; a longer one by its weeks. */
export const byDays = (span: Span) => length(span) <= mostDays;

/** A span cut into days or weeks, those in which nothing was done too; a weekend's day only where something was. */
export function stretchesOf(days: readonly DayRead[], span: Span, daily: boolean): Stretch[] {
  const stretches: Stretch[] = [];
  for (let from = span.from; from <= span.to;) {
    const end = daily ? from : addDays(monday(from), 6);
    const to = end < span.to ? end : span.to;
    const these = days.filter((d) => d.day >= from && d.day <= to);
    const sum = (of: (d: DayRead) => number) => these.reduce((n, d) => n + of(d), 0);
    if (!daily || these.length > 0 || !weekend(from))
      stretches.push({
        from,
        to,
        readings: sum((d) => d.readings),
        words: sum((d) => d.words),
        seconds: sum((d) => d.seconds),
        atOnce: sum((d) => d.atOnce),
        asked: sum((d) => d.asked),
      });
    from = addDays(to, 1);
  }
  return stretches;
}

/** A round figure that a scale ends at: not below the most. */
export function top(most: number) {
  if (most <= 0) return 1;
  const ten = 10 ** Math.floor(Math.log10(most));
  return ([1, 2, 3, 5, 10].find((n) => n * ten >= most) ?? 10) * ten;
}
