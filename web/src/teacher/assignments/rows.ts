import type { Api } from '../../shared/api';
import { t } from '../../shared/words';

type Group = Api<'WeekGroup'>;

/** What a row of the week is called. */
export function rowName(row: Api<'WeekRow'>, groups: readonly Group[]): string {
  const group = groups.find((g) => g.id === row.groupId)?.name;
  return group ?? (row.kind === 'Everybody' ? t('Everybody') : t('Single readers'));
}

// On deeper water soft ink is too faint to read: there it is ink.
const waters = [
  'bg-depth-1/60',
  'bg-depth-1',
  'bg-depth-2/70 [--color-soft:var(--color-ink)]',
  'bg-depth-2 [--color-soft:var(--color-ink)]',
  'bg-depth-3/60 [--color-soft:var(--color-ink)]',
  'bg-depth-3 [--color-soft:var(--color-ink)]',
];

/** The water a row stands on, deeper from row to row. */
export const waterOf = (row: number) => waters[Math.min(row, waters.length - 1)] ?? '';
