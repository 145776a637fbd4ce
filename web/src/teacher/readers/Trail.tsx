import { cx } from 'class-variance-authority';
import { useState } from 'react';
import type { Api } from '../../shared/api';
import { fm, shortDay, shortMonth, signed } from '../../shared/format';
import { sure } from '../../shared/sure';
import { say, t } from '../../shared/words';
import { evidenceSources } from './evidence';
import { apartFrom, depthsOf, stepOf } from './trail';

type ReaderData = Api<'ReaderView'>;
type Mark = Api<'MarkView'>;

const leftOutGlyph = 'M-3.500 0a3.500 3.500 0 1 0 7 0a3.500 3.500 0 1 0-7 0zM-4.500 4.500L4.500-4.500';
const glyphOf = (m: Pick<Mark, 'what' | 'leftOut'>) =>
  m.leftOut
    ? { d: leftOutGlyph, fill: 'none', stroke: 'var(--color-ink)', strokeWidth: 1.3 }
    : { d: evidenceSources[m.what].glyph, fill: 'var(--color-ink)' };
const glyphName = (m: Pick<Mark, 'what' | 'leftOut'>) => t(m.leftOut ? 'left out' : evidenceSources[m.what].word);

/** Where the table of evidence tells of a mark. */
export const pieceId = (m: { ticketId?: string | null; at: string }) => `piece-${m.ticketId ?? Date.parse(m.at)}`;

/** The trail of the estimate with its range, and each piece of evidence as a mark. */
export function Trail({
  r,
  width = 408,
  height = 130,
  links = false,
}: {
  r: ReaderData;
  width?: number;
  height?: number;
  links?: boolean;
}) {
  const [now] = useState(Date.now);
  if (r.trail.length < 2)
    return <p className="text-soft text-sm">{t('The trail starts with the second day of evidence.')}</p>;
  const time = (iso: string) => new Date(iso).getTime();
  const first = sure(r.trail[0]),
    last = sure(r.trail.at(-1));
  const start = time(first.day),
    end = Math.max(time(last.day), now);
  const { top, bottom } = depthsOf(r.trail, r.marks);
  const x = (ms: number) => 30 + ((ms - start) / Math.max(1, end - start)) * (width - 40);
  const y = (d: number) => 6 + ((d - top) / (bottom - top)) * (height - 28);
  const line = (pick: (d: ReaderData['trail'][number]) => number) =>
    r.trail.map((d) => `${x(time(d.day)).toFixed(1)} ${y(pick(d)).toFixed(1)}`);
  const marks = apartFrom(
    r.marks.map((mark) => ({ mark, x: x(time(mark.at)), y: y(mark.place) })),
    width - 6,
  );
  return (
    <>
      <svg
        width={width}
        height={height}
        viewBox={`0 0 ${width} ${height}`}
        className="fill-ink block h-auto w-full text-sm"
        role={links ? 'group' : 'img'}
        aria-label={t('Depth from {{first}} to {{last}} fm since {{day}}', {
          first: fm(first.mean),
          last: fm(last.mean),
          day: shortDay(first.day),
        })}
      >
        <Depths top={top} bottom={bottom} y={y} width={width} />
        <path
          d={`M${line((d) => d.low).join('L')}L${line((d) => d.high)
            .reverse()
            .join('L')}z`}
          fill="var(--color-depth-2)"
        />
        <path d={`M${line((d) => d.mean).join('L')}`} fill="none" stroke="var(--color-ink)" strokeWidth="1.8" />
        {marks.map((m, i) => (
          <MarkAt key={i} {...m} links={links} />
        ))}
        <circle cx={x(time(last.day))} cy={y(last.mean)} r="4.500" fill="var(--color-overlay)" />
        <Months start={start} end={end} x={x} width={width} foot={height - 20} />
      </svg>
      <Legend marks={r.marks} />
    </>
  );
}

function Depths({ top, bottom, y, width }: { top: number; bottom: number; y: (d: number) => number; width: number }) {
  const step = stepOf(top, bottom);
  const ticks = Array.from(
    { length: Math.ceil((bottom - top) / step) + 1 },
    (_, i) => Math.ceil(top / step) * step + i * step,
  ).filter((d) => d < bottom);
  return ticks.map((d) => (
    <g key={d}>
      <path d={`M30 ${y(d)}H${width}`} stroke="var(--color-soft)" strokeWidth=".6" strokeDasharray="1 5" />
      <text x="24" y={y(d) + 4.5} textAnchor="end">
        {d}
      </text>
    </g>
  ));
}

function MarkAt({ mark, x, y, links }: { mark: Mark; x: number; y: number; links: boolean }) {
  const moved = mark.moved == null ? '' : `, ${signed(mark.moved)} fm`;
  const said = `${shortDay(mark.at)}: ${say(mark.note) || glyphName(mark)}${moved}`;
  const glyph = (
    <path transform={`translate(${x} ${y})`} {...glyphOf(mark)}>
      <title>{said}</title>
    </path>
  );
  if (!links) return glyph;
  return (
    <a
      href={`#${pieceId(mark)}`}
      aria-label={said}
      className={cx(
        '[&_circle]:hover:fill-tint [&_circle]:hover:stroke-overlay',
        '[&_circle]:focus-visible:fill-tint [&_circle]:focus-visible:stroke-overlay',
      )}
    >
      <circle cx={x} cy={y} r="12" fill="transparent" />
      {glyph}
    </a>
  );
}

/** What a month's name takes, px: where it does not fit before the edge, its tick stands alone. */
const monthWidth = 34;

function Months(p: { start: number; end: number; x: (ms: number) => number; width: number; foot: number }) {
  const first = new Date(p.start);
  const months = Array.from({ length: 14 }, (_, i) => new Date(first.getFullYear(), first.getMonth() + i, 1)).filter(
    (d) => d.getTime() >= p.start && d.getTime() <= p.end,
  );
  return (
    <>
      <path d={`M30 ${p.foot}H${p.width - 6}`} stroke="var(--color-ink)" />
      {months.map((d) => (
        <g key={d.getTime()}>
          <path d={`M${p.x(d.getTime())} ${p.foot}v4`} stroke="var(--color-ink)" />
          {p.x(d.getTime()) + monthWidth < p.width && (
            <text x={p.x(d.getTime()) + 3} y={p.foot + 15}>
              {shortMonth(d)}
            </text>
          )}
        </g>
      ))}
    </>
  );
}

function Legend({ marks }: { marks: readonly Mark[] }) {
  const used = [...new Map(marks.map((m) => [glyphName(m), m]))];
  return (
    <ul className="flex flex-wrap gap-x-2 text-sm [&>li]:inline-flex [&>li]:items-center [&>li]:gap-1">
      {used.map(([name, m]) => (
        <li key={name}>
          <svg width="10" height="10" viewBox="-5 -5 10 10" aria-hidden>
            <path {...glyphOf(m)} />
          </svg>
          {name}
        </li>
      ))}
      <li className="text-soft">{t('down is deeper')}</li>
    </ul>
  );
}
