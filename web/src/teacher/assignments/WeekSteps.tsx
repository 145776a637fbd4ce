import { CaretLeft, CaretRight } from '@phosphor-icons/react';
import { useOutletContext, useSearchParams } from 'react-router';
import { addDays } from '../../shared/days';
import { shortDay } from '../../shared/format';
import { t } from '../../shared/words';
import type { Place } from '../frame/Frame';
import { IconButton } from '../../ui/IconButton';
import { daysOfWeek, mondayOf } from './week/weekLayout';

/** The week the address names, else this one, by its Monday. */
export function useWeekShown() {
  const { data } = useOutletContext<Place>();
  const [search, setSearch] = useSearchParams();
  const monday = mondayOf(search.get('week') ?? data.today);
  return { monday, go: (weeks: number) => setSearch({ week: addDays(monday, weeks * daysOfWeek) }) };
}

/** Which week is shown, and the ones before and after it. */
export function WeekSteps({ monday, go }: ReturnType<typeof useWeekShown>) {
  return (
    <span className="border-line inline-flex items-center gap-1 border-l pl-2.5">
      <IconButton look="plain" label={t('Week before')} onClick={() => go(-1)}>
        <CaretLeft size={16} aria-hidden />
      </IconButton>
      <span className="min-w-28 text-center">
        {t('{{from}} – {{to}}', { from: shortDay(monday), to: shortDay(addDays(monday, 4)) })}
      </span>
      <IconButton look="plain" label={t('Week after')} onClick={() => go(1)}>
        <CaretRight size={16} aria-hidden />
      </IconButton>
    </span>
  );
}
