import { Columns } from '@phosphor-icons/react';
import { useVirtualizer } from '@tanstack/react-virtual';
import { cx } from 'class-variance-authority';
import { useRef, type KeyboardEvent, type ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import { sure } from '../../shared/sure';
import { t } from '../../shared/words';
import { Menu, MenuCheck } from '../Menu';
import { RowTick } from '../Checkbox';
import { TableBody, TableHead, TableScroll, Td, Th } from './Table';
import type { Column, DataTable, Sum } from './useDataTable';
import { HeadCell, PickAll } from './HeadCells';

const rowHeight = 33,
  manyRows = 120;

/** A list as a table: the head stays, columns sort, ↑ ↓ move between rows, Space picks, Enter opens. */
export function DataTableView<T>({
  of,
  label,
  empty,
  pinned,
}: {
  of: DataTable<T>;
  label: string;
  empty?: ReactNode;
  /** The first column stays in sight when the rest moves under it. */
  pinned?: boolean;
}) {
  const frame = useRef<HTMLDivElement>(null);
  const rows = of.shown;
  const columns = of.columns.filter((c) => of.table.getColumn(c.key)?.getIsVisible());
  // Long lists are drawn where they are looked at.
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => frame.current,
    estimateSize: () => rowHeight,
    overscan: 20,
    enabled: rows.length > manyRows,
  });
  const seen = rows.length > manyRows ? virtual.getVirtualItems().map((v) => v.index) : rows.map((_, i) => i);
  const above = rows.length > manyRows ? (virtual.getVirtualItems()[0]?.start ?? 0) : 0;
  const below = rows.length > manyRows ? virtual.getTotalSize() - (virtual.getVirtualItems().at(-1)?.end ?? 0) : 0;
  const wide = columns.length + (of.picking ? 1 : 0);
  const gap = (height: number) =>
    height > 0 && (
      <tr aria-hidden>
        <td colSpan={wide} className="p-0" style={{ height }} />
      </tr>
    );
  return (
    <TableScroll label={label} frame={frame} pinned={pinned}>
      <TableHead>
        <tr>
          {of.picking && <PickAll of={of} />}
          {columns.map((c) => (
            <HeadCell key={c.key} of={of} column={c} />
          ))}
        </tr>
        {of.sums?.map((sum) => (
          <SumRow key={sum.name} sum={sum} of={of} columns={columns} />
        ))}
      </TableHead>
      <TableBody>
        {gap(above)}
        {seen.map((i) => (
          <BodyRow
            key={sure(rows[i]).id}
            of={of}
            row={sure(rows[i]).original}
            columns={columns}
            first={i === 0}
            at={i}
          />
        ))}
        {gap(below)}
        {rows.length === 0 && empty && (
          <tr>
            <td colSpan={wide}>{empty}</td>
          </tr>
        )}
      </TableBody>
    </TableScroll>
  );
}

function SumRow<T>({ sum, of, columns }: { sum: Sum; of: DataTable<T>; columns: readonly Column<T>[] }) {
  return (
    <tr className={cx(sum.soft ? 'text-soft' : 'font-semibold')}>
      {of.picking && <td />}
      {columns.map((c, i) =>
        i === 0 ? (
          <Th key={c.key} scope="row">
            {sum.name}
          </Th>
        ) : (
          <Td key={c.key} num={c.num}>
            {sum.show(c.key)}
          </Td>
        ),
      )}
    </tr>
  );
}

type RowProps<T> = { of: DataTable<T>; row: T; columns: readonly Column<T>[]; first: boolean; at: number };

function BodyRow<T>({ of, row, columns, first, at }: RowProps<T>) {
  const id = of.id(row),
    on = of.picking?.has(id) ?? false,
    current = of.current === id;
  const navigate = useNavigate();
  const onKey = (e: KeyboardEvent<HTMLTableRowElement>) => {
    const near = {
      ArrowDown: e.currentTarget.nextElementSibling,
      ArrowUp: e.currentTarget.previousElementSibling,
    }[e.key];
    if (near instanceof HTMLElement) {
      e.preventDefault();
      near.focus();
    }
    if (e.target !== e.currentTarget) return;
    if (e.key === ' ') {
      e.preventDefault();
      of.pick(row, e.shiftKey);
    }
    if (e.key === 'Enter') {
      if (of.to) void navigate(of.to(row));
      else of.open?.(row);
    }
  };
  return (
    <tr
      tabIndex={first ? 0 : -1}
      data-index={at}
      aria-current={current || undefined}
      aria-rowindex={at + 2}
      className={cx(
        'group focus-visible:-outline-offset-2',
        (on || current) && 'bg-tint',
        current && 'font-semibold shadow-[inset_4px_0_var(--color-overlay)]',
        of.gone?.(row) && 'text-soft line-through',
      )}
      onKeyDown={onKey}
      onClick={(e) => {
        if (e.shiftKey) of.pick(row, true);
      }}
    >
      {of.picking && (
        <Td className="pr-0">
          <RowTick label={of.picking.label(of.name(row))} checked={on} set={(_, range) => of.pick(row, range)} />
        </Td>
      )}
      {columns.map((c, i) =>
        i === 0 ? (
          <Th key={c.key} scope="row" wrap={c.wrap}>
            <RowName of={of} row={row}>
              {c.show(row)}
            </RowName>
            {c.beside?.(row)}
          </Th>
        ) : (
          <Td key={c.key} num={c.num} wrap={c.wrap}>
            {c.show(row)}
          </Td>
        ),
      )}
    </tr>
  );
}

function RowName<T>({ of, row, children }: { of: DataTable<T>; row: T; children: ReactNode }) {
  const look = 'min-h-6.5 text-left font-medium no-underline group-aria-current:font-bold hover:underline';
  if (of.to)
    return (
      <Link to={of.to(row)} className={look}>
        {children}
      </Link>
    );
  if (!of.open) return children;
  return (
    <button type="button" className={look} onClick={() => of.open?.(row)}>
      {children}
    </button>
  );
}

/** Which columns are shown. The device keeps the choice. */
export function ColumnsMenu<T>({ of }: { of: DataTable<T> }) {
  return (
    <Menu label={t('Columns')} icon={<Columns size={20} aria-hidden />} iconOnly>
      {of.columns.slice(1).map(
        (c) =>
          !c.fixed && (
            <MenuCheck
              key={c.key}
              checked={of.table.getColumn(c.key)?.getIsVisible() ?? true}
              set={(on) => of.table.getColumn(c.key)?.toggleVisibility(on)}
            >
              {t(c.name)}
            </MenuCheck>
          ),
      )}
    </Menu>
  );
}

/** Which keys do something in a list. */
function keysOf(picks: boolean, opens: boolean) {
  if (picks) return opens ? t('↑ ↓ move, Space selects, Enter opens') : t('↑ ↓ move, Space selects');
  return opens ? t('↑ ↓ move, Enter opens') : t('↑ ↓ move');
}

/** How many of how many, how many are picked, and the keys. */
export function TableFoot<T>({
  of,
  counted,
  picked,
  children,
}: {
  of: DataTable<T>;
  /** "24 readers", or of some that are shown "5 of 24 readers". */
  counted: (shown: number, all: number) => string;
  picked?: string;
  children?: ReactNode;
}) {
  return (
    <footer className="border-line bg-sand flex min-h-8 flex-wrap items-center gap-x-4 border-t px-4 text-sm">
      <b role="status">{counted(of.shown.length, of.rows.length)}</b>
      {picked && <b>{picked}</b>}
      {children}
      <span className="text-soft ml-auto max-lg:hidden">
        {keysOf(of.picking !== undefined, (of.open ?? of.to) !== undefined)}
      </span>
    </footer>
  );
}
