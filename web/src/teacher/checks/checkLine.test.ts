import { describe, expect, it } from 'vitest';
import type { Choices } from './checkQueries';
import { linesOf } from './checkLine';
import { minutesOf, type PartPlan, type Plan } from './plan';

const choices = {
  grades: [
    { grade: '1', depth: 10, wordReading: 2, wordMeaning: 3, passage: 5 },
    { grade: '6', depth: 50, wordReading: 1, wordMeaning: 2, passage: 9 },
  ],
} as unknown as Choices;
const part = (name: PartPlan['part'], minutes: number): PartPlan => ({
  part: name,
  minutes,
  skipBelow: null,
  skipAbove: null,
  skipMastered: false,
  skipUndecoding: false,
});
const all = [part('WordReading', 4), part('WordMeaning', 6), part('Maze', 3), part('Passages', 25)];
const plan = (parts: PartPlan[], aPartADay = false): Plan =>
  ({ parts, mostPassages: 3, form: [], start: 'OwnLevel', aPartADay }) as unknown as Plan;

/** Every choice of parts. */
const choicesOfParts = Array.from({ length: 16 }, (_, bits) => all.filter((_p, i) => bits & (1 << i)));

describe('a check as a line', () => {
  it.each(choicesOfParts.map((parts) => [parts.map((p) => p.part).join(' '), parts] as const))(
    'hangs its cards one under the other, none over another: %s',
    (_, parts) => {
      for (const depth of [5, 30, 60]) {
        const { lines, bottom } = linesOf(plan(parts), choices, depth);
        expect(lines).toHaveLength(1);
        const knots = lines[0]?.knots ?? [];
        expect(knots.map((k) => k.part.part)).toEqual(parts.map((p) => p.part));
        knots.forEach((k, i) => {
          expect(k.bottom - k.top).toBeGreaterThanOrEqual(40);
          expect(k.top).toBeGreaterThanOrEqual(knots[i - 1]?.bottom ?? 0);
          expect(k.bottom).toBeLessThan(bottom);
        });
      }
    },
  );

  it('is as many minutes deep as its parts take', () => {
    const { lines, minutes } = linesOf(plan(all), choices, 30);
    const whole = all.reduce((sum, p) => sum + Math.max(1, minutesOf(p, plan(all), choices, 30)), 0);
    expect(lines[0]?.minutes).toBeCloseTo(whole);
    expect(minutes).toBeCloseTo(whole);
  });

  it('is a line a day where each part has its day, all by the same ruler', () => {
    const { lines, minutes } = linesOf(plan(all, true), choices, 30);
    expect(lines).toHaveLength(4);
    expect(Math.max(...lines.map((l) => l.minutes))).toBe(minutes);
    expect(new Set(lines.map((l) => l.knots[0]?.top)).size).toBe(1);
  });

  it('has a knot for each passage', () => {
    const { lines } = linesOf(plan(all), choices, 30);
    expect(lines[0]?.knots.map((k) => k.ties)).toEqual([1, 1, 1, 3]);
  });
});
