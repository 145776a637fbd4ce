import { describe, expect, it } from 'vitest';
import { sure } from '../../shared/sure';
import { asks, begin, chanceOf, checksOf, targetsOf, wantedOf, type Line, type OfKind } from './goals';

const kind = (over: Partial<OfKind> = {}): OfKind => ({
  kind: 'Words',
  soFar: 1000,
  weeks: [],
  suggested: [1500, 1700, 2000, 2200, 2400, 2600, 2800],
  ends: Array.from({ length: 19 }, (_, i) => 1100 + 100 * i),
  goal: null,
  earlier: [],
  ...over,
});
const line: Line = {
  readerId: 'mina',
  givenName: 'Mina',
  familyName: 'Okafor',
  depth: 30,
  usualDepth: 28,
  rate: 140,
  usualWeek: 250,
  aim: 78,
  schoolDaysLeft: 20,
  checks: [
    {
      checkId: 'autumn',
      name: 'Autumn check',
      day: '2026-10-05',
      level: 33,
      half: 4,
      contradicts: false,
      suggested: [32, 32.5, 33, 33, 33.5, 34, 34],
      ends: [],
    },
  ],
  kinds: [kind(), kind({ kind: 'Depth', soFar: 30, suggested: [29, 29.5, 30, 30, 30.5, 31, 31] })],
};

describe('a goal that is being set', () => {
  it('has the chance that the forecast gives it', () => {
    expect(chanceOf(kind(), 900)).toBe(1);
    expect(chanceOf(kind(), 1050)).toBeCloseTo(0.95);
    expect(chanceOf(kind(), 1100)).toBeCloseTo(0.95);
    expect(chanceOf(kind(), 1550)).toBeCloseTo(0.725);
    expect(chanceOf(kind(), 99_999)).toBeCloseTo(0.05);
  });

  it('follows the ambition until something is typed', () => {
    const s = begin(['mina'], 2);
    expect(wantedOf(s, line, kind())).toBe('2000');
    expect(wantedOf({ ...s, ambition: 0 }, line, kind())).toBe('1500');
    expect(wantedOf({ ...s, typed: { mina: { Words: '1234' } } }, line, kind())).toBe('1234');
  });

  it('can be the school’s aim, and a level goal can start from a check', () => {
    const s = begin(['mina'], 2);
    const comprehension = kind({ kind: 'Comprehension', suggested: [60, 65, 70] });
    const depth = sure(line.kinds[1]);
    expect(wantedOf({ ...s, aims: true }, line, comprehension)).toBe('78');
    expect(wantedOf({ ...s, aims: true }, { ...line, aim: null }, comprehension)).toBe('70');
    expect(wantedOf({ ...s, check: 'autumn' }, line, depth)).toBe('33');
    expect(wantedOf({ ...s, check: 'spring' }, line, depth)).toBe('30');
    expect(wantedOf({ ...s, check: 'autumn', aims: true }, line, kind())).toBe('2000');
    expect(checksOf([line, line])).toHaveLength(1);
  });

  it('is sent for those who are chosen and the kinds that are', () => {
    const s = begin(['mina'], 2);
    expect(targetsOf(s, [line]).map((x) => x.target)).toEqual([2000, 30]);
    expect(targetsOf({ ...s, kinds: { ...s.kinds, Depth: false } }, [line])).toHaveLength(1);
    expect(targetsOf({ ...s, readerIds: [] }, [line])).toEqual([]);
  });

  it('says what it asks for', () => {
    expect(asks(line, kind(), 2000, 20)).toEqual({ perWeek: 250, times: 1, minutes: 1 });
    expect(asks({ ...line, usualWeek: 0 }, kind(), 2000, 20)?.times).toBeNull();
    expect(asks(line, kind(), 900, 20)).toBeNull();
    expect(asks(line, kind(), 2000, 0)).toBeNull();
  });
});
