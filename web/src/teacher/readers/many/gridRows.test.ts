import { describe, expect, it } from 'vitest';
import { emptyRow, isEmpty, padded, pasted } from './gridRows';
import { sure } from '../../../shared/sure';

describe('the grid', () => {
  it('puts copied cells in from the cell they are pasted into', () => {
    const rows = sure(pasted(padded([]), 1, 0, 'Ana\tCruz\t4\r\nBo\tLee\t5\r\n'));
    expect(rows[0]).toEqual(emptyRow);
    expect(rows[1]).toMatchObject({ givenName: 'Ana', familyName: 'Cruz', grade: '4' });
    expect(rows[2]).toMatchObject({ givenName: 'Bo', familyName: 'Lee', grade: '5' });
  });

  it('leaves a single cell to the field itself', () => expect(pasted(padded([]), 0, 0, 'Ana')).toBeNull());

  it('drops what falls off the right edge and forgets the answer about a twin', () => {
    const rows = sure(pasted([{ ...emptyRow, givenName: 'Ana', sameAs: 'x' }], 0, 7, '17\tmore\neighteen\tmore'));
    expect(rows[0]).toMatchObject({ givenName: 'Ana', sourceId: '17', sameAs: null });
  });

  it('keeps free rows at the end, and no more than that', () => {
    const rows = padded([
      ...Array.from({ length: 30 }, (_, i) => ({ ...emptyRow, givenName: `R${i}` })),
      emptyRow,
      emptyRow,
      emptyRow,
      emptyRow,
      emptyRow,
      emptyRow,
      emptyRow,
    ]);
    expect(rows).toHaveLength(35);
    expect(rows.slice(30).every(isEmpty)).toBe(true);
    expect(padded([])).toHaveLength(12);
  });
});
