import { chanceWords } from '../../shared/format';
import { courseWord, goalKinds } from '../../shared/goalKinds';
import { t } from '../../shared/words';
import { TextButton } from '../../ui/Button';
import type { OfKind } from './goals';

const height = 30,
  foot = 3;

/** A goal's way from the term's first day to its last: so far, where it may end, and the goal. What is being set stands
 * beside it. */
export function Lane({
  k,
  weeks,
  gone,
  being,
  width,
}: {
  k: OfKind;
  weeks: number;
  gone: number;
  /** The goal that is being set. */
  being?: number;
  width: number;
}) {
  const [low, middle, high] = [k.ends[0], k.ends[9], k.ends[18]];
  const values = [...k.weeks, k.goal?.target ?? null, being ?? null, low, high].filter((v) => v != null);
  const from = k.kind === 'Words' ? 0 : Math.min(...values) - 1,
    to = Math.max(...values, from + 1);
  const x = (week: number) => (Math.min(week, weeks) / Math.max(1, weeks)) * width;
  // Down is deeper.
  const y = (v: number) => {
    const part = (v - from) / (to - from);
    return foot + (k.kind === 'Depth' ? part : 1 - part) * (height - 2 * foot);
  };
  const shown = k.weeks.flatMap((v, i) =>
    v === null ? [] : [{ x: x(Math.min(i + 1, Math.max(gone, 0.2))), y: y(v) }],
  );
  const line = shown.map((p, i) => `${i === 0 ? 'M' : 'L'}${p.x.toFixed(1)} ${p.y.toFixed(1)}`).join('');
  const last = shown.at(-1);
  const now = x(gone);
  return (
    <svg width={width + 8} height={height} aria-hidden className="block">
      <path d={`M0 ${height - 0.5}H${width}`} stroke="var(--color-line)" />
      {last && low != null && middle != null && high != null && gone < weeks && (
        <>
          <path d={`M${now} ${last.y}L${width} ${y(low)}V${y(high)}Z`} fill="var(--color-depth-3)" />
          <path d={`M${now} ${last.y}L${width} ${y(middle)}`} stroke="var(--color-depth-6)" strokeWidth="1.5" />
        </>
      )}
      <path d={line} fill="none" stroke="var(--color-ink)" strokeWidth="1.5" />
      {shown.length === 1 && last && <circle cx={last.x} cy={last.y} r="1.5" fill="var(--color-ink)" />}
      {gone > 0 && gone < weeks && <path d={`M${now} 0V${height}`} stroke="var(--color-soft)" />}
      {k.goal && <path d={`M${width - 3} ${y(k.goal.target)}h10`} stroke="var(--color-ink)" strokeWidth="2.5" />}
      {being !== undefined && (
        <path d={`M${width - 6} ${y(being)}h13`} stroke="var(--color-overlay)" strokeWidth="2.5" />
      )}
    </svg>
  );
}

/** How far it is and how likely, in figures and words. */
export function Standing({ k, closed, call }: { k: OfKind; closed: boolean; call: (() => void) | null }) {
  const { write, outOf } = goalKinds[k.kind];
  if (!k.goal)
    return (
      <span className="text-soft text-sm">
        {k.soFar == null ? '–' : write(k.soFar)}
        <span className="block">{t('no goal')}</span>
      </span>
    );
  const unlikely = k.goal.course !== 'Reached' && k.goal.chance < 0.35;
  return (
    <span className="text-sm">
      {outOf(k.soFar ?? null, k.goal.target)}
      <span className={unlikely ? 'block font-semibold' : 'text-soft block'}>{stands(k.goal, closed)}</span>
      {k.goal.mayCallMet && call && <TextButton onClick={call}>{t('Call met…')}</TextButton>}
    </span>
  );
}

const stands = (goal: NonNullable<OfKind['goal']>, closed: boolean) => {
  if (goal.metReason !== null) return t('called met: {{reason}}', { reason: goal.metReason });
  if (goal.course === 'Reached') return courseWord(goal.course);
  return closed ? t('not reached') : chanceWords(goal.chance);
};
