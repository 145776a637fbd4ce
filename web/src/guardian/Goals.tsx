import { number, shortDay } from '../shared/format';
import { goalKinds } from '../shared/goalKinds';
import { t } from '../shared/words';
import type { Child } from './child';

type Goal = Child['goals'][number];

/** Goals of the term: how far each is, and what it takes. */
export function Goals({ goals }: { goals: Goal[] }) {
  const [first] = goals;
  if (!first) return null;
  return (
    <section className="border-line border-t">
      <h3>{t('Goals until {{day}}', { day: shortDay(first.until) })}</h3>
      <ul className="mt-1 grid gap-3.5">
        {goals.map((g) => (
          <li key={g.kind}>
            <p className="flex justify-between gap-3">
              <b>{goalKinds[g.kind].forGuardian.name()}</b>
              <span>{goalKinds[g.kind].forGuardian.soFar(g.target, g.done)}</span>
            </p>
            <Bar g={g} />
            {g.aWeek !== null && <p>{t('{{n}} words each school week will get there.', { n: number(g.aWeek) })}</p>}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Water up to where it is; the post at the end is the goal. */
const Bar = ({ g }: { g: Goal }) => (
  <svg viewBox="0 0 350 20" preserveAspectRatio="none" className="my-1 h-5 w-full" aria-hidden>
    <rect x=".75" y="5" width="346" height="10" className="fill-paper stroke-ink" />
    <rect
      x=".75"
      y="5"
      width={346 * Math.min(1, Math.max(0, g.done / Math.max(1, g.target)))}
      height="10"
      className="fill-depth-4 stroke-ink"
    />
    <rect x="344" y="0" width="4" height="20" className="fill-ink" />
  </svg>
);
