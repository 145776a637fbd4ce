import { cx } from 'class-variance-authority';
import { useEffect, useRef } from 'react';
import { t } from '../../shared/words';
import { rowsOf, type Points, type Rubric } from './rubric';

/** The rows of a rubric with a cell for each point: its key, and what earns it. */
export function Criteria({
  of,
  points,
  proposed = null,
  now = null,
  may,
  choose,
}: {
  of: { rubric: Rubric | null };
  points: Points;
  proposed?: Points | null;
  /** The row that figure keys choose in; null where there are no keys. */
  now?: number | null;
  may: boolean;
  choose: (point: number, row: number) => void;
}) {
  const rows = rowsOf(of);
  const here = useRef<HTMLDivElement>(null);
  // The row the keys choose in is never under the foot of the page.
  useEffect(() => {
    // Scrolling may give back a promise, which is no way to tidy up.
    here.current?.scrollIntoView({ block: 'nearest' });
  }, [now]);
  return rows.map((row, at) => (
    <div key={at} ref={now === at ? here : undefined} className="grid scroll-mt-4 scroll-mb-40 gap-1.5">
      {row.name && (
        <h3 className="flex items-baseline gap-2 text-[14px]">
          {now === at && <i aria-hidden className="bg-overlay size-2 flex-none self-center rounded-full" />}
          <span className="grow">{row.name}</span>
          <span className="text-soft font-ui text-sm font-normal">
            {stand(points[at], proposed?.[at], now === at, row)}
          </span>
        </h3>
      )}
      <div
        role="group"
        aria-label={row.name || t('Mark')}
        className={cx('grid gap-1.5', row.name && row.marks.length <= 2 && 'grid-cols-2')}
      >
        {row.marks.map((words, n) => (
          <button
            key={n}
            type="button"
            data-mark={n}
            aria-pressed={points[at] === n}
            disabled={!may}
            onClick={() => choose(n, at)}
            className={cx(
              'bg-paper enabled:hover:bg-depth-1 grid min-h-9 grid-cols-[26px_1fr] items-center gap-2 rounded-md border',
              'px-2 py-1 text-left',
              points[at] === n && 'border-overlay bg-tint border-2',
              points[at] !== n && proposed?.[at] === n ? 'border-ink border-2 border-dashed' : 'border-soft',
            )}
          >
            <kbd className={cx('text-center', points[at] === n && 'bg-overlay text-paper')}>{n}</kbd>
            <span>{words}</span>
          </button>
        ))}
      </div>
    </div>
  ));
}

/** How a row stands: what is chosen, else what is proposed, and which keys choose. */
function stand(
  chosen: number | null | undefined,
  proposed: number | null | undefined,
  now: boolean,
  row: { marks: readonly string[] },
) {
  if (chosen != null) return t('{{n}} chosen', { n: chosen });
  const said = proposed == null ? '' : t('proposed {{n}}', { n: proposed });
  const type = now ? t('type 0 to {{n}}', { n: row.marks.length - 1 }) : '';
  return [said, type].filter(Boolean).join(', ');
}
