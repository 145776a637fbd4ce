import { describe, expect, it } from 'vitest';
import { forecast, zoneWord } from './forecast';
import { bandsOf } from './SeaBackground';
import type { ClassData, ReaderRow } from '../classQueries';
import { sure } from '../../shared/sure';

describe('the forecast that is drawn', () => {
  it('is the core’s: 80 % at the same depth, 90 and 70 % at the ends of the reach', () => {
    expect(forecast(34, 34)).toBe(80);
    expect(forecast(34, 34 - 8.109)).toBe(90);
    expect(forecast(34, 34 + 5.39)).toBe(70);
  });

  it('is named by what is shown', () => {
    expect(zoneWord(69, { zoneLow: 0.7, zoneHigh: 0.9 })).toBe('deep');
    expect(zoneWord(70, { zoneLow: 0.7, zoneHigh: 0.9 })).toBe('');
    expect(zoneWord(89, { zoneLow: 0.7, zoneHigh: 0.9 })).toBe('');
    expect(zoneWord(90, { zoneLow: 0.7, zoneHigh: 0.9 })).toBe('easy');
    expect(zoneWord(72, { zoneLow: 0.75, zoneHigh: 0.95 })).toBe('deep');
  });
});

describe('bands of groups', () => {
  const readers = [10, 11, 12, 13, 14, 15, 16, 14.5, 18, 19, 20, 21, 22, 23].map(
    (depth, i) => ({ id: String(i), depth }) as ReaderRow,
  );
  const group = (name: string, from: number, to: number) =>
    ({
      id: name,
      name,
      position: 0,
      formedAt: '',
      readerIds: readers.slice(from, to).map((r) => r.id),
    }) as ClassData['groups'][number];

  it('lie in order of depth, whatever order they come in, and never over one another', () => {
    const bands = bandsOf([group('Mill', 7, 14), group('Kelp', 0, 7), group('Empty', 0, 0)], readers, (d) => d * 10);
    expect(bands.map((b) => b.name)).toEqual(['Kelp', 'Mill']);
    expect(sure(bands[0]).y1).toBeLessThanOrEqual(sure(bands[1]).y0);
    expect(sure(bands[1]).all).toBe(7);
  });
});
