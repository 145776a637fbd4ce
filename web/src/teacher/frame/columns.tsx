import { DropdownMenu } from 'radix-ui';
import { useState, type KeyboardEvent } from 'react';
import { t } from '../../shared/words';
import { Menu } from './Menu';

type Named = { key: string; name: string };

/** Which columns of a list are shown. The choice is kept on this device. */
export function useColumns<C extends Named>(list: string, all: readonly C[]) {
  const kept = `dc-columns-${list}`;
  const [hidden, setHidden] = useState<Set<string>>(() => { try { return new Set(JSON.parse(localStorage.getItem(kept) ?? '[]') as string[]); } catch { return new Set(); } });
  const toggle = (key: string) => setHidden((h) => { const next = new Set(h); if (!next.delete(key)) next.add(key); localStorage.setItem(kept, JSON.stringify([...next])); return next; });
  const menu = (
    <Menu label={t('Columns')}>
      {all.slice(1).map((c) => <DropdownMenu.CheckboxItem key={c.key} className="item" checked={!hidden.has(c.key)} onCheckedChange={() => toggle(c.key)} onSelect={(e) => e.preventDefault()}>{t(c.name)}<DropdownMenu.ItemIndicator>✓</DropdownMenu.ItemIndicator></DropdownMenu.CheckboxItem>)}
    </Menu>
  );
  return { shown: all.filter((c, i) => i === 0 || !hidden.has(c.key)), has: (key: string) => !hidden.has(key), menu };
}

/** ↑ ↓ move between rows, Space picks up, Enter opens. */
export const rowKeys = (pick: (range: boolean) => void, open: () => void) => (e: KeyboardEvent<HTMLElement>) => {
  const near = e.key === 'ArrowDown' ? e.currentTarget.nextElementSibling : e.key === 'ArrowUp' ? e.currentTarget.previousElementSibling : null;
  if (near instanceof HTMLElement) { e.preventDefault(); near.focus(); }
  if (e.target !== e.currentTarget) return;
  if (e.key === ' ') { e.preventDefault(); pick(e.shiftKey); }
  if (e.key === 'Enter') open();
};

/** Sorting by the heads of a table: a click sorts, another turns it round. */
export function useSort<T>(start: string, by: Record<string, (row: T) => string | number>) {
  const [sort, setSort] = useState({ key: start, down: false });
  const of = by[sort.key]!;
  return {
    sorted: (rows: T[]) => [...rows].sort((a, b) => (of(a) < of(b) ? -1 : of(a) > of(b) ? 1 : 0) * (sort.down ? -1 : 1)),
    head: (key: string, name: string, className?: string) => (
      <th key={key} className={className} aria-sort={sort.key === key ? (sort.down ? 'descending' : 'ascending') : undefined}><button onClick={() => setSort({ key, down: sort.key === key && !sort.down })}>{t(name)}{sort.key === key && (sort.down ? ' ↓' : ' ↑')}</button></th>
    ),
  };
}
