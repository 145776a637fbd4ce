import { describe, expect, it } from 'vitest';
import { ready, type Question } from './draft';

const q = (kind: string, choices: number, wanted = 1) =>
  ({ kind, choices: Array.from({ length: choices }, String), wanted }) as unknown as Question;

describe('an answer is ready', () => {
  it('when as many are chosen as are wanted', () => {
    expect(ready(q('Single', 4), { picks: [], words: '' })).toBe(false);
    expect(ready(q('Single', 4), { picks: [2], words: '' })).toBe(true);
    expect(ready(q('Multiple', 4, 2), { picks: [2], words: '' })).toBe(false);
    expect(ready(q('Multiple', 4, 2), { picks: [2, 0], words: '' })).toBe(true);
  });
  it('when everything has its place', () => {
    expect(ready(q('Order', 3, 3), { picks: [2, 0], words: '' })).toBe(false);
    expect(ready(q('Match', 2, 2), { picks: [1, -1], words: '' })).toBe(false);
    expect(ready(q('Match', 2, 2), { picks: [1, 0], words: '' })).toBe(true);
  });
  it('when something is written', () => {
    expect(ready(q('Short', 0), { picks: [], words: '  ' })).toBe(false);
    expect(ready(q('Long', 0), { picks: [], words: 'Because.' })).toBe(true);
  });
});
