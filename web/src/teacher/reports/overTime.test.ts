import { expect, test } from 'vitest';
import { byDays, stretchesOf, top } from './overTime';

const day = (on: string, words: number) => ({ day: on, readings: 1, words, seconds: 60, atOnce: 1, asked: 2 });

test('a week is drawn by its days, without a weekend on which nothing was done', () => {
  const week = { from: '2026-11-23', to: '2026-11-29' };
  expect(byDays(week)).toBe(true);
  const days = stretchesOf([day('2026-11-24', 300), day('2026-11-28', 50)], week, true);
  expect(days.map((d) => [d.from, d.words])).toEqual([
    ['2026-11-23', 0],
    ['2026-11-24', 300],
    ['2026-11-25', 0],
    ['2026-11-26', 0],
    ['2026-11-27', 0],
    ['2026-11-28', 50],
  ]);
});

test('a term is drawn by weeks from Monday on, and every day is in one of them', () => {
  const term = { from: '2026-09-02', to: '2026-12-18' };
  expect(byDays(term)).toBe(false);
  const days = [day('2026-09-02', 10), day('2026-09-06', 20), day('2026-09-07', 40), day('2026-12-18', 80)];
  const weeks = stretchesOf(days, term, false);
  expect(weeks[0]).toMatchObject({ from: '2026-09-02', to: '2026-09-06', words: 30, readings: 2, asked: 4 });
  expect(weeks[1]).toMatchObject({ from: '2026-09-07', to: '2026-09-13', words: 40 });
  expect(weeks.at(-1)).toMatchObject({ from: '2026-12-14', to: '2026-12-18', words: 80 });
  expect(weeks.reduce((n, w) => n + w.words, 0)).toBe(150);
});

test.each([
  [0, 1],
  [1, 1],
  [7, 10],
  [12, 20],
  [21_000, 30_000],
  [40_000, 50_000],
])('a scale for %d ends at %d', (most, end) => expect(top(most)).toBe(end));
