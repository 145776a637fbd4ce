import { describe, expect, it } from 'vitest';
import type { ReaderRow } from '../classQueries';
import { moved, movesOf, rowsOf, staysIn } from './plan';

const group = (id: string, name: string, readerIds: string[]) => ({
  id,
  name,
  readerIds,
  leader: null,
  changedAt: '2026-11-02T09:00:00Z',
});
const now = [group('k', 'Kelp', ['ana', 'ben']), group('f', 'Ferry', ['cleo'])];
const readers = ['ana', 'ben', 'cleo', 'dov'].map((id) => ({ id }) as ReaderRow);

describe('groups as they may be next', () => {
  const plan = [
    { id: 'k', name: 'Wrack', readerIds: ['ana'] },
    { id: null, name: 'Mill', readerIds: ['ben', 'dov'] },
  ];

  it('stand beside what they are now, and what goes comes last', () =>
    expect(rowsOf(now, plan).map((r) => [r.now?.name, r.next?.name, r.at])).toEqual([
      ['Kelp', 'Wrack', 0],
      [undefined, 'Mill', 1],
      ['Ferry', undefined, -1],
    ]));

  it('name who moves, not who stays in a group of another name', () =>
    expect(movesOf(now, plan, readers)).toEqual([
      { id: 'ben', from: 'Kelp', to: 'Mill' },
      { id: 'cleo', from: 'Ferry', to: null },
      { id: 'dov', from: null, to: 'Mill' },
    ]));

  it('put a reader in one group only', () => {
    expect(moved(plan, 'ben', 0).map((g) => g.readerIds)).toEqual([['ana', 'ben'], ['dov']]);
    expect(moved(plan, 'ben', -1).map((g) => g.readerIds)).toEqual([['ana'], ['dov']]);
  });

  it('know where somebody would stay', () => {
    expect(staysIn(now, plan, 'ben')).toBe(0);
    expect(staysIn(now, plan, 'cleo')).toBeNull();
  });
});
