import { t } from '../../shared/words';
import type { ClassData, ReaderRow } from '../classQueries';
import type { Labels } from './Chart';
import { cut, widthOf } from './pen';
import { sure } from '../../shared/sure';

type Y = (depth: number) => number;
export type Band = { name: string; all: number; lo: number; hi: number; y0: number; y1: number; tint: string };

const tints = ['#EEF6F7', '#E2EFF1', '#D6E9EC', '#C6E0E4', '#BAD9DE', '#AED2D8'];

/** A group's band leaves out its shallowest and deepest reader when it has six or more, so that bands stay apart. */
export function bandsOf(groups: ClassData['groups'], readers: ReaderRow[], y: Y): Band[] {
  const depth = new Map(readers.map((r) => [r.id, r.depth]));
  const bands = groups
    .map((g) => ({
      g,
      ds: g.readerIds
        .map((id) => depth.get(id))
        .filter((d) => d !== undefined)
        .sort((a, b) => a - b),
    }))
    .filter((x) => x.ds.length > 0)
    .map(({ g, ds }) => ({ g, ds, middle: sure(ds[Math.floor(ds.length / 2)]) }))
    .sort((a, b) => a.middle - b.middle)
    .map(({ g, ds }, i) => {
      const cut = ds.length >= 6 ? Math.max(1, Math.floor(ds.length / 5)) : 0;
      const inner = ds.slice(cut, ds.length - cut);
      return {
        name: g.name,
        all: ds.length,
        lo: sure(ds[0]),
        hi: sure(ds.at(-1)),
        y0: y(sure(inner[0]) - 0.75),
        y1: y(sure(inner.at(-1)) + 0.75),
        tint: sure(tints[i % tints.length]),
      };
    });
  // Where groups still overlap, their bands share the border halfway.
  return bands.map((b, i) => {
    const before = bands[i - 1],
      after = bands[i + 1];
    return {
      ...b,
      y0: before && before.y1 > b.y0 ? (before.y1 + b.y0) / 2 + 2 : b.y0,
      y1: after && after.y0 < b.y1 ? (after.y0 + b.y1) / 2 - 2 : b.y1,
    };
  });
}

const swell = (from: number, to: number, flip = 1) => {
  const n = Math.max(1, Math.round(Math.abs(to - from) / 64)),
    step = (to - from) / n;
  return Array.from({ length: n }, (_, i) => `q${step / 2} ${(i % 2 ? -3 : 3) * flip} ${step} 0`).join('');
};

/** Groups as tinted strips with edges drawn like a coast. */
export function Bands({ bands, width, axis }: { bands: Band[]; width: number; axis: number }) {
  const edge = (yy: number, outer: boolean) => (
    <path
      d={`M${axis} ${yy}${swell(axis, width)}`}
      fill="none"
      stroke="var(--color-depth-5)"
      strokeWidth={outer ? 1.1 : 0.7}
      opacity={outer ? 1 : 0.55}
    />
  );
  return (
    <g aria-hidden>
      {bands.map((b) => (
        <g key={b.name}>
          <path d={`M${axis} ${b.y0}${swell(axis, width)}V${b.y1}${swell(width, axis, -1)}z`} fill={b.tint} />
          {edge(b.y0, true)}
          {edge(b.y0 + 4, false)}
          {edge(b.y1 - 4, false)}
          {edge(b.y1, true)}
        </g>
      ))}
    </g>
  );
}

/** A dotted hairline each five fathoms. */
export function Soundings({
  from,
  to,
  y,
  axis,
  width,
}: {
  from: number;
  to: number;
  y: Y;
  axis: number;
  width: number;
}) {
  return (
    <g aria-hidden>
      {fives(from, to).map((d) => (
        <path
          key={d}
          d={`M${axis} ${y(d)}H${width}`}
          stroke="var(--color-soft)"
          strokeWidth=".6"
          strokeDasharray="1 5"
        />
      ))}
    </g>
  );
}

const fives = (from: number, to: number) =>
  Array.from({ length: Math.ceil((to - from) / 5) + 1 }, (_, i) => Math.ceil(from / 5) * 5 + i * 5).filter(
    (d) => d >= from && d <= to,
  );
const steps = ['#EEF6F7', '#D6E9EC', '#B5D6DC', '#86BAC5', '#4E93A3', '#256A7D'];

/** Room for a level's label beside the figures, px. */
const labelRoom = 52;

/** The graduated ruler with the school's level labels at its left. */
export function Ruler({
  from,
  to,
  y,
  axis,
  rows,
  labels,
}: {
  from: number;
  to: number;
  y: Y;
  axis: number;
  rows: ClassData['levelChart'];
  labels: Labels;
}) {
  const spans = rows
    .map((r, i) => ({
      name: { grade: t('Grade {{grade}}', { grade: r.grade }), ages: r.ages, schoolYear: r.schoolYear }[labels],
      // The column's head says what the figure is.
      short: { grade: r.grade, ages: r.ages, schoolYear: r.schoolYear }[labels],
      a: Math.max(from, rows[i - 1]?.depth ?? -20),
      b: Math.min(to, r.depth),
    }))
    .filter((s) => s.b > s.a);
  const whole = Array.from({ length: Math.floor(to) - Math.ceil(from) }, (_, i) => Math.ceil(from) + i);
  return (
    <g>
      {spans.map((s) => (
        <g key={s.name}>
          <path d={`M14 ${y(s.b)}H52`} stroke="var(--color-line)" />
          {y(s.b) - y(s.a) > 17 && (
            <text x={16} y={(y(s.a) + y(s.b)) / 2 + 4.5}>
              {widthOf(s.name) <= labelRoom ? (
                s.name
              ) : (
                <>
                  {cut(s.short, labelRoom)}
                  <title>{s.name}</title>
                </>
              )}
            </text>
          )}
        </g>
      ))}
      {whole.map((d) => (
        <rect
          key={d}
          x={axis - 10}
          y={y(d)}
          width="5"
          height={y(d + 1) - y(d)}
          fill={d % 2 ? 'var(--color-paper)' : 'var(--color-ink)'}
        />
      ))}
      {fives(from, to).map((d) => (
        <g key={d}>
          <text x={axis - 18} y={y(d) + 4.5} textAnchor="end">
            {d}
          </text>
          <path d={`M${axis - 15} ${y(d)}h5`} stroke="var(--color-ink)" />
        </g>
      ))}
      {steps
        .map((fill, i) => ({ fill, a: Math.max(from, i * 10), b: Math.min(to, i * 10 + 10) }))
        .filter((s) => s.b > s.a)
        .map((s) => (
          <rect
            key={s.fill}
            x={axis - 5}
            y={y(s.a)}
            width="5"
            height={y(s.b) - y(s.a)}
            fill={s.fill}
            stroke="var(--color-ink)"
            strokeWidth=".5"
          />
        ))}
      <rect x={axis - 10} y={y(from)} width="10" height={y(to) - y(from)} fill="none" stroke="var(--color-ink)" />
    </g>
  );
}
