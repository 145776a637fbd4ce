import { cx } from 'class-variance-authority';
import type { DragEvent, ReactNode } from 'react';
import { t } from '../../shared/words';
import type { ReaderRow } from '../classQueries';
import { TextField } from '../../ui/TextField';

/** Deeper groups stand on deeper water. */
const tints = ['bg-depth-1', 'bg-[#e2eff1]', 'bg-depth-2', 'bg-[#c6e0e4]'];

const left = 20,
  width = 220;
/** The whole class on one scale, so that groups can be compared. */
export const scaleOf = (readers: readonly ReaderRow[]) => {
  const depths = readers.map((r) => r.depth);
  const low = Math.floor(Math.min(...depths) / 10) * 10,
    high = Math.max(low + 10, Math.ceil(Math.max(...depths) / 10) * 10);
  return {
    x: (d: number) => 4 + ((d - low) / (high - low)) * width,
    ticks: Array.from({ length: (high - low) / 10 + 1 }, (_, i) => low + i * 10),
  };
};
export type Scale = ReturnType<typeof scaleOf>;

/** A group as a band: its name, its span of depth, its readers as flags. */
export function GroupBand({
  name,
  readers,
  scale,
  tint,
  rename,
  drop,
  children,
}: {
  name: string;
  readers: readonly ReaderRow[];
  scale: Scale;
  tint: number;
  rename?: (name: string) => void;
  /** Takes in a reader who is dragged here. */
  drop?: (id: string) => void;
  children: ReactNode;
}) {
  const ds = readers.map((r) => r.depth);
  const [low, high] = [Math.min(...ds), Math.max(...ds)];
  return (
    <section
      aria-label={name}
      className={cx('min-w-0 px-4 pt-2 pb-3', tints[tint % tints.length])}
      {...(drop && dropping(drop))}
    >
      <div className="flex min-h-8 flex-wrap items-baseline gap-x-2.5">
        {rename ? (
          <TextField
            label={t('Group name')}
            bare
            className="w-28"
            boxClass="font-serif text-lg font-semibold -ml-2.5 border-transparent bg-transparent hover:border-soft focus:bg-paper"
            maxLength={40}
            value={name}
            set={rename}
          />
        ) : (
          <h3 className="text-lg">{name}</h3>
        )}
        <span className="text-sm">
          {t('{{count}} readers', { count: ds.length })}
          {ds.length > 0 && (
            <>
              , {Math.round(low)}–{Math.round(high)} fm, <b>{t('{{w}} fm wide', { w: (high - low).toFixed(1) })}</b>
            </>
          )}
        </span>
      </div>
      <svg width={width + left} height="12" aria-hidden className="max-w-full">
        <path d={`M4 6H${width + 4}`} stroke="var(--color-soft)" />
        {scale.ticks.map((d) => (
          <path key={d} d={`M${scale.x(d)} 3v6`} stroke="var(--color-soft)" />
        ))}
        {ds.length > 0 && (
          <path d={`M${scale.x(low)} 6H${scale.x(high)}`} stroke="var(--color-ink)" strokeWidth="2.5" />
        )}
        {ds.map((d, i) => (
          <circle
            key={i}
            cx={scale.x(d)}
            cy="6"
            r="4"
            fill="var(--color-paper)"
            stroke="var(--color-ink)"
            strokeWidth="1.5"
          />
        ))}
      </svg>
      {children}
    </section>
  );
}

export const dragged = 'text/x-reader';

const dropping = (drop: (id: string) => void) => ({
  onDragOver: (e: DragEvent) => {
    if (e.dataTransfer.types.includes(dragged)) e.preventDefault();
  },
  onDrop: (e: DragEvent) => {
    const id = e.dataTransfer.getData(dragged);
    if (!id) return;
    e.preventDefault();
    drop(id);
  },
});
