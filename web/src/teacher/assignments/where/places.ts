import type { Api } from '../../../shared/api';
import { isDone, isOpen } from '../../../shared/ticketStates';

export type PlacesData = Api<'PlacesView'>;
export type Place = Api<'PlaceRow'>;
type Plate = Api<'WeekPlate'>;

/** A column: one assignment for everybody, or the first, second, … of each group, or what single readers have. */
export interface PlaceColumn {
  key: string;
  /** The assignment of everybody's column. */
  plate: Plate | null;
  /** Of a group's columns: which of the group's, from 0. */
  nth: number | null;
}

/** The columns of a stretch of days: what everybody has, then as many as the busiest group has, then single readers'. */
export function columnsOf(d: PlacesData): PlaceColumn[] {
  const everybody = d.plates.filter((p) => p.row.kind === 'Everybody');
  const most = Math.max(0, ...d.groups.map((g) => ofGroup(d, g.id).length));
  const single = d.plates.some((p) => p.row.kind === 'Single');
  return [
    ...everybody.map((plate) => ({ key: plate.assignment.id, plate, nth: null })),
    ...Array.from({ length: most }, (_, nth) => ({ key: `group-${nth}`, plate: null, nth })),
    ...(single ? [{ key: 'single', plate: null, nth: null }] : []),
  ];
}

export const ofGroup = (d: PlacesData, groupId: string) =>
  d.plates.filter((p) => p.row.kind === 'Group' && p.row.groupId === groupId);

/** The tickets of each reader. */
export function byReader(d: PlacesData): ReadonlyMap<string, Place[]> {
  const places = new Map<string, Place[]>();
  for (const k of d.places) places.set(k.readerId, [...(places.get(k.readerId) ?? []), k]);
  return places;
}

/** What a reader has in a column, of all they have. */
export function cellsOf(d: PlacesData, column: PlaceColumn, mine: readonly Place[], groupId: string | null): Place[] {
  const wanted = wantedIn(d, column, groupId);
  return mine.filter((k) => wanted.has(k.assignmentId));
}

function wantedIn(d: PlacesData, column: PlaceColumn, groupId: string | null) {
  if (column.plate) return new Set([column.plate.assignment.id]);
  if (column.nth !== null) {
    const plate = groupId === null ? undefined : ofGroup(d, groupId)[column.nth];
    return new Set(plate ? [plate.assignment.id] : []);
  }
  return new Set(d.plates.filter((p) => p.row.kind === 'Single').map((p) => p.assignment.id));
}

export const filters = [
  'Waiting',
  'UnderWay',
  'Done',
  'ToMark',
  'SentBack',
  'TakenBack',
  'Closed',
  'Late',
  'TooFast',
] as const;
export type Filter = (typeof filters)[number];

/** Not handed in though its day has passed: the assignment's, or the reader's own. */
export const isLate = (k: Place, today: string) => k.dueOn !== null && k.dueOn < today && isOpen(k.state);

/** Whether a ticket is one of those a word of the head counts. */
export function matches(filter: Filter, k: Place, today: string): boolean {
  if (filter === 'Done') return isDone(k.state);
  if (filter === 'Late') return isLate(k, today);
  if (filter === 'TooFast') return isDone(k.state) && k.tooFast > 0 && 2 * k.tooFast >= k.answered;
  return k.state === filter;
}
