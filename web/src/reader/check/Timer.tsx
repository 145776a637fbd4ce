import { useEffect, useState } from 'react';
import { clock } from '../../shared/format';
import { t } from '../../shared/words';

/** The time that is left in a part; when none is, the stage is handed on. It runs also where it is not shown. */
export function Timer({
  left,
  spent,
  shown,
  up,
}: {
  left: number;
  spent: () => number;
  shown: boolean;
  up: () => void;
}) {
  const [now, setNow] = useState(left);
  useEffect(() => {
    const timer = setInterval(() => {
      const rest = left - spent();
      setNow(rest);
      if (rest <= 0) {
        clearInterval(timer);
        up();
      }
    }, 500);
    return () => clearInterval(timer);
  }, [left, spent, up]);
  return shown ? (
    <span
      className="border-soft min-w-16 rounded-md border-[1.5px] px-3 py-1 text-center text-xl font-semibold"
      role="timer"
      aria-label={t('Time left')}
    >
      {clock(Math.max(0, now))}
    </span>
  ) : null;
}
