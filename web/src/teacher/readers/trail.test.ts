import { describe, expect, it } from 'vitest';
import { apartFrom, depthsOf, stepOf } from './trail';

describe('a trail', () => {
  it('has room for a mark far from the range', () => {
    const { top, bottom } = depthsOf([{ low: 30, high: 40 }], [{ place: 12 }, { place: 55 }]);
    expect(top).toBeLessThan(12);
    expect(bottom).toBeGreaterThan(55);
  });

  it('writes few depths, however far it goes', () => {
    for (const bottom of [8, 20, 40, 90, 119]) expect(bottom / stepOf(0, bottom)).toBeLessThanOrEqual(8);
  });

  it('lays no mark on another, and none past the edge', () => {
    const marks = Array.from({ length: 9 }, () => ({ x: 398, y: 50 }));
    const placed = apartFrom(marks, 402);
    for (const [i, a] of placed.entries()) {
      expect(a.x).toBeLessThanOrEqual(402);
      for (const b of placed.slice(i + 1)) expect(Math.abs(a.x - b.x)).toBeGreaterThanOrEqual(9);
    }
  });

  it('leaves marks that are apart where they are', () => {
    const marks = [
      { x: 10, y: 10 },
      { x: 12, y: 40 },
      { x: 60, y: 10 },
    ];
    expect(apartFrom(marks, 400)).toEqual(marks);
  });
});
