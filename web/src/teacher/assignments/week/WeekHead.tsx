import { cx } from 'class-variance-authority';
import type { ReactNode } from 'react';
import { addDays } from '../../../shared/days';
import { dayOf, shortDay } from '../../../shared/format';
import { sure } from '../../../shared/sure';
import { t } from '../../../shared/words';
import type { WeekData } from './useWeek';
import { mondayOf } from './weekLayout';

/** The school days of two weeks; choosing the narrow one's head makes it the wide one. */
export function WeekHead({
  d,
  first,
  broad,
  widen,
  headWidth,
}: {
  d: WeekData;
  /** How many days the first week has. */
  first: number;
  broad: number;
  widen: (week: number) => void;
  headWidth: number;
}) {
  return (
    <div
      className="bg-sand border-ink sticky top-0 z-2 grid border-b text-sm"
      style={{ gridTemplateColumns: `${headWidth}px var(--days)` }}
    >
      <span />
      {d.days.map((x, i) => {
        const narrow = i < first !== (broad === 0);
        return (
          <DayHead
            key={x.day}
            day={x}
            today={d.today}
            narrow={narrow}
            begins={i === first}
            label={(i === 0 || i === first) && <WeekName d={d} at={i} narrow={narrow} widen={widen} />}
          />
        );
      })}
    </div>
  );
}

function DayHead({
  day,
  today,
  narrow,
  begins,
  label,
}: {
  day: WeekData['days'][number];
  today: string;
  narrow: boolean;
  begins: boolean;
  /** Of the first day of a week: which week it is, or what makes it wide. */
  label: ReactNode;
}) {
  const [weekday = '', date = ''] = dayOf(day.day).split(' ');
  return (
    <div
      className={cx('min-w-0 px-1.5 pt-1 pb-1.5', begins && 'border-ink border-l', day.day === today && 'font-bold')}
    >
      <span className="text-soft block h-4.5 text-[13px] leading-4.5 font-normal whitespace-nowrap">{label}</span>
      <span className="block whitespace-nowrap">
        {narrow ? (
          <>
            <span aria-hidden>{weekday.slice(0, 1)}</span>
            <span className="sr-only">{weekday}</span>
          </>
        ) : (
          weekday
        )}{' '}
        {date}
        {day.day === today && !narrow && <span className="font-normal"> {t('today')}</span>}
        {day.off && <span className="sr-only"> {t('no school')}</span>}
      </span>
    </div>
  );
}

/** Which week begins here, and how many drafts it has; of the narrow one, a button that makes it the wide one. */
function WeekName({
  d,
  at,
  narrow,
  widen,
}: {
  d: WeekData;
  at: number;
  narrow: boolean;
  widen: (week: number) => void;
}) {
  const monday = sure(d.days[at]).day;
  const until = addDays(monday, 7);
  const drafts = d.plates.filter(
    (p) => p.assignment.draft && p.assignment.visibleFrom >= monday && p.assignment.visibleFrom < until,
  ).length;
  const words = [weekName(monday, d.today), drafts > 0 && t('{{count}} drafts', { count: drafts })]
    .filter(Boolean)
    .join(', ');
  if (!narrow) return words;
  return (
    <button type="button" className="relative z-1 underline" onClick={() => widen(at === 0 ? 0 : 1)}>
      {words}
      <span className="sr-only">: {t('make it wide')}</span>
    </button>
  );
}

function weekName(monday: string, today: string) {
  const here = mondayOf(today);
  if (monday === here) return t('This week');
  if (monday === addDays(here, 7)) return t('Next week');
  return t('Week of {{day}}', { day: shortDay(monday) });
}
