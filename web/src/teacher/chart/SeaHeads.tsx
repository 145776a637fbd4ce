import { type CSSProperties } from 'react';
import { t } from '../../shared/words';
import type { ClassData } from '../classQueries';
import type { ChartShows } from './Chart';
import css from './sea.module.css';
import { bandsOf } from './SeaBackground';
import { sure } from '../../shared/sure';

/** Where the columns of the chart stand, and how far flags are from each other. */
export const axis = 104,
  bandX = 120,
  laneX = 192,
  top = 30,
  pitch = 28,
  rack = 40;

/** What each column of the chart is, and what its figures are while something is pointed at. */
export function Heads({
  data,
  texts,
  shows,
  labelName,
  grouped,
  textX,
  width: W,
  about,
}: {
  data: ClassData;
  texts: number;
  shows: ChartShows;
  labelName: string;
  grouped: boolean;
  textX: number;
  width: number;
  about: string;
}) {
  return (
    <g className={css.heads}>
      <Head x={16} to={axis - 40} strong={labelName} />
      <text x={axis - 18} y={16} textAnchor="end" className={css.strong}>
        fm
      </text>
      {grouped && <Head x={bandX} to={laneX - 6} strong={t('Group')} />}
      <Head
        x={laneX}
        to={textX - 8}
        strong={t('{{count}} readers', { count: data.readers.length })}
        more={[shows.range && t('mast: 90% range'), shows.trend && t('arrow: six weeks, down is deeper')]
          .filter(Boolean)
          .join(' · ')}
      />
      <text x={textX} y={16}>
        <tspan className={css.strong}>{t('{{count}} texts', { count: texts })}</tspan>
      </text>
      <text x={W - 12} y={16} textAnchor="end">
        {about}
      </text>
    </g>
  );
}

/** The names of the groups' bands, pushed apart. */
export function GroupNames({ bands, at: labelYs }: { bands: ReturnType<typeof bandsOf>; at: number[] }) {
  return (
    <>
      {bands.map((b, i) => (
        <g key={b.name} className={css.group} style={{ '--under': b.tint } as CSSProperties}>
          <text x={bandX} y={sure(labelYs[i]) - 3} className={css.groupName}>
            {b.name}
            <tspan dx={7}>{b.all}</tspan>
          </text>
          <text x={bandX} y={sure(labelYs[i]) + 15}>
            {Math.round(b.lo)}–{Math.round(b.hi)} fm
          </text>
        </g>
      ))}
    </>
  );
}

/** What is within a reader's reach, over the texts. */
export function Reach({
  x,
  width,
  from,
  to,
  lowest,
  highest,
}: {
  x: number;
  width: number;
  from: number;
  to: number;
  lowest: number;
  highest: number;
}) {
  const a = Math.max(lowest, from),
    b = Math.min(highest, to);
  return (
    <g aria-hidden>
      <defs>
        <pattern id="hatch" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0v6" stroke="var(--color-overlay)" opacity=".22" />
        </pattern>
      </defs>
      <rect x={x} y={a} width={width - x} height={b - a} fill="var(--color-tint)" />
      <rect x={x} y={a} width={width - x} height={b - a} fill="url(#hatch)" />
      <path
        d={`M${x - 7} ${a}H${width}M${x - 7} ${b}H${width}M${x - 7} ${a}V${b}`}
        fill="none"
        stroke="var(--color-overlay)"
        strokeWidth="1.5"
      />
    </g>
  );
}

/** What a column of the chart is; in a long language it ends where the next one begins, and is read whole. */
function Head({ x, to, strong, more = '' }: { x: number; to: number; strong: string; more?: string }) {
  return (
    <svg x={x} y={0} width={Math.max(0, to - x)} height={24}>
      <title>{`${strong} ${more}`.trim()}</title>
      <text x={0} y={16}>
        <tspan className={css.strong}>{strong}</tspan>
        {more && `  ${more}`}
      </text>
    </svg>
  );
}
