import { cx } from 'class-variance-authority';
import { useState } from 'react';
import { fm, shortDay } from '../../shared/format';
import { evidenceSources } from './evidence';
import { say, t } from '../../shared/words';
import type { Api } from '../../shared/api';
import { sure } from '../../shared/sure';

type ReaderData = Api<'ReaderView'>;

/** Depth, range and reach on one ladder. */
export function DepthScale({ r }: { r: ReaderData }) {
  const width = 408,
    from = r.reachFrom - 6,
    to = r.reachTo + 6;
  const x = (d: number) => 6 + ((d - from) / (to - from)) * (width - 12);
  const whole = Array.from({ length: Math.floor(to) - Math.ceil(from) }, (_, i) => Math.ceil(from) + i);
  return (
    <svg
      width={width}
      height="70"
      viewBox={`0 0 ${width} 70`}
      role="img"
      aria-label={t('Depth {{depth}} fm, range {{low}} to {{high}}, reach {{from}} to {{to}}', {
        depth: fm(r.depth),
        low: fm(r.low),
        high: fm(r.high),
        from: fm(r.reachFrom),
        to: fm(r.reachTo),
      })}
      className="fill-ink block h-auto w-full text-sm"
    >
      <rect x={x(r.reachFrom)} y="20" width={x(r.reachTo) - x(r.reachFrom)} height="24" fill="var(--color-tint)" />
      <path d={`M${x(r.reachFrom)} 20v28M${x(r.reachTo)} 20v28`} stroke="var(--color-overlay)" strokeWidth="1.5" />
      <text x={x(r.reachFrom)} y="14" textAnchor="middle">
        {Math.round(r.reachFrom)} {t('easy')}
      </text>
      <text x={x(r.reachTo)} y="14" textAnchor="middle">
        {Math.round(r.reachTo)} {t('too deep')}
      </text>
      <text className="font-bold" x={x(r.depth)} y="14" textAnchor="middle">
        {fm(r.depth)}
      </text>
      <path
        d={`M${x(r.low)} 33H${x(r.high)}M${x(r.low)} 28v10M${x(r.high)} 28v10`}
        stroke="var(--color-ink)"
        strokeWidth="1.5"
      />
      <circle cx={x(r.depth)} cy="33" r="5" fill="var(--color-overlay)" />
      {whole.map((d) => (
        <rect
          key={d}
          x={x(d)}
          y="46"
          width={x(d + 1) - x(d)}
          height="5"
          fill={d % 2 ? 'var(--color-paper)' : 'var(--color-ink)'}
        />
      ))}
      <rect x={x(from)} y="46" width={x(to) - x(from)} height="5" fill="none" stroke="var(--color-ink)" />
      {whole
        .filter((d) => d % 5 === 0)
        .map((d) => (
          <text key={d} x={x(d)} y="66" textAnchor="middle">
            {d}
          </text>
        ))}
    </svg>
  );
}

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
  const start = time(sure(r.trail[0]).day),
    end = Math.max(time(sure(r.trail.at(-1)).day), now);
  const all = r.trail.flatMap((d) => [d.low, d.high]);
  const top = Math.min(...all) - 2,
    bottom = Math.max(...all) + 2;
  const x = (ms: number) => 30 + ((ms - start) / Math.max(1, end - start)) * (width - 40);
  const y = (d: number) => 6 + ((Math.max(top, Math.min(bottom, d)) - top) / (bottom - top)) * (height - 28);
  const line = (pick: (d: ReaderData['trail'][number]) => number) =>
    r.trail.map((d) => `${x(time(d.day)).toFixed(1)} ${y(pick(d)).toFixed(1)}`);
  const step = bottom - top > 16 ? 8 : 4;
  const ticks = Array.from(
    { length: Math.ceil((bottom - top) / step) + 1 },
    (_, i) => Math.ceil(top / step) * step + i * step,
  ).filter((d) => d < bottom);
  const months = Array.from({ length: 14 }, (_, i) => {
    const d = new Date(start);
    return new Date(d.getFullYear(), d.getMonth() + i, 1).getTime();
  }).filter((ms) => ms >= start && ms <= end);
  const used = [...new Map(r.marks.map((m) => [glyphName(m), m]))];
  return (
    <>
      <svg
        width={width}
        height={height}
        viewBox={`0 0 ${width} ${height}`}
        className="fill-ink block h-auto w-full text-sm"
        role={links ? 'group' : 'img'}
        aria-label={t('Depth from {{first}} to {{last}} fm since {{day}}', {
          first: fm(sure(r.trail[0]).mean),
          last: fm(sure(r.trail.at(-1)).mean),
          day: shortDay(sure(r.trail[0]).day),
        })}
      >
        {ticks.map((d) => (
          <g key={d}>
            <path d={`M30 ${y(d)}H${width}`} stroke="var(--color-soft)" strokeWidth=".6" strokeDasharray="1 5" />
            <text x="24" y={y(d) + 4.5} textAnchor="end">
              {d}
            </text>
          </g>
        ))}
        <path
          d={`M${line((d) => d.low).join('L')}L${line((d) => d.high)
            .reverse()
            .join('L')}z`}
          fill="var(--color-depth-2)"
        />
        <path d={`M${line((d) => d.mean).join('L')}`} fill="none" stroke="var(--color-ink)" strokeWidth="1.8" />
        {r.marks.map((m, i) => {
          const moved = m.moved == null ? '' : `, ${m.moved >= 0 ? '+' : '−'}${Math.abs(m.moved).toFixed(1)} fm`;
          const said = `${shortDay(m.at)}: ${say(m.note) || glyphName(m)}${moved}`;
          const mark = (
            <path key={i} transform={`translate(${x(time(m.at))} ${y(m.place)})`} {...glyphOf(m)}>
              <title>{said}</title>
            </path>
          );
          return links ? (
            <a
              key={i}
              href={`#${pieceId(m)}`}
              aria-label={said}
              className={cx(
                '[&_circle]:hover:fill-tint [&_circle]:hover:stroke-overlay',
                '[&_circle]:focus-visible:fill-tint [&_circle]:focus-visible:stroke-overlay',
              )}
            >
              <circle cx={x(time(m.at))} cy={y(m.place)} r="12" fill="transparent" />
              {mark}
            </a>
          ) : (
            mark
          );
        })}
        <circle
          cx={x(time(sure(r.trail.at(-1)).day))}
          cy={y(sure(r.trail.at(-1)).mean)}
          r="4.500"
          fill="var(--color-overlay)"
        />
        <path d={`M30 ${height - 20}H${width - 6}`} stroke="var(--color-ink)" />
        {months.map((ms) => (
          <g key={ms}>
            <path d={`M${x(ms)} ${height - 20}v4`} stroke="var(--color-ink)" />
            <text x={x(ms) + 3} y={height - 5}>
              {new Date(ms).toLocaleDateString('en-GB', { month: 'short' })}
            </text>
          </g>
        ))}
      </svg>
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
    </>
  );
}
