import { describe, expect, it } from 'vitest';
import { dayOfPlate, sums, type ClassPlate } from './sideBySide';

const days = ['2026-11-23', '2026-11-24', '2026-11-25', '2026-11-26', '2026-11-27'];
const plate = (visibleFrom: string, dueOn: string | null, more: object = {}, late = 0) =>
  ({
    late,
    assignment: { visibleFrom, dueOn, draft: false, waiting: 0, underWay: 0, sentBack: 0, done: 0, toMark: 0, ...more },
  }) as ClassPlate;

describe('several classes side by side', () => {
  it('puts an assignment on the day it is due, or at the edge it reaches beyond', () => {
    expect(dayOfPlate(plate('2026-11-23', '2026-11-25'), days)).toBe('2026-11-25');
    expect(dayOfPlate(plate('2026-11-23', '2026-12-04'), days)).toBe('2026-11-27');
    expect(dayOfPlate(plate('2026-11-24', null), days)).toBe('2026-11-24');
    expect(dayOfPlate(plate('2026-11-10', '2026-11-20', {}, 2), days)).toBe('2026-11-23');
    expect(dayOfPlate(plate('2026-11-10', '2026-11-20'), days)).toBeNull();
    expect(dayOfPlate(plate('2026-11-21', '2026-11-28'), days)).toBe('2026-11-27');
    expect(dayOfPlate(plate('2026-11-30', '2026-12-04'), days)).toBeNull();
  });

  it('counts what was given and leaves drafts apart', () =>
    expect(
      sums([
        plate('2026-11-23', null, { waiting: 2, underWay: 1, sentBack: 1, done: 3, toMark: 1 }, 1),
        plate('2026-11-23', null, { draft: true, waiting: 9 }),
      ]),
    ).toEqual({ waiting: 2, underWay: 2, done: 3, late: 1, toMark: 1, drafts: 1 }));
});
