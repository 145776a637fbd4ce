import { number, today } from '../shared/format';
import { t } from '../shared/words';
import type { Api } from '../shared/api';

const width = 350;
const tall = 46;
const foot = 21;
const head = 18;
const step = width / 7;
const weekday = new Map<string, Intl.DateTimeFormat>();
const dayName = (day: string) => {
  const language = document.documentElement.lang || 'en';
  const format = weekday.get(language) ?? new Intl.DateTimeFormat(language, { weekday: 'short', timeZone: 'UTC' });
  weekday.set(language, format);
  return format.format(new Date(`${day}T12:00Z`));
};

/** The week's words day by day; today is open until something is read. */
export function WeekDays({ days }: { days: Api<'ChildDay'>[] }) {
  const most = Math.max(1, ...days.map((d) => d.words));
  const said = days
    .filter((d) => d.words > 0)
    .map((d) => t('{{day}} {{count}} words', { day: dayName(d.day), count: d.words }))
    .join(', ');
  return (
    <svg
      viewBox={`0 0 ${width} ${head + tall + foot}`}
      className="mt-2 w-full max-w-110"
      role="img"
      aria-label={said || t('Nothing read yet this week')}
    >
      {days.map((d, i) => {
        const height = (d.words / most) * tall;
        const now = d.day === today();
        const middle = step * (i + 0.5);
        return (
          <g key={d.day}>
            {d.words > 0 && (
              <>
                <rect x={middle - 20} y={head + tall - height} width="40" height={height} className="fill-depth-4" />
                <text x={middle} y={head + tall - height - 5} textAnchor="middle" className="fill-ink text-[13px]">
                  {number(d.words)}
                </text>
              </>
            )}
            {now && d.words === 0 && (
              <rect
                x={middle - 19}
                y={head + 4}
                width="38"
                height={tall - 4}
                className="stroke-ink fill-none"
                strokeDasharray="3 3"
              />
            )}
            <text
              x={middle}
              y={head + tall + foot - 4}
              textAnchor="middle"
              className={now ? 'fill-ink text-[15px] font-bold' : 'fill-ink text-[15px]'}
            >
              {dayName(d.day)}
            </text>
          </g>
        );
      })}
      <path d={`M0 ${head + tall + 0.5}H${width}`} className="stroke-ink" />
    </svg>
  );
}
