import { dayOf } from '../../shared/format';
import { goalKinds } from '../../shared/goalKinds';
import { t } from '../../shared/words';
import type { Line, OfKind } from './goals';

const written = (k: OfKind, value: number) => goalKinds[k.kind].write(value);

/** What was set before, with date and reason. */
export function EarlierGoals({ l }: { l: Line }) {
  const all = l.kinds.flatMap((k) => k.earlier.map((e) => ({ k, e })));
  const now = l.kinds.filter((k) => k.goal);
  if (all.length === 0 && now.length === 0) return null;
  return (
    <section aria-labelledby="earlier" className="px-4.5 py-2.5">
      <h3 id="earlier" className="font-ui text-base font-semibold">
        {t('Goals so far')}
      </h3>
      <ul className="grid gap-1 text-sm">
        {now.map(
          (k) =>
            k.goal && (
              <li key={k.kind}>
                {goalKinds[k.kind].name()}: <b>{written(k, k.goal.target)}</b>{' '}
                {t('since {{day}}', { day: dayOf(k.goal.setAt) })}
                {k.goal.reason && `. ${k.goal.reason}`}
              </li>
            ),
        )}
        {all.map(({ k, e }, i) => (
          <li key={i} className="text-soft">
            {goalKinds[k.kind].name()}: {written(k, e.target)} {t('from {{day}}', { day: dayOf(e.setAt) })}
            {e.by && `, ${e.by}`}
            {e.reason && `. ${e.reason}`}
          </li>
        ))}
      </ul>
    </section>
  );
}
