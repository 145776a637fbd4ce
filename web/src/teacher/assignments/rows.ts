import type { Api } from '../../shared/api';
import { t } from '../../shared/words';

type Group = Api<'WeekGroup'>;

/** What a row of the week is called. */
export function rowName(row: Api<'WeekRow'>, groups: readonly Group[]): string {
  const group = groups.find((g) => g.id === row.groupId)?.name;
  return group ?? (row.kind === 'Everybody' ? t('Everybody') : t('Single readers'));
}

const waters = ['bg-depth-1/60', 'bg-depth-1', 'bg-depth-2/70', 'bg-depth-2', 'bg-depth-3/60', 'bg-depth-3'];

/** The water a row stands on, deeper from row to row. */
export const waterOf = (row: number) => waters[Math.min(row, waters.length - 1)] ?? '';
