import { describe, expect, it } from 'vitest';
import type { Api } from '../../shared/api';
import type { Choices } from './checkQueries';
import { aboutDepth, emptyPlan, minutesOf, totalMinutes, withPart } from './plan';
import { sure } from '../../shared/sure';

const part = (name: Api<'PartPlanView'>['part'], minutes: number) => ({
  part: name,
  minutes,
  skipBelow: null,
  skipAbove: null,
  skipMastered: false,
  skipUndecoding: false,
});
const choices: Choices = {
  usual: [part('WordReading', 4), part('Maze', 3), part('Passages', 30)],
  grades: [
    { grade: '1', depth: 10, wordReading: 1.5, wordMeaning: 3, passage: 4 },
    { grade: '4', depth: 34, wordReading: 1.5, wordMeaning: 3, passage: 6 },
  ],
  colleagues: [],
  passages: [],
};

describe('the time of a check', () => {
  const plan = emptyPlan(choices);
  it('is that of the nearest grade, and never over the limit', () => {
    expect(minutesOf(sure(plan.parts[2]), plan, choices, 12)).toBe(16);
    expect(minutesOf(sure(plan.parts[2]), plan, choices, 40)).toBe(24);
    expect(minutesOf(sure(plan.parts[2]), { ...plan, mostPassages: 8 }, choices, 40)).toBe(30);
    expect(minutesOf(sure(plan.parts[2]), { ...plan, form: ['a'] }, choices, 40)).toBe(6);
    expect(totalMinutes(plan, choices, 40)).toBe(1.5 + 3 + 24);
  });
  it('is reckoned for the middle reader, or the middle of the band', () => {
    expect(aboutDepth(plan, [50, 10, 30])).toBe(30);
    expect(aboutDepth(plan, [])).toBe(30);
    expect(aboutDepth({ ...plan, start: 'Band', from: 10, to: 20 }, [50])).toBe(15);
  });
});

describe('parts', () => {
  it('stay in their order, and nobody is spared for what is not asked', () => {
    const order = ['WordReading', 'WordMeaning', 'Maze', 'Passages'];
    const spare = {
      ...emptyPlan(choices),
      parts: [part('WordReading', 4), { ...part('Passages', 30), skipUndecoding: true }],
    };
    expect(withPart(spare, part('Maze', 3), true, order).parts.map((p) => p.part)).toEqual([
      'WordReading',
      'Maze',
      'Passages',
    ]);
    expect(withPart(spare, part('WordReading', 4), false, order).parts).toEqual([part('Passages', 30)]);
  });
});
