import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { ClassData, ReaderRow } from '../classQueries';
import { groupsIn, howFirst, keepShare, keepWay, readersOf, termsOfHow, whomFirst, whomOptions } from './how';

const kept = new Map<string, string>();
vi.stubGlobal('localStorage', {
  getItem: (key: string) => kept.get(key) ?? null,
  setItem: (key: string, value: string) => kept.set(key, value),
});
beforeEach(() => kept.clear());

const reader = (id: string, group: string | null) => ({ id, group }) as ReaderRow;
const readers = [
  reader('a', 'Kelp'),
  reader('b', 'Ferry'),
  reader('c', 'Kelp'),
  reader('d', null),
  reader('e', 'Ferry'),
];
const data = { id: 'tern', today: '2026-11-27', readers } as ClassData;
const ids = (of: ReaderRow[]) => of.map((r) => r.id);

describe('whom something is for', () => {
  it('begins with the tray where there is somebody in it', () => {
    const whom = whomFirst([readers[0] as ReaderRow]);
    expect(ids(readersOf(whom, data, [readers[0] as ReaderRow]))).toEqual(['a']);
    expect(ids(readersOf(whomFirst([]), data, []))).toEqual(['a', 'b', 'c', 'd', 'e']);
  });

  it('can be a group, and every choice says how many it means', () => {
    expect(groupsIn(data)).toEqual(['Kelp', 'Ferry']);
    const options = whomOptions(data, []);
    expect(options.map((o) => [o.label, readersOf(o.value, data, []).length])).toEqual([
      ['Everybody, 5 readers', 5],
      ['Kelp, 2 readers', 2],
      ['Ferry, 2 readers', 2],
    ]);
    expect(whomOptions(data, readers.slice(0, 2))[0]?.label).toBe('2 readers in tray');
  });
});

describe('how something is given', () => {
  it('is seen today and due in four days at first', () =>
    expect(howFirst(data)).toMatchObject({ visibleFrom: '2026-11-27', due: '2026-12-01', need: 'Required', ways: [] }));

  it('is as it was last time in the class; days and words are new each time', () => {
    keepWay(data, { ...howFirst(data), attempts: 1, aloud: true, place: 'AtHome', note: 'Read it twice', worth: 5 });
    expect(howFirst(data)).toMatchObject({ attempts: 1, aloud: true, place: 'AtHome', note: '', worth: 100 });
    expect(howFirst({ ...data, id: 'plover' })).toMatchObject({ attempts: 2, aloud: false });
  });

  it('keeps what was said before when sharing is switched on', () => {
    keepWay(data, { ...howFirst(data), attempts: 3 });
    keepShare(data.id);
    expect(howFirst(data)).toMatchObject({ attempts: 3, share: true });
  });

  it('begins anew where what was kept cannot be read', () => {
    kept.set('dc-way-of-tern', '{"attempts":');
    expect(howFirst(data)).toMatchObject({ attempts: 2, share: false });
  });

  it('is sent without days that are empty, and seen from today where no day is set', () => {
    const terms = termsOfHow({ ...howFirst(data), visibleFrom: '', due: '', closesOn: '' }, data.today);
    expect(terms).toMatchObject({ visibleFrom: '2026-11-27', dueOn: null, closesOn: null, releasesOn: null });
    expect(termsOfHow({ ...howFirst(data), need: 'Recommended' }, data.today).dueOn).toBeNull();
  });
});
