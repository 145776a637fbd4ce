import type { Api } from '../../shared/api';
import { weekdays } from '../../shared/format';

export type Weekday = Api<'DayOfWeek'>;

/** Days on which there can be school. */
export const schoolWeekdays: readonly Weekday[] = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday'];

/** A weekday as the page's language writes it, short. */
export const weekdayName = (day: Weekday) => weekdays()[schoolWeekdays.indexOf(day)] ?? day;

/** The weekday of a school day. */
export const weekdayOf = (day: string): Weekday => schoolWeekdays[new Date(`${day}T12:00`).getDay() - 1] ?? 'Monday';
