import { describe, expect, it } from 'vitest';
import { joined, pathOf, strokeAt, thinned, type Stroke } from './strokes';

const stroke = (id: string, points: number[], more: Partial<Stroke> = {}): Stroke => ({
  id,
  page: 0,
  pen: 'Fine',
  points,
  gone: false,
  ...more,
});

describe('what is drawn on a paper', () => {
  it('is joined from two devices, and what one rubbed out stays rubbed out', () => {
    const both = joined([stroke('a', [0, 0]), stroke('b', [1, 1])], [stroke('a', [0, 0], { gone: true })]);
    expect(both.map((s) => [s.id, s.gone])).toEqual([
      ['a', true],
      ['b', false],
    ]);
  });

  it('is a line in the size in which the page is seen', () =>
    expect(pathOf(stroke('a', [0, 0, 0.5, 1]), 200, 100)).toBe('M0.0 0.0L100.0 100.0'));

  it('keeps no points that lie on one another', () =>
    expect(thinned([0, 0, 0.0001, 0, 0.01, 0], 0.001)).toEqual([0, 0, 0.01, 0]));

  it('is found where a rubber touches it, and not what is gone or on another page', () => {
    const all = [
      stroke('a', [0.5, 0.5]),
      stroke('b', [0.52, 0.5], { gone: true }),
      stroke('c', [0.52, 0.5], { page: 1 }),
    ];
    expect(strokeAt(all, 0, 0.52, 0.5, 0.03)?.id).toBe('a');
    expect(strokeAt(all, 0, 0.9, 0.5, 0.03)).toBeNull();
  });
});
