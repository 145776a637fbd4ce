import { cx } from 'class-variance-authority';
import { Link } from 'react-router';
import { say, t } from '../../../shared/words';
import { daysOfCheck, useChecksOn } from '../checksOf';
import { spanOf } from './weekLayout';

/** The level checks of these days, each from the day it opens to the day it ends; nothing where there are none. */
export function CheckRows({
  classId,
  days,
  headWidth,
}: {
  classId: string;
  days: readonly string[];
  headWidth: number;
}) {
  const first = days[0] ?? '',
    last = days.at(-1) ?? '';
  const checks = useChecksOn(classId, first, last);
  if (checks.length === 0) return null;
  return (
    <section
      aria-label={t('Level checks')}
      className="border-depth-4 bg-paper grid border-b"
      style={{ gridTemplateColumns: `${headWidth}px minmax(0,1fr)` }}
    >
      <h2 className="border-ink border-r px-3 py-2 text-base leading-5">{t('Level checks')}</h2>
      <ul className="grid gap-y-1 py-1" style={{ gridTemplateColumns: 'var(--days)' }}>
        {checks.map((k) => {
          const of = daysOfCheck(k);
          const span = spanOf(of.first, of.last ?? last, days);
          return (
            span && (
              <li key={k.id} className="mx-0.75 min-w-0" style={{ gridColumn: `${span.from + 1} / ${span.to + 2}` }}>
                <Link
                  to={`/class/${classId}/assignments/checks/${k.id}`}
                  title={say(k.name)}
                  className={cx(
                    'border-ink bg-depth-2 hover:bg-depth-3 line-clamp-2 rounded-md border px-2 py-0.5 text-sm leading-5',
                    'no-underline',
                    k.draft && 'border-dashed bg-transparent',
                  )}
                >
                  <b className="font-semibold">{say(k.name)}</b>{' '}
                  <span>{k.draft ? t('draft') : t('{{n}} of {{of}} finished', { n: k.finished, of: k.readers })}</span>
                </Link>
              </li>
            )
          );
        })}
      </ul>
    </section>
  );
}
