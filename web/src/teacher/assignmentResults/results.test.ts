import { describe, expect, it } from 'vitest';
import { columnsOf, lanesOf, rowsInOrder, sortsWord, stacked, type Asked, type Row } from './results';

const question = (number: number, right: number | null) =>
  ({ number, right, atOnce: right === null ? 0 : 1, later: 0, notYet: 0 }) as Asked;
const row = (readerId: string, over: Partial<Row> = {}) =>
  ({ readerId, counts: true, asked: 6, against: 'As', ...over }) as Row;

describe('results', () => {
  it('sorts questions by how many got them, and leaves those on the way in their order', () => {
    const columns = columnsOf({
      questions: [question(1, 0.4), question(2, 0.9), question(3, null), question(4, 0.4)],
      onTheWay: [question(1, 0.1), question(2, 0.8), question(3, null)],
    });
    expect(columns.map((c) => [c.q.number, c.onTheWay])).toEqual([
      [2, false],
      [1, false],
      [4, false],
      [3, false],
      [1, true],
      [2, true],
    ]);
    expect(columns.map((c) => c.at)).toEqual([1, 0, 3, 2, 0, 1]);
  });

  it('puts those who do not count last', () => {
    const rows = [row('a', { counts: false }), row('b'), row('c')];
    expect(rowsInOrder(rows).map((r) => r.readerId)).toEqual(['b', 'c', 'a']);
  });

  it('has a lane for above, as and below the forecast; who does not count is in none', () => {
    const lanes = lanesOf([
      row('a', { against: 'Above' }),
      row('b', { against: 'Below' }),
      row('c', { against: null }),
      row('d', { counts: false, against: 'Above' }),
      row('e', { asked: 0 }),
    ]);
    expect([lanes.Above, lanes.As, lanes.Below].map((l) => l.map((r) => r.readerId))).toEqual([['a'], ['c'], ['b']]);
  });

  it('stacks dots of the same share', () => {
    expect(stacked([0.5, 0.8, 0.5])).toEqual([
      { share: 0.5, level: 0 },
      { share: 0.8, level: 0 },
      { share: 0.5, level: 1 },
    ]);
  });

  it('says in a word how a question sorts readers', () => {
    expect([0.41, 0.2, 0, -0.4, null].map(sortsWord)).toEqual(['well', 'a little', 'hardly', 'against', null]);
  });
});
