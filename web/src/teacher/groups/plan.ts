import type { Api } from '../../shared/api';
import type { ReaderRow } from '../classQueries';

export type Rules = Api<'GroupRulesBody'>;
export type Proposal = Api<'ProposalView'>;
export type Judged = Api<'JudgedView'>;
export type Placement = Api<'PlacementView'>;

/** A group as it may be next; without an id it is new. */
export interface NextGroup {
  id: string | null;
  name: string;
  readerIds: string[];
}
export type Plan = readonly NextGroup[];

export type NowGroup = Pick<Api<'GroupRow'>, 'id' | 'name' | 'readerIds' | 'leader' | 'changedAt'>;

/** Now and next in one row; a group that is new, or that goes, has one side only. */
export interface Row {
  now: NowGroup | null;
  next: NextGroup | null;
  /** Its place in the plan; −1 where it goes. */
  at: number;
}

export function rowsOf(now: readonly NowGroup[], plan: Plan): Row[] {
  const rows: Row[] = plan.map((next, at) => ({ now: now.find((g) => g.id === next.id) ?? null, next, at }));
  const gone = now.filter((g) => !plan.some((n) => n.id === g.id));
  return [...rows, ...gone.map((g) => ({ now: g, next: null, at: -1 }))];
}

export const placeOf = (groups: readonly { readerIds: readonly string[] }[], id: string) =>
  groups.findIndex((g) => g.readerIds.includes(id));

/** The group a reader is in now, as one of the plan; null where they are in none that goes on. */
export const staysIn = (now: readonly NowGroup[], plan: Plan, id: string) => {
  const here = now.find((g) => g.readerIds.includes(id));
  const at = here ? plan.findIndex((g) => g.id === here.id) : -1;
  return at < 0 ? null : at;
};

export const moved = (plan: Plan, id: string, to: number): NextGroup[] =>
  plan.map((g, i) => ({
    ...g,
    readerIds: i === to ? [...g.readerIds.filter((x) => x !== id), id] : g.readerIds.filter((x) => x !== id),
  }));

/** One who changes groups: by name, where they were and where they go. */
export interface Move {
  id: string;
  from: string | null;
  to: string | null;
}

/** Who would be in another group than now, deeper groups last. */
export function movesOf(now: readonly NowGroup[], plan: Plan, readers: readonly ReaderRow[]): Move[] {
  return readers
    .map((r) => {
      const was = now.find((g) => g.readerIds.includes(r.id)) ?? null;
      const next = plan.find((g) => g.readerIds.includes(r.id)) ?? null;
      return { id: r.id, from: was?.name ?? null, to: next?.name ?? null, same: (was?.id ?? '') === (next?.id ?? '') };
    })
    .filter((m) => !m.same || (m.from === null && m.to !== null))
    .map(({ id, from, to }) => ({ id, from, to }));
}

/** Readers of a group that are in the class, shallow first. */
export const inOrder = (ids: readonly string[], readers: ReadonlyMap<string, ReaderRow>) =>
  ids
    .map((id) => readers.get(id))
    .filter((r) => r !== undefined)
    .sort((a, b) => a.depth - b.depth);
