import { describe, expect, it } from 'vitest';
import { placeReaders, pushApart, span } from './layout';
import { sure } from '../../shared/sure';

describe('pushApart', () => {
  it('leaves labels alone that are far enough apart', () =>
    expect(pushApart([10, 50, 90], 28, 0, 200)).toEqual([10, 50, 90]));

  it('spreads a pile evenly about its middle', () =>
    expect(pushApart([100, 100, 100], 20, 0, 400)).toEqual([80, 100, 120]));

  it('keeps order, pitch and bounds for any input', () => {
    let seed = 7;
    const random = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
    for (let run = 0; run < 200; run++) {
      const wanted = Array.from({ length: 1 + Math.floor(random() * 12) }, () => random() * 500).sort((a, b) => a - b);
      const at = pushApart(wanted, 28, 4, 500);
      at.forEach((y, i) => {
        expect(y).toBeGreaterThanOrEqual(4 - 1e-9);
        expect(y).toBeLessThanOrEqual(500 + 1e-9);
        if (i > 0) expect(y - sure(at[i - 1])).toBeGreaterThanOrEqual(28 - 1e-9);
      });
    }
  });
});

describe('placeReaders', () => {
  const readers = Array.from({ length: 36 }, (_, i) => ({
    id: String(i),
    depth: 20 + (i % 9),
    low: 16 + (i % 9),
    high: 24 + (i % 9),
  }));

  it('never lays a flag on another of its lane, nor a range on another of its mast', () => {
    const placed = placeReaders(readers, (d) => d * 20, 3, 28, 0, 1400);
    expect(placed).toHaveLength(36);
    for (const a of placed)
      for (const b of placed) {
        if (a === b || a.lane !== b.lane) continue;
        expect(Math.abs(a.at - b.at)).toBeGreaterThanOrEqual(28 - 1e-9);
        if (a.slot === b.slot) expect(a.bottom < b.top || b.bottom < a.top).toBe(true);
      }
  });
});

describe('span', () => {
  it('shows at least twenty fathoms, also for one reader or none', () => {
    for (const depths of [[], [30], [29, 31]]) {
      const [low, high] = span(depths);
      expect(high - low).toBeGreaterThanOrEqual(20);
    }
  });
});
