import { useEffect, useState } from 'react';
import { timeOf } from '../../shared/format';
import { t } from '../../shared/words';

const every = 10_000;
const minute = 60_000;

/** The minutes of a meeting that goes on, as the graduated border of a chart: dark as far as the time has gone. */
export function MeetingClock({ begunAt, minutes }: { begunAt: string; minutes: number }) {
  const [now, set] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => set(Date.now()), every);
    return () => clearInterval(timer);
  }, []);
  const begun = new Date(begunAt).getTime();
  const gone = Math.max(0, Math.floor((now - begun) / minute));
  const share = Math.min(1, (now - begun) / (minutes * minute));
  const parts = Math.max(2, Math.ceil(minutes / 2));
  return (
    <div className="border-ink border-t px-5 print:hidden" role="timer" aria-label={t('Time of the meeting')}>
      <svg viewBox={`0 0 ${parts * 10} 3`} preserveAspectRatio="none" className="block h-1.5 w-full" aria-hidden>
        {Array.from({ length: parts }, (_, i) => (
          <rect key={i} x={i * 10} width="10" height="3" className={i % 2 === 0 ? 'fill-line' : 'fill-paper'} />
        ))}
        <rect width={parts * 10 * share} height="3" className="fill-ink" />
      </svg>
      <p className="flex justify-between text-sm">
        <span>{timeOf(begunAt)}</span>
        <b>
          {gone <= minutes
            ? t('{{gone}} of {{minutes}} min', { gone, minutes })
            : t('{{count}} min over', { count: gone - minutes })}
        </b>
        <span>{timeOf(new Date(begun + minutes * minute).toISOString())}</span>
      </p>
    </div>
  );
}
