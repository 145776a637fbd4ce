import { describe, expect, it } from 'vitest';
import { bandsOf } from './SeaBackground';
import type { ClassData, ReaderRow } from '../classQueries';
import { sure } from '../../shared/sure';

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
