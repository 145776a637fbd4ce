import { expect, test } from 'vitest';
import { together } from './together';
import type { Line, OfKind } from './goals';

const goal = (kind: OfKind['kind'], done: number, target: number, chance: number, reached = false): OfKind => ({
  kind,
  soFar: done,
  weeks: [],
  suggested: [],
  ends: [],
  goal: {
    kind,
    target,
    done,
    dueNow: target / 2,
    chance,
    course: reached ? 'Reached' : 'OnCourse',
    setAt: '2026-09-14T09:00:00Z',
    reason: '',
    id: '1',
    metReason: null,
    mayCallMet: false,
  },
  earlier: [],
});
const line = (readerId: string, kinds: OfKind[]): Line => ({
  readerId,
  givenName: readerId,
  familyName: '',
  depth: 30,
  usualDepth: null,
  rate: 140,
  usualWeek: 0,
  aim: null,
  schoolDaysLeft: 20,
  checks: [],
  kinds,
});
const lines = [
  line('a', [goal('Words', 1000, 2000, 0.5), goal('Comprehension', 70, 80, 0.4)]),
  line('b', [goal('Words', 3000, 3000, 1, true), goal('Comprehension', 90, 80, 0.9)]),
  line('c', [{ ...goal('Words', 500, 0, 0), goal: null }]),
];

test('words are summed over those who have a goal, and what is to be expected is the sum of chances', () => {
  expect(together(lines, 'Words')).toEqual({
    kind: 'Words',
    set: 2,
    done: 4000,
    target: 5000,
    dueNow: 2500,
    expected: 1.5,
    reached: 1,
  });
});

test('scores are means', () => {
  expect(together(lines, 'Comprehension')).toMatchObject({ set: 2, done: 80, target: 80 });
  expect(together(lines, 'Comprehension')?.expected).toBeCloseTo(1.3);
});

test('a kind nobody has a goal of is none', () => expect(together(lines, 'Depth')).toBeNull());
