import { describe, expect, it } from 'vitest';
import { pastedLine, pastedResults } from './typed';

const readers = [
  { id: '1', names: ['Siân', 'Siân Rees', 'Rees Siân'] },
  { id: '2', names: ['Bo', 'Bo Lee', 'Lee Bo'] },
  { id: '3', names: ['Bo', 'Bo Quist', 'Quist Bo'] },
];

describe('a pasted line', () => {
  it.each([
    ['7', { name: '', points: 7, of: null }],
    ['7,5', { name: '', points: 7.5, of: null }],
    ['Ana Cruz\t7', { name: 'Ana Cruz', points: 7, of: null }],
    ['Cruz\tAna\t7/10', { name: 'Cruz Ana', points: 7, of: 10 }],
    ['Ana Cruz; 7 of 10', { name: 'Ana Cruz', points: 7, of: 10 }],
    ['Ana Cruz 7 out of 10', { name: 'Ana Cruz', points: 7, of: 10 }],
    ['Ana Cruz, 7', { name: 'Ana Cruz', points: 7, of: null }],
  ])('%s', (line, said) => expect(pastedLine(line)).toEqual(said));
  it.each(['', 'Name\tPoints', 'Ana Cruz'])('is none: %s', (line) => expect(pastedLine(line)).toBeNull());
});

describe('pasted results', () => {
  it('go by name, however accents are written', () => {
    const { points, of, unknown } = pastedResults('Name\tPoints\nSian Rees\t7/10\nLee, Bo\t4\nZed\t3\nBo\t1', readers);
    expect([...points]).toEqual([
      ['1', 7],
      ['2', 4],
    ]);
    expect(of).toBe(10);
    // Two are called Bo.
    expect(unknown).toEqual(['Zed', 'Bo']);
  });
  it('go down the list where there are no names', () => {
    const { points, unknown } = pastedResults('7\n\n4\n5\n6', readers);
    expect([...points.values()]).toEqual([7, 4, 5]);
    expect(unknown).toEqual(['6']);
  });
});
