import type { ReactNode } from 'react';
import { DataTableView, TableFoot } from './DataTableView';
import { type ListOf, useDataTable } from './useDataTable';

/** A list that fills its page: it sorts, its rows are moved through by keys, and its foot says how many. */
export function DataList<T>({
  label,
  counted,
  empty,
  pinned,
  ...of
}: ListOf<T> & {
  label: string;
  counted: (shown: number, all: number) => string;
  empty?: ReactNode;
  pinned?: boolean;
}) {
  const list = useDataTable(of);
  return (
    <>
      <DataTableView of={list} label={label} empty={empty} pinned={pinned} />
      <TableFoot of={list} counted={counted} />
    </>
  );
}
