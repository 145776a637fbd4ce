import { fm, shortDay } from '../../shared/format';
import { t } from '../../shared/words';
import type { ReaderData } from '../classQueries';

interface Of {
  id: string;
  name: string;
  trail: ReaderData['trail'];
}

const width = 300;
const height = 150;
const dashes = ['', '', '5 3', '2 3', '8 3 2 3', '1 3'];

/** Levels of several readers on one axis, down is deeper; a dotted line is where the span begins. */
export function Trails({ of, first, since }: { of: Of[]; first: string; since: string }) {
  const points = of.flatMap((o) => o.trail);
  if (points.length < 2) return null;
  const time = (iso: string) => new Date(iso).getTime();
  const start = Math.min(...points.map((p) => time(p.day)));
  const end = Math.max(...points.map((p) => time(p.day)));
  const top = Math.floor(Math.min(...points.map((p) => p.mean)) - 0.5);
  const bottom = Math.ceil(Math.max(...points.map((p) => p.mean)) + 0.5);
  const x = (ms: number) => 28 + ((ms - start) / Math.max(1, end - start)) * (width - 92);
  const y = (d: number) => 8 + ((d - top) / Math.max(1, bottom - top)) * (height - 28);
  const step = Math.max(1, Math.ceil((bottom - top) / 4));
  const ticks = Array.from({ length: Math.floor((bottom - top) / step) + 1 }, (_, i) => top + i * step);
  const ends = apart(
    of.flatMap((o) => {
      const last = o.trail.at(-1);
      return last ? [{ id: o.id, name: o.name, y: y(last.mean) }] : [];
    }),
  );
  return (
    <figure>
      <figcaption className="text-sm">
        <b>{t('Level since {{day}}', { day: shortDay(new Date(start).toISOString()) })}</b>{' '}
        <span className="text-soft">{t('fm, down is deeper')}</span>
      </figcaption>
      <svg
        viewBox={`0 0 ${width} ${height}`}
        className="fill-ink w-full text-sm"
        role="img"
        aria-label={of.map((o) => `${o.name} ${fm(o.trail.at(-1)?.mean ?? 0)} fm`).join(', ')}
      >
        {ticks.map((d) => (
          <g key={d}>
            <path d={`M28 ${y(d)}H${width - 64}`} stroke="var(--color-line)" />
            <text x="22" y={y(d) + 4} textAnchor="end">
              {d}
            </text>
          </g>
        ))}
        {time(since) > start && time(since) <= end && (
          <path d={`M${x(time(since))} 4V${height - 16}`} stroke="var(--color-ink)" strokeDasharray="1.5 3" />
        )}
        {of.map((o, i) => (
          <path
            key={o.id}
            d={`M${o.trail.map((p) => `${x(time(p.day)).toFixed(1)} ${y(p.mean).toFixed(1)}`).join('L')}`}
            fill="none"
            stroke={o.id === first ? 'var(--color-overlay)' : 'var(--color-ink)'}
            strokeWidth={o.id === first ? 2.2 : 1.4}
            strokeDasharray={dashes[i]}
          />
        ))}
        {ends.map((e) => (
          <text key={e.id} x={width - 60} y={e.at + 4} className="font-semibold">
            {e.name}
          </text>
        ))}
      </svg>
    </figure>
  );
}

/** Names at the ends of the lines, pushed apart so that none lies on another. */
function apart<T extends { y: number }>(all: T[]): (T & { at: number })[] {
  let free = -Infinity;
  return [...all]
    .sort((a, b) => a.y - b.y)
    .map((e) => {
      const at = Math.max(e.y, free);
      free = at + 14;
      return { ...e, at };
    });
}
