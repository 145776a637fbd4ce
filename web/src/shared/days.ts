// Days as people write them, and as the API does: 2026-11-27.

const iso = (d: Date) =>
  `${String(d.getFullYear()).padStart(4, '0')}-${String(d.getMonth() + 1).padStart(2, '0')}-${String(d.getDate()).padStart(2, '0')}`;
const noon = (day: string) => new Date(`${day}T12:00:00`);

/** The day so many days after another. */
export function addDays(day: string, days: number): string {
  const d = noon(day);
  d.setDate(d.getDate() + days);
  return iso(d);
}

/** The same day so many months on, or that month's last. */
export function addMonths(day: string, months: number): string {
  const d = noon(day);
  const wanted = d.getDate();
  d.setDate(1);
  d.setMonth(d.getMonth() + months);
  d.setDate(Math.min(wanted, new Date(d.getFullYear(), d.getMonth() + 1, 0).getDate()));
  return iso(d);
}

/** A day that there is; 30 February is none. */
function dayAt(year: number, month: number, day: number): string | null {
  const d = new Date(year, month - 1, day, 12);
  return d.getMonth() === month - 1 && d.getDate() === day && year >= 1900 && year <= 2999 ? iso(d) : null;
}

const months = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

/** The year in which a day without one lies nearest to today. */
function nearest(month: number, day: number, today: string): string | null {
  const year = Number(today.slice(0, 4));
  const found = [year - 1, year, year + 1].map((y) => dayAt(y, month, day)).filter((d) => d !== null);
  const away = (d: string) => Math.abs(noon(d).getTime() - noon(today).getTime());
  return found.sort((a, b) => away(a) - away(b))[0] ?? null;
}

const fullYear = (typed: string) => (typed.length === 2 ? 2000 : 0) + Number(typed);

/** A day as somebody types it: 27 Nov, Fri 27 November 2026, 27.11., 27/11/26, 2026-11-27, today, tomorrow.
 * The day comes before the month; without a year it is the nearest.
 * @returns The day as the API writes it; null where it is none. */
export function parseDay(typed: string, today: string): string | null {
  const text = typed
    .trim()
    .toLowerCase()
    .replace(/^(mon|tue|wed|thu|fri|sat|sun)[a-z]*\.?,?\s+/, '');
  if (text === 'today') return today;
  if (text === 'tomorrow') return addDays(today, 1);
  const asApi = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(text);
  if (asApi) return dayAt(Number(asApi[1]), Number(asApi[2]), Number(asApi[3]));
  const inWords =
    /^(\d{1,2})(?:st|nd|rd|th)?\.?\s+([a-z]{3,9})\.?,?(?:\s+(\d{4}|\d{2}))?$/.exec(text) ??
    /^(\d{1,2})[./](\d{1,2})(?:[./]\s?(\d{4}|\d{2})?)?$/.exec(text);
  if (!inWords) return null;
  const [, day = '', named = '', year] = inWords;
  const month = /\d/.test(named) ? Number(named) : months.indexOf(named.slice(0, 3)) + 1;
  if (month < 1 || month > 12) return null;
  return year ? dayAt(fullYear(year), month, Number(day)) : nearest(month, Number(day), today);
}

/** The days a month is drawn with: whole weeks, Monday first. */
export function daysAround(day: string): string[][] {
  const first = `${day.slice(0, 7)}-01`;
  const weekday = (noon(first).getDay() + 6) % 7;
  const last = addDays(addMonths(first, 1), -1);
  const weeks = Math.ceil((weekday + Number(last.slice(8))) / 7);
  return Array.from({ length: weeks }, (_, w) =>
    Array.from({ length: 7 }, (_, d) => addDays(first, w * 7 + d - weekday)),
  );
}
