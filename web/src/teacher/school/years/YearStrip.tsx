import { cx } from 'class-variance-authority';
import { useRef, useState, type KeyboardEvent } from 'react';
import { addDays } from '../../../shared/days';
import { longDay, monthOf, weekdays } from '../../../shared/format';
import { t } from '../../../shared/words';
import { daysBetween, turned, weeksOf } from './yearDays';

interface Term {
  name: string;
  firstDay: string;
  lastDay: string;
}

interface Props {
  firstDay: string;
  lastDay: string;
  terms: Term[];
  daysOff: string[];
  set: (daysOff: string[]) => void;
}

const steps: Record<string, number> = { ArrowUp: -1, ArrowDown: 1, ArrowLeft: -7, ArrowRight: 7 };

/** A step among weekdays: Friday is followed by Monday. */
function stepped(day: string, key: string) {
  const by = steps[key] ?? 0;
  let to = addDays(day, by);
  while ([0, 6].includes(new Date(`${to}T12:00:00`).getDay())) to = addDays(to, Math.sign(by));
  return to;
}

/** The school year week by week: a day is turned on or off by a press, a stretch by holding Shift. */
export function YearStrip({ firstDay, lastDay, terms, daysOff, set }: Props) {
  const weeks = weeksOf(firstDay, lastDay);
  const first = weeks.flat().find((day) => day !== null) ?? firstDay;
  const [at, setAt] = useState(first);
  const [from, setFrom] = useState<string | null>(null);
  const grid = useRef<HTMLTableElement>(null);
  const current = at >= firstDay && at <= lastDay ? at : first;
  const off = new Set(daysOff);
  const termOf = (day: string) => terms.find((x) => x.firstDay <= day && day <= x.lastDay);
  const press = (day: string, stretch: boolean) => {
    set(turned(daysOff, stretch && from ? daysBetween(from, day) : [day]));
    setFrom(day);
    setAt(day);
  };
  const onKey = (e: KeyboardEvent) => {
    if (!steps[e.key]) return;
    e.preventDefault();
    const to = stepped(current, e.key);
    if (to < firstDay || to > lastDay) return;
    setAt(to);
    grid.current?.querySelector<HTMLElement>(`[data-day="${to}"]`)?.focus();
  };
  return (
    <div className="overflow-x-auto pb-1" role="region" aria-label={t('Days of the year')} tabIndex={-1}>
      <table
        ref={grid}
        role="grid"
        aria-label={t('School days and days off')}
        onKeyDown={onKey}
        className="border-separate border-spacing-0"
      >
        <Months weeks={weeks} />
        <tbody>
          {weekdays()
            .slice(0, 5)
            .map((name, n) => (
              <tr key={name}>
                <th scope="row" className="text-soft bg-paper sticky left-0 pr-2 text-left text-sm font-normal">
                  {name}
                </th>
                {weeks.map((week, w) => (
                  <Day
                    key={w}
                    day={week[n] ?? null}
                    term={week[n] ? termOf(week[n]) : undefined}
                    off={!!week[n] && off.has(week[n])}
                    current={week[n] === current}
                    press={press}
                  />
                ))}
              </tr>
            ))}
        </tbody>
      </table>
      <Legend />
    </div>
  );
}

const hatched = 'bg-[repeating-linear-gradient(45deg,var(--color-soft)_0_1px,transparent_1px_5px)]';
const boxes = { school: 'bg-depth-2', off: hatched, none: 'border-dashed bg-paper' };

function Legend() {
  const words = { school: t('school day'), off: t('day off'), none: t('outside the terms') };
  return (
    <ul className="text-soft mt-2 flex flex-wrap gap-4 text-sm">
      {(['school', 'off', 'none'] as const).map((kind) => (
        <li key={kind} className="flex items-center gap-1.5">
          <span aria-hidden className={cx('border-line size-4 rounded-sm border', boxes[kind])} />
          {words[kind]}
        </li>
      ))}
    </ul>
  );
}

/** Which weeks belong to which month. */
function Months({ weeks }: { weeks: (string | null)[][] }) {
  const months = weeks.map((week) => (week.find((day) => day !== null) ?? '').slice(0, 7));
  const spans = [...new Set(months)].map((month) => ({ month, weeks: months.filter((m) => m === month).length }));
  return (
    <thead>
      <tr>
        <th aria-hidden />
        {spans.map(({ month, weeks: span }) => (
          <th
            key={month}
            colSpan={span}
            scope="colgroup"
            className="border-line text-soft border-l pl-1 text-left text-sm font-normal whitespace-nowrap"
          >
            {span > 1 && monthOf(`${month}-01`).split(' ')[0]}
          </th>
        ))}
      </tr>
    </thead>
  );
}

function Day({
  day,
  term,
  off,
  current,
  press,
}: {
  day: string | null;
  term: Term | undefined;
  off: boolean;
  current: boolean;
  press: (day: string, stretch: boolean) => void;
}) {
  if (!day) return <td aria-hidden />;
  const inTerm = term ? boxes.school : boxes.none;
  const about = off ? t('day off') : (term?.name ?? t('outside the terms'));
  return (
    <td role="gridcell" aria-selected={off} className="p-px">
      <button
        type="button"
        data-day={day}
        tabIndex={current ? 0 : -1}
        aria-pressed={off}
        aria-label={`${longDay(day)}, ${about}`}
        title={`${longDay(day)}, ${about}`}
        onClick={(e) => press(day, e.shiftKey)}
        className={cx(
          'border-line block size-6 rounded-sm border text-sm leading-none tabular-nums',
          off ? boxes.off : inTerm,
          !term && 'text-soft',
        )}
      >
        <span aria-hidden>{Number(day.slice(8))}</span>
      </button>
    </td>
  );
}
