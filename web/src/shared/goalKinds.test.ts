import { describe, expect, it } from 'vitest';
import { courseWord, goalKinds } from './goalKinds';

describe('what is said of a goal', () => {
  it.each([
    ['Comprehension', 75, '75%'],
    ['Words', 2500, '2,500'],
    ['Depth', 36.9, '36.9 fm'],
  ] as const)('a figure of %s in its own unit', (kind, x, words) => expect(goalKinds[kind].write(x)).toBe(words));

  it.each([
    ['Comprehension', 71.6, 75, '72 of 75%'],
    ['Words', 1784, 2500, '1,784 of 2,500'],
    ['Depth', 33.8, 36, '33.8 of 36.0 fm'],
  ] as const)('how far %s is', (kind, done, target, words) => expect(goalKinds[kind].outOf(done, target)).toBe(words));

  it('leaves open what there is nothing yet to say of', () => {
    expect(goalKinds.Comprehension.outOf(null, 75)).toBe('– of 75%');
    expect(goalKinds.Words.outOf(null, 2500)).toBe('– of 2,500');
  });

  it('counts whole answers of ten for families, and names no level to them', () => {
    expect(goalKinds.Comprehension.forGuardian.soFar(80, 63)).toBe('6 of 10, the goal is 8');
    expect(goalKinds.Depth.forGuardian.soFar(36, 33)).toBe('');
  });

  it('asks only of words where they should be by now', () =>
    expect(
      Object.entries(goalKinds)
        .filter(([, k]) => k.grows)
        .map(([kind]) => kind),
    ).toEqual(['Words']));

  it('has a word for each course', () =>
    expect((['Reached', 'OnCourse', 'SlightlyBehind', 'Behind'] as const).map(courseWord)).toEqual([
      'reached',
      'on course',
      'slightly behind',
      'behind',
    ]));
});
