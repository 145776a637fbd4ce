import { describe, expect, it } from 'vitest';
import { byReader, cellsOf, columnsOf, matches, type Place, type PlacesData } from './places';

const plate = (id: string, kind: string, groupId?: string) =>
  ({ assignment: { id, dueOn: '2026-11-27' }, row: { kind, groupId } }) as PlacesData['plates'][number];
const ticket = (assignmentId: string, readerId: string, state = 'Waiting') =>
  ({
    id: `${assignmentId}-${readerId}`,
    assignmentId,
    readerId,
    state,
    tooFast: 0,
    answered: 7,
    dueOn: '2026-11-27',
  }) as Place;

const d = {
  groups: [
    { id: 'kelp', name: 'Kelp', readerIds: ['a'] },
    { id: 'mill', name: 'Mill', readerIds: ['b'] },
  ],
  plates: [
    plate('warm', 'Everybody'),
    plate('k1', 'Group', 'kelp'),
    plate('k2', 'Group', 'kelp'),
    plate('m1', 'Group', 'mill'),
    plate('own', 'Single'),
  ],
  places: [ticket('warm', 'a'), ticket('k1', 'a'), ticket('k2', 'a'), ticket('m1', 'b'), ticket('own', 'b')],
} as unknown as PlacesData;

describe('who is where', () => {
  it('has a column for what everybody has, as many as the busiest group has, and one for single readers', () =>
    expect(columnsOf(d).map((c) => c.key)).toEqual(['warm', 'group-0', 'group-1', 'single']));

  it('finds what a reader has in a column by their own group', () => {
    const [warm, first, second, single] = columnsOf(d);
    const ids = (column: typeof warm, reader: string, group: string) =>
      column && cellsOf(column, byReader(d).get(reader) ?? [], group).map((k) => k.id);
    expect(ids(warm, 'b', 'mill')).toEqual([]);
    expect(ids(first, 'a', 'kelp')).toEqual(['k1-a']);
    expect(ids(first, 'b', 'mill')).toEqual(['m1-b']);
    expect(ids(second, 'b', 'mill')).toEqual([]);
    expect(ids(single, 'b', 'mill')).toEqual(['own-b']);
  });

  it('counts as late what was due and is open, and as too fast what was handed in mostly so', () => {
    const k = ticket('k1', 'a');
    expect(matches('Late', k, '2026-11-28')).toBe(true);
    expect(matches('Late', k, '2026-11-27')).toBe(false);
    expect(matches('Late', { ...k, state: 'Released' }, '2026-11-28')).toBe(false);
    expect(matches('TooFast', { ...k, state: 'Released', tooFast: 4 }, '2026-11-28')).toBe(true);
    expect(matches('TooFast', { ...k, state: 'Released', tooFast: 3 }, '2026-11-28')).toBe(false);
    expect(matches('Done', { ...k, state: 'ToMark' }, '2026-11-28')).toBe(true);
  });
});
