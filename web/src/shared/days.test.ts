import { describe, expect, it } from 'vitest';
import { addDays, addMonths, daysAround, parseDay } from './days';

const today = '2026-11-29';

describe('a day as it is typed', () => {
  it.each([
    ['27 Nov', '2026-11-27'],
    ['Fri 27 Nov 2026', '2026-11-27'],
    ['Friday, 27 November 2026', '2026-11-27'],
    ['1st December', '2026-12-01'],
    ['27.11.', '2026-11-27'],
    ['27/11/26', '2026-11-27'],
    ['27.11.2026', '2026-11-27'],
    ['2026-11-27', '2026-11-27'],
    ['today', today],
    ['tomorrow', '2026-11-30'],
    // Without a year, the nearest.
    ['3 Feb', '2027-02-03'],
    ['20 Jul', '2026-07-20'],
    ['29 Feb 2028', '2028-02-29'],
  ])('%s is a day', (typed, day) => {
    expect(parseDay(typed, today)).toBe(day);
  });

  it.each(['', 'soon', '30 Feb 2026', '31.4.2026', '29 Feb', '12', '13/13/2026', '2026-13-01', '27 Foo', '0 Nov'])(
    '%s is none',
    (typed) => {
      expect(parseDay(typed, today)).toBeNull();
    },
  );

  it('is read again as it is written', () => {
    for (let i = -400; i < 400; i++) {
      const day = addDays(today, i);
      const [year, month, date] = day.split('-');
      expect(parseDay(`${date}.${month}.${year}`, today)).toBe(day);
      expect(parseDay(day, today)).toBe(day);
    }
  });
});

describe('the calendar', () => {
  it('goes from month to month and keeps the day where there is one', () => {
    expect(addMonths('2026-01-31', 1)).toBe('2026-02-28');
    expect(addMonths('2026-11-29', 2)).toBe('2027-01-29');
    expect(addMonths('2026-01-15', -1)).toBe('2025-12-15');
  });

  it('is drawn in whole weeks from Monday, with every day of the month once', () => {
    for (let m = 0; m < 24; m++) {
      const day = addMonths('2026-01-10', m);
      const weeks = daysAround(day);
      expect(weeks.every((w) => w.length === 7)).toBe(true);
      expect(new Date(`${weeks[0]?.[0]}T12:00:00`).getDay()).toBe(1);
      const own = weeks.flat().filter((d) => d.startsWith(day.slice(0, 7)));
      expect(own.length).toBe(new Set(own).size);
      expect(own.at(-1)).toBe(addDays(addMonths(`${day.slice(0, 7)}-01`, 1), -1));
      // No week is drawn that has none of its days.
      expect(weeks.every((w) => w.some((d) => d.startsWith(day.slice(0, 7))))).toBe(true);
    }
  });
});
