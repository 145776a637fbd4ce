import { cx } from 'class-variance-authority';
import { addDays } from '../../shared/days';
import { number, weekdays } from '../../shared/format';
import { sure } from '../../shared/sure';
import { t } from '../../shared/words';
import type { Home } from '../queries';
import { OwnPart } from './Own';

const bars = { width: 322, height: 60, each: 46 };

/** Words of this week's full readings, day by day. */
export function Week({ home }: { home: Home }) {
  const days = Array.from({ length: 7 }, (_, i) => addDays(home.monday, i));
  const words = days.map((day) => home.days.find((d) => d.day === day)?.words ?? 0);
  const sum = words.reduce((s, w) => s + w, 0);
  const before = home.days.filter((d) => d.day < home.monday).reduce((s, d) => s + d.words, 0);
  const most = Math.max(400, ...words);
  const names = weekdays();
  const said = days
    .flatMap((_, i) => (words[i] ? [t('{{day}} {{count}} words', { day: sure(names[i]), count: sure(words[i]) })] : []))
    .join(', ');
  return (
    <OwnPart id="week" title={t('My week')}>
      <p>
        {t('{{count}} words so far.', { count: sum })} {t('Last week {{n}}.', { n: number(before) })}
      </p>
      <svg
        viewBox={`0 0 ${bars.width} ${bars.height + 28}`}
        className="mt-2 block w-full max-w-81"
        role="img"
        aria-label={said || t('Nothing read yet this week.')}
      >
        {days.map((day, i) => {
          const high = (sure(words[i]) / most) * (bars.height - 4);
          const x = i * bars.each + 8;
          const now = day === home.today;
          return (
            <g key={day}>
              {high > 0 && <rect x={x} y={bars.height - high} width={30} height={high} className="fill-depth-5" />}
              {now && high === 0 && (
                <rect
                  x={x}
                  y={bars.height - 34}
                  width={30}
                  height={34}
                  className="stroke-ink fill-none"
                  strokeDasharray="3 4"
                />
              )}
              <text
                x={x + 15}
                y={bars.height + 22}
                textAnchor="middle"
                className={cx('text-reader', now ? 'fill-ink font-bold' : 'fill-soft')}
              >
                {names[i]}
              </text>
            </g>
          );
        })}
        <path d={`M0 ${bars.height}H${bars.width}`} className="stroke-ink" />
      </svg>
    </OwnPart>
  );
}
