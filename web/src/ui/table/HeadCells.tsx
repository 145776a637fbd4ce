import { CaretDown, CaretUp } from '@phosphor-icons/react';
import { t } from '../../shared/words';
import { RowTick } from '../Checkbox';
import { Th } from './Table';
import type { Column, DataTable } from './useDataTable';

const directions = { asc: 'ascending', desc: 'descending' } as const;

/** Picks all that are shown, or none. */
export function PickAll<T>({ of }: { of: DataTable<T> }) {
  const rows = of.shown;
  const picked = rows.filter((r) => of.picking?.has(r.id)).length;
  return (
    <Th className="w-10 pr-0">
      <RowTick
        label={of.picking?.allLabel ?? ''}
        checked={picked > 0 && (picked === rows.length || 'indeterminate')}
        set={() =>
          of.picking?.set(
            rows.map((r) => r.id),
            picked < rows.length,
          )
        }
      />
    </Th>
  );
}

/** The head of a column, which sorts by it where that can be. */
export function HeadCell<T>({ of, column: c }: { of: DataTable<T>; column: Column<T> }) {
  const sorted = of.table.getColumn(c.key)?.getIsSorted();
  const name = c.head ? (
    <>
      <span className="sr-only">{t(c.name)}</span>
      {c.head}
    </>
  ) : (
    t(c.name)
  );
  return (
    <Th num={c.num} aria-sort={sorted ? directions[sorted] : undefined}>
      {c.by ? (
        <button
          type="button"
          className="inline-flex min-h-8 items-center gap-1 font-semibold"
          onClick={() => of.table.getColumn(c.key)?.toggleSorting(sorted === 'asc')}
        >
          {name}
          {sorted === 'asc' && <CaretUp size={14} aria-hidden />}
          {sorted === 'desc' && <CaretDown size={14} aria-hidden />}
        </button>
      ) : (
        name
      )}
    </Th>
  );
}
