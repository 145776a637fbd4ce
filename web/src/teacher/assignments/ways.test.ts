import { describe, expect, it } from 'vitest';
import type { ReaderRow } from '../classQueries';
import { emptyWay, sentWays } from './ways';

const reader = (id: string, group: string | null) => ({ id, group }) as ReaderRow;
const nothing = {
  attempts: null,
  onTheWay: null,
  aloud: null,
  dueOn: null,
  atOnce: null,
  by: null,
  readAloud: null,
  oneChoice: null,
  textSize: null,
};
const readers = [reader('a', 'Kelp'), reader('b', 'Kelp'), reader('c', null)];

describe('what is different for some', () => {
  it('means the readers of a group, and leaves the rest as it is for everybody', () =>
    expect(sentWays([{ ...emptyWay('group Kelp'), attempts: '1' }], readers)).toEqual([
      {
        readerIds: ['a', 'b'],
        way: { ...nothing, attempts: 1 },
      },
    ]));

  it('takes what is said of a reader before what is said of their group', () =>
    expect(
      sentWays(
        [
          { ...emptyWay('group Kelp'), aloud: 'yes' },
          { ...emptyWay('b'), aloud: 'no' },
        ],
        readers,
      ).map((x) => [x.readerIds, x.way.aloud]),
    ).toEqual([
      [['a'], true],
      [['b'], false],
    ]));

  it('says nothing of readers who are not among those it is for', () =>
    expect(sentWays([emptyWay('gone'), emptyWay('group Mill')], readers)).toEqual([]));
});
