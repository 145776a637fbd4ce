import { DropdownMenu } from 'radix-ui';
import { useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
import { t } from '../../shared/words';
import { Menu } from './Menu';
import { sure } from '../../shared/sure';
import { compare } from '../../shared/compare';

type Named = { key: string; name: string };

/** Which columns of a list are shown. The choice is kept on this device. */
export function useColumns<C extends Named>(list: string, all: readonly C[]) {
  const kept = `dc-columns-${list}`;
  const [hidden, setHidden] = useState<Set<string>>(() => {
    try {
      return new Set(JSON.parse(localStorage.getItem(kept) ?? '[]') as string[]);
    } catch {
      return new Set();
    }
  });
  const toggle = (key: string) =>
    setHidden((h) => {
      const next = new Set(h);
      if (!next.delete(key)) next.add(key);
      localStorage.setItem(kept, JSON.stringify([...next]));
      return next;
    });
  const menu = (
    <Menu label={t('Columns')}>
      {all.slice(1).map((c) => (
        <DropdownMenu.CheckboxItem
          key={c.key}
          className="item"
          checked={!hidden.has(c.key)}
          onCheckedChange={() => toggle(c.key)}
          onSelect={(e) => e.preventDefault()}
        >
          {t(c.name)}
          <DropdownMenu.ItemIndicator>✓</DropdownMenu.ItemIndicator>
        </DropdownMenu.CheckboxItem>
      ))}
    </Menu>
  );
  return { shown: all.filter((c, i) => i === 0 || !hidden.has(c.key)), has: (key: string) => !hidden.has(key), menu };
}

/** ↑ ↓ move between rows, Space picks up, Enter opens. */
export function rowKeys(e: KeyboardEvent<HTMLElement>, pick: (range: boolean) => void, open: () => void) {
  const near =
    e.key === 'ArrowDown'
      ? e.currentTarget.nextElementSibling
      : e.key === 'ArrowUp'
        ? e.currentTarget.previousElementSibling
        : null;
  if (near instanceof HTMLElement) {
    e.preventDefault();
    near.focus();
  }
  if (e.target !== e.currentTarget) return;
  if (e.key === ' ') {
    e.preventDefault();
    pick(e.shiftKey);
  }
  if (e.key === 'Enter') open();
}

/** The rows between the one picked up last and this one, as Shift means them. */
export function rangeOf(ids: readonly string[], last: string | null, to: string): readonly string[] {
  const [a, b] = [last == null ? -1 : ids.indexOf(last), ids.indexOf(to)];
  return a < 0 ? [to] : ids.slice(Math.min(a, b), Math.max(a, b) + 1);
}

export type ListColumn<T> = Named & { show: (row: T) => ReactNode; by?: (row: T) => string | number; num?: boolean };

type Of<T> = {
  list: string;
  columns: readonly ListColumn<T>[];
  id: (row: T) => string;
  name: (row: T) => string;
  open: (row: T) => void;
};

/** A list with choosable columns, sorting, rows that are picked up (Shift for a range) and keys. The first column names the row. */
export function useTable<T>({ list, columns, id, name, open }: Of<T>) {
  const chosen = useColumns(list, columns);
  const [sort, setSort] = useState({ key: sure(columns[0]).key, down: false });
  const [picked, setPicked] = useState<ReadonlySet<string>>(new Set());
  const last = useRef<string | null>(null);
  const by = sure((columns.find((c) => c.key === sort.key) ?? sure(columns[0])).by);
  const pick = (rows: T[], row: T, range: boolean) => {
    const ids = range ? rangeOf(rows.map(id), last.current, id(row)) : [id(row)];
    const on = !picked.has(id(row));
    last.current = id(row);
    setPicked((now) => {
      const next = new Set(now);
      for (const one of ids)
        if (on) next.add(one);
        else next.delete(one);
      return next;
    });
  };
  const table = (all: T[]) => {
    const rows = [...all].sort((a, b) => compare(by(a), by(b)) * (sort.down ? -1 : 1));
    const [first, ...rest] = chosen.shown;
    return (
      <div className="scroll" tabIndex={0} role="region" aria-labelledby="title">
        <table>
          <thead>
            <tr>
              <th>
                <span className="hide">{t('Pick up')}</span>
              </th>
              {chosen.shown.map((c) => (
                <th
                  key={c.key}
                  className={c.num ? 'num' : undefined}
                  aria-sort={sort.key === c.key ? (sort.down ? 'descending' : 'ascending') : undefined}
                >
                  {c.by ? (
                    <button onClick={() => setSort({ key: c.key, down: sort.key === c.key && !sort.down })}>
                      {t(c.name)}
                      {sort.key === c.key && (sort.down ? ' ↓' : ' ↑')}
                    </button>
                  ) : (
                    <span>{t(c.name)}</span>
                  )}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row, i) => (
              <tr
                key={id(row)}
                tabIndex={i === 0 ? 0 : -1}
                className={picked.has(id(row)) ? 'on' : undefined}
                onKeyDown={(e) =>
                  rowKeys(
                    e,
                    (range) => pick(rows, row, range),
                    () => open(row),
                  )
                }
              >
                <td>
                  <span className="tick">
                    <input
                      type="checkbox"
                      aria-label={t('Pick up {{name}}', { name: name(row) })}
                      checked={picked.has(id(row))}
                      onChange={() => undefined}
                      onClick={(e) => pick(rows, row, e.shiftKey)}
                    />
                  </span>
                </td>
                <th scope="row">{sure(first).show(row)}</th>
                {rest.map((c) => (
                  <td key={c.key} className={c.num ? 'num' : undefined}>
                    {c.show(row)}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    );
  };
  const foot = (shown: number, all: number, what: string) => (
    <div className="foot">
      <span>
        <b>{t('{{n}} of {{all}}', { n: shown, all })}</b> {what}
      </span>
      <b>{t('{{count}} picked up', { count: picked.size })}</b>
      <span>{t('↑ ↓ move, Space picks up, Enter opens')}</span>
    </div>
  );
  return { menu: chosen.menu, table, foot, picked: [...picked], clear: () => setPicked(new Set()) };
}
