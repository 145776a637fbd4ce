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
  /** The assignments that stand in it, in a group's rows. */
  idsFor: (groupId: string | null) => ReadonlySet<string>;
}

const none: ReadonlySet<string> = new Set();

/** The columns of a stretch of days: what everybody has, then as many as the busiest group has, then single readers'. */
export function columnsOf(d: PlacesData): PlaceColumn[] {
  // A reader's row stands with their group of guided reading; what another grouping has is a column of its own.
  const guided = d.groups.filter((g) => !g.grouping);
  const everybody = d.plates.filter(
    ({ row }) => row.kind === 'Everybody' || (row.kind === 'Group' && !guided.some((g) => g.id === row.groupId)),
  );
  const groups = new Map(
    guided.map((g) => [g.id, ofGroup(d, g.id).map((p) => new Set([p.assignment.id]) as ReadonlySet<string>)]),
  );
  const most = Math.max(0, ...[...groups.values()].map((ids) => ids.length));
  const single = new Set(d.plates.filter((p) => p.row.kind === 'Single').map((p) => p.assignment.id));
  return [
    ...everybody.map((plate) => {
      const ids = new Set([plate.assignment.id]);
      return { key: plate.assignment.id, plate, nth: null, idsFor: () => ids };
    }),
    ...Array.from({ length: most }, (_, nth) => ({
      key: `group-${nth}`,
      plate: null,
      nth,
      idsFor: (groupId: string | null) => groups.get(groupId ?? '')?.[nth] ?? none,
    })),
    ...(single.size > 0 ? [{ key: 'single', plate: null, nth: null, idsFor: () => single }] : []),
  ];
}

export const ofGroup = (d: PlacesData, groupId: string) =>
  d.plates.filter((p) => p.row.kind === 'Group' && p.row.groupId === groupId);

/** The tickets of each reader. */
export function byReader(d: PlacesData): ReadonlyMap<string, readonly Place[]> {
  const places = new Map<string, Place[]>();
  for (const k of d.places) {
    const mine = places.get(k.readerId);
    if (mine) mine.push(k);
    else places.set(k.readerId, [k]);
  }
  return places;
}

/** What a reader has in a column, of all they have. */
export function cellsOf(column: PlaceColumn, mine: readonly Place[], groupId: string | null): readonly Place[] {
  const wanted = column.idsFor(groupId);
  return wanted.size === 0 ? [] : mine.filter((k) => wanted.has(k.assignmentId));
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
