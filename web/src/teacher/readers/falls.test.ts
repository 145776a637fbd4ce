import { describe, expect, it } from 'vitest';
import { fallsOf } from './falls';

const mark = (ticketId: string | null, moved: number | null, at: string, leftOut = false) => ({
  ticketId,
  moved,
  at,
  leftOut,
  note: { key: '', values: [], count: null },
});

describe('falls of the level', () => {
  it('are the three quizzes that lowered it most, the latest first', () => {
    const marks = [
      mark('a', -2, '2026-10-01'),
      mark('b', 1, '2026-10-02'),
      mark('c', -0.6, '2026-10-03'),
      mark('d', -1.4, '2026-10-04'),
      mark('e', -0.9, '2026-10-05'),
      mark('f', -0.2, '2026-10-06'),
    ];
    expect(fallsOf(marks).map((m) => m.ticketId)).toEqual(['e', 'd', 'a']);
  });
  it('are of quizzes that count alone', () => {
    expect(fallsOf([mark(null, -3, '2026-10-01'), mark('a', null, '2026-10-01')])).toEqual([]);
    expect(fallsOf([mark('a', -3, '2026-10-01', true)])).toEqual([]);
  });
});
