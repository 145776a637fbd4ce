import { addDays } from '../../../shared/days';

const weekday = (day: string) => (new Date(`${day}T12:00:00`).getDay() + 6) % 7;

/** The days from one to another, both counted; either may come first. */
export function daysBetween(one: string, other: string): string[] {
  const [from, to] = one <= other ? [one, other] : [other, one];
  const days: string[] = [];
  for (let day = from; day <= to && days.length < 500; day = addDays(day, 1)) days.push(day);
  return days;
}

/** The weeks of a year from Monday to Friday; days before it begins and after it ends are null. */
export function weeksOf(firstDay: string, lastDay: string): (string | null)[][] {
  if (!firstDay || !lastDay || lastDay < firstDay) return [];
  const weeks: (string | null)[][] = [];
  for (
    let monday = addDays(firstDay, -weekday(firstDay));
    monday <= lastDay && weeks.length < 80;
    monday = addDays(monday, 7)
  )
    weeks.push(
      [0, 1, 2, 3, 4].map((n) => addDays(monday, n)).map((day) => (day < firstDay || day > lastDay ? null : day)),
    );
  // A year that ends before its first Monday, or begins on a weekend, has weeks without a day.
  return weeks.filter((week) => week.some((day) => day !== null));
}

/** Days off with some more of them, or without them where all were off already. */
export function turned(daysOff: readonly string[], days: readonly string[]): string[] {
  const off = new Set(daysOff);
  const asked = days.filter((day) => weekday(day) < 5);
  const all = asked.every((day) => off.has(day));
  asked.forEach((day) => (all ? off.delete(day) : off.add(day)));
  return [...off].sort();
}
