import { cx } from 'class-variance-authority';
import type { ReactNode } from 'react';
import { t } from '../../shared/words';
import type { ReaderRow } from '../classQueries';
import { depthWords } from '../readers/SetMark';
import { TextField } from '../../ui/TextField';
import type { Plan } from './FormPicked';

/** Deeper groups stand on deeper water. */
const tints = ['bg-depth-1', 'bg-[#e2eff1]', 'bg-depth-2', 'bg-[#c6e0e4]'];

export const depthOf = (r: ReaderRow) => depthWords(r, String(Math.round(r.depth)));

/** Readers of a group that are in the class, shallow first. */
export const inOrder = (ids: readonly string[], readers: ReadonlyMap<string, ReaderRow>) =>
  ids
    .map((id) => readers.get(id))
    .filter((r) => r !== undefined)
    .sort((a, b) => a.depth - b.depth);

/** A group as a band: name, span of depth, its readers as flags. */
export function Band({
  group,
  before,
  readers,
  tint,
  rename,
  children,
}: {
  group: Plan[number];
  before?: Plan[number];
  readers: Map<string, ReaderRow>;
  tint: number;
  rename?: (name: string) => void;
  children: ReactNode;
}) {
  const ds = group.readerIds.map((id) => readers.get(id)?.depth).filter((d) => d !== undefined);
  const [low, high] = [Math.min(...ds), Math.max(...ds)];
  const x = (d: number) => 4 + (Math.max(0, Math.min(60, d)) / 60) * 220;
  return (
    <section className={cx('relative px-4 pt-3 pb-3.5', tints[tint % tints.length])} aria-label={group.name}>
      <div className="flex items-center gap-2.5">
        {rename ? (
          <TextField
            label={t('Group name')}
            bare
            className="w-36"
            boxClass="font-serif font-semibold"
            maxLength={40}
            value={group.name}
            set={rename}
          />
        ) : (
          <h3 className="text-lg">{group.name}</h3>
        )}
        <span className="text-sm">
          {t('{{count}} readers', { count: ds.length })}
          {ds.length > 0 && (
            <>
              , {Math.round(low)}–{Math.round(high)} fm, <b>{t('{{w}} fm wide', { w: (high - low).toFixed(1) })}</b>
            </>
          )}
          {before && before.readerIds.length !== ds.length && ` · ${t('{{n}} before', { n: before.readerIds.length })}`}
        </span>
      </div>
      <svg width="230" height="12" aria-hidden>
        <path d="M4 6H226" stroke="var(--color-soft)" />
        {ds.length > 0 && <path d={`M${x(low)} 6H${x(high)}`} stroke="var(--color-ink)" strokeWidth="2.5" />}
        {ds.map((d, i) => (
          <circle
            key={i}
            cx={x(d)}
            cy="6"
            r="4"
            fill="var(--color-paper)"
            stroke="var(--color-ink)"
            strokeWidth="1.5"
          />
        ))}
      </svg>
      <ul className="mt-1.5 flex flex-wrap gap-x-2.5 gap-y-1.5">{children}</ul>
    </section>
  );
}
