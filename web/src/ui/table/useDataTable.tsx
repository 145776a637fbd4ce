import {
  getCoreRowModel,
  getSortedRowModel,
  useReactTable,
  type ColumnDef,
  type Row,
  type SortingState,
  type Table,
  type VisibilityState,
} from '@tanstack/react-table';
import { useMemo, useRef, useState, type ReactNode } from 'react';
import { compare } from '../../shared/compare';
import { type Phrase, t } from '../../shared/words';

/** A column of a list. The first one names the row and is always there. */
export type Column<T> = {
  key: string;
  name: Phrase;
  show: (row: T) => ReactNode;
  /** What it sorts by; a column without cannot be sorted by. */
  by?: (row: T) => string | number;
  num?: boolean;
  /** Stands in the head in place of the name, which is read out. */
  head?: ReactNode;
  /** What stands beside the name of the row. */
  beside?: (row: T) => ReactNode;
  /** May take several lines. */
  wrap?: boolean;
  /** Cannot be hidden. */
  fixed?: boolean;
  /** Is not shown until somebody wants it. */
  apart?: boolean;
};

/** Which rows are picked: kept by the page or by the tray. */
export type Picking = {
  has: (id: string) => boolean;
  set: (ids: readonly string[], on: boolean) => void;
  /** What picking one is called, with its name. */
  label: (name: string) => string;
  /** What picking all that are shown is called. */
  allLabel: string;
};

export type ListOf<T> = {
  /** The list's name, under which a device keeps its columns. */
  list: string;
  columns: readonly Column<T>[];
  rows: readonly T[];
  id: (row: T) => string;
  name: (row: T) => string;
  open?: (row: T) => void;
  /** Where the row leads, where that is a page of its own. */
  to?: (row: T) => string;
  sort?: { key: string; down: boolean };
  /** What is looked for, and whether a row has it. */
  asked?: string;
  matches?: (row: T, asked: string) => boolean;
  picking?: Picking;
  /** Rows that are drawn as gone. */
  gone?: (row: T) => boolean;
  /** The row that is open beside the list. */
  current?: string | null;
  /** Rows in the head that belong to all the others: their sums, and what those are held against. */
  sums?: readonly Sum[];
};

/** A row of the head. */
export type Sum = {
  name: string;
  /** What stands under a column. */
  show: (key: string) => ReactNode;
  /** Stands back behind the others. */
  soft?: boolean;
};

export type DataTable<T> = ListOf<T> & {
  table: Table<T>;
  /** The rows as they are sorted and narrowed. */
  shown: readonly Row<T>[];
  /** Picks a row, or with Shift all from the one picked last. */
  pick: (row: T, range: boolean) => void;
};

const keptUnder = (list: string) => `dc-columns-${list}`;

function keptColumns<T>({ list, columns }: Pick<ListOf<T>, 'list' | 'columns'>): VisibilityState {
  const hide = (keys: readonly string[]) => Object.fromEntries(keys.map((key) => [key, false]));
  const apart = columns.filter((c) => c.apart).map((c) => c.key);
  try {
    const kept = localStorage.getItem(keptUnder(list));
    return hide(kept ? (JSON.parse(kept) as string[]) : apart);
  } catch {
    return hide(apart);
  }
}

/** The rows from one to another, as Shift means them. */
export function rangeOf(ids: readonly string[], last: string | null, to: string): readonly string[] {
  const [a, b] = [last == null ? -1 : ids.indexOf(last), ids.indexOf(to)];
  return a < 0 ? [to] : ids.slice(Math.min(a, b), Math.max(a, b) + 1);
}

/** A list with sorting, choosable columns, a quick filter and rows that can be picked. `DataTableView` draws it. */
export function useDataTable<T>(of: ListOf<T>): DataTable<T> {
  const { columns, rows, id, asked = '', matches, picking } = of;
  const first = columns.find((c) => c.by);
  const [sorting, setSorting] = useState<SortingState>([
    { id: of.sort?.key ?? first?.key ?? '', desc: of.sort?.down ?? false },
  ]);
  const [columnVisibility, setVisibility] = useState(() => keptColumns(of));
  const last = useRef<string | null>(null);
  const defs = useMemo(
    () =>
      columns.map((c): ColumnDef<T> => {
        const { by } = c;
        return {
          id: c.key,
          accessorFn: by ?? (() => null),
          enableSorting: by !== undefined,
          sortDescFirst: false,
          // What a row sorts by is made once for each row.
          sortingFn: (a, b, id) => compare(a.getValue(id), b.getValue(id)),
        };
      }),
    [columns],
  );
  const data = useMemo(() => [...rows], [rows]);
  const table = useReactTable({
    data,
    columns: defs,
    state: { sorting, columnVisibility },
    getRowId: id,
    onSortingChange: setSorting,
    enableSortingRemoval: false,
    onColumnVisibilityChange: (change) =>
      setVisibility((now) => {
        const next = typeof change === 'function' ? change(now) : change;
        const hidden = Object.keys(next).filter((key) => next[key] === false);
        localStorage.setItem(keptUnder(of.list), JSON.stringify(hidden));
        return next;
      }),
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
  });
  // Sorted before it is narrowed, so that a keystroke only leaves rows out.
  const sorted = table.getRowModel().rows;
  const shown = asked && matches ? sorted.filter((r) => matches(r.original, asked)) : sorted;
  const pick = (row: T, range: boolean) => {
    const ids = shown.map((r) => r.id);
    picking?.set(range ? rangeOf(ids, last.current, id(row)) : [id(row)], range || !picking.has(id(row)));
    last.current = id(row);
  };
  return { ...of, table, shown, pick };
}

/** What picking is called where a page says nothing else. */
export const pickWords = (): Pick<Picking, 'label' | 'allLabel'> => ({
  label: (name) => t('Select {{name}}', { name }),
  allLabel: t('Select all shown'),
});

/** Picks kept by a page. */
export function usePicks() {
  const [picked, setPicked] = useState<ReadonlySet<string>>(new Set());
  const picking: Picking = {
    has: (id) => picked.has(id),
    set: (ids, on) =>
      setPicked((now) => {
        const next = new Set(now);
        for (const one of ids)
          if (on) next.add(one);
          else next.delete(one);
        return next;
      }),
    ...pickWords(),
  };
  return { picking, picked: [...picked], clear: () => setPicked(new Set()) };
}
