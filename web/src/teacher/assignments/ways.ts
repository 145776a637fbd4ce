import type { Api } from '../../shared/api';
import type { ClassData, ReaderRow } from '../classQueries';
import { groupsIn } from './how';

type OwnWay = Api<'OwnWay'>;

/** A group, or one reader, who does it otherwise; what is empty is as for everybody. */
export interface WayRow {
  /** A group or a reader, as `waysFor` lists them. */
  who: string;
  attempts: string;
  onTheWay: string;
  aloud: string;
  due: string;
  atOnce: string;
  by: string;
  readAloud: string;
  oneChoice: string;
  textSize: string;
}

export const emptyWay = (who: string): WayRow => ({
  who,
  attempts: '',
  onTheWay: '',
  aloud: '',
  due: '',
  atOnce: '',
  by: '',
  readAloud: '',
  oneChoice: '',
  textSize: '',
});

const groupKey = (name: string) => `group ${name}`;

/** The groups and readers, of those it is for, who can do it otherwise. */
export const waysFor = (data: ClassData, readers: readonly ReaderRow[]) => {
  const ids = new Set(readers.map((r) => r.id));
  return [
    ...groupsIn(data)
      .filter((name) => data.readers.some((r) => r.group === name && ids.has(r.id)))
      .map((name) => ({ value: groupKey(name), label: name })),
    ...readers.map((r) => ({ value: r.id, label: `${r.givenName} ${r.familyName}` })),
  ];
};

const flag = (x: string) => (x === '' ? null : x === 'yes');

const wayOf = (row: WayRow): OwnWay => ({
  attempts: row.attempts ? Number(row.attempts) : null,
  onTheWay: flag(row.onTheWay),
  aloud: flag(row.aloud),
  dueOn: row.due || null,
  atOnce: row.atOnce ? Number(row.atOnce) : null,
  by: row.by === '' ? null : (row.by as OwnWay['by']),
  readAloud: flag(row.readAloud),
  oneChoice: flag(row.oneChoice),
  textSize: row.textSize ? Number(row.textSize) : null,
});

/** As it is sent: each reader once. What is said of a reader goes before what is said of their group. */
export function sentWays(rows: readonly WayRow[], readers: readonly ReaderRow[]) {
  const named = new Set(rows.map((x) => x.who));
  return rows
    .map((row) => ({
      readerIds: readers
        .filter((r) => r.id === row.who || (groupKey(r.group ?? '') === row.who && !named.has(r.id)))
        .map((r) => r.id),
      way: wayOf(row),
    }))
    .filter((x) => x.readerIds.length > 0);
}
