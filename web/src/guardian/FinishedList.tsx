import type { Api } from '../shared/api';
import { dayOf, minutes } from '../shared/format';
import { t } from '../shared/words';

/** What a child has finished: when, how long, how many right. */
export function FinishedList({ readings }: { readings: Api<'ChildReading'>[] }) {
  if (readings.length === 0) return <p className="text-soft">{t('Nothing read yet')}</p>;
  return (
    <ul>
      {readings.map((r, i) => (
        <li key={i} className="border-line flex flex-wrap justify-between gap-x-4 py-1.5 [&+li]:border-t">
          <b>{r.title}</b>
          <span className="text-soft">
            {[
              r.handedInAt && dayOf(r.handedInAt),
              r.minutes > 0 && minutes(r.minutes * 60),
              r.asked > 0 && t('{{right}} of {{n}} right on the first try', { right: r.right, n: r.asked }),
            ]
              .filter(Boolean)
              .join(', ')}
          </span>
        </li>
      ))}
    </ul>
  );
}
