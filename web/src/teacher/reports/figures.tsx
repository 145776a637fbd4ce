import { fm, percent, strandName } from '../../shared/format';
import { t } from '../../shared/words';
import { askedIn, type ReportRow, type Sums } from './reportQueries';
import { strands } from '../../shared/strands';

/** First tries as three heights by their shares: right at once, later, not yet. */
export function Tries({ s }: { s: Sums }) {
  const all = s.atOnce + s.later + s.notYet;
  if (all === 0) return null;
  const width = 52;
  const of = (n: number) => (n / all) * width;
  return (
    <svg width={width} height="14" className="inline-block" role="img" aria-label={triesSaid(s)}>
      <rect y="0" width={of(s.atOnce)} height="14" fill="var(--color-ink)" />
      <rect x={of(s.atOnce)} y="7" width={of(s.later)} height="7" fill="var(--color-ink)" />
      <rect x={of(s.atOnce) + of(s.later)} y="11" width={of(s.notYet)} height="3" fill="var(--color-ink)" />
    </svg>
  );
}

export const triesSaid = (s: Sums) =>
  t('{{once}} right at once, {{later}} later, {{not}} not yet', { once: s.atOnce, later: s.later, not: s.notYet });

/** Every strand as water in a cell; the weakest is framed. */
export function StrandCells({ s }: { s: Sums }) {
  const by = new Map(s.strands.map((x) => [x.strand, x]));
  const said = s.strands
    .map((x) => t('{{strand}} {{n}} of {{of}}', { strand: strandName(x.strand), n: x.atOnce, of: askedIn(x) }))
    .join(', ');
  return (
    <svg width={strands.length * 13.5} height="14" className="inline-block" role="img" aria-label={said || t('none')}>
      {strands.map((strand, i) => {
        const x = by.get(strand);
        const share = x ? x.atOnce / askedIn(x) : 0;
        const weakest = s.weakest?.strand === strand;
        return (
          <g key={strand} transform={`translate(${i * 13.5 + 0.75} 0.75)`}>
            <rect y={12.5 * (1 - share)} width="11.5" height={12.5 * share} fill="var(--color-depth-5)" />
            <rect
              width="11.5"
              height="12.5"
              fill="none"
              stroke={weakest ? 'var(--color-ink)' : 'var(--color-line)'}
              strokeWidth={weakest ? 1.5 : 0.8}
              strokeDasharray={x ? undefined : '2 2'}
            />
          </g>
        );
      })}
    </svg>
  );
}

export function weakestSaid(s: Sums) {
  const { weakest } = s;
  if (weakest)
    return t('{{strand}} {{n}} of {{of}}', {
      strand: strandName(weakest.strand),
      n: weakest.atOnce,
      of: askedIn(weakest),
    });
  return s.strands.length === 0 ? '–' : t('none stands out');
}

export const firstTrySaid = (s: Sums) => {
  const all = s.atOnce + s.later + s.notYet;
  if (s.firstTry === null) return '–';
  // A share of few answers says less than their count.
  return all < 20 ? t('{{n}} of {{of}}', { n: s.atOnce, of: all }) : percent(s.firstTry);
};

const scale = { from: 0, to: 60, width: 132 };
const x = (depth: number) =>
  4 + ((Math.max(scale.from, Math.min(scale.to, depth)) - scale.from) / (scale.to - scale.from)) * (scale.width - 8);

/** Texts as small plates over the reader's reach, the level with its range beneath. */
export function Depths({ row }: { row: ReportRow }) {
  const half = 1.645 * row.levelSd;
  const seen = new Map<number, number>();
  const plates = row.depths.map((depth) => {
    const at = Math.round(x(depth) / 5) * 5;
    const level = seen.get(at) ?? 0;
    seen.set(at, level + 1);
    return { at, level };
  });
  return (
    <svg
      width={scale.width}
      height="26"
      className="inline-block overflow-visible"
      role="img"
      aria-label={t('Level {{level}} ± {{half}} fm; {{count}} texts read from {{from}} to {{to}} fm', {
        level: fm(row.level),
        half: fm(half),
        count: row.depths.length,
        from: fm(row.depths[0] ?? row.level),
        to: fm(row.depths.at(-1) ?? row.level),
      })}
    >
      <rect x={x(row.reach.from)} width={x(row.reach.to) - x(row.reach.from)} height="26" fill="var(--color-depth-2)" />
      {plates.map(
        (p, i) =>
          p.level < 4 && (
            <rect key={i} x={p.at - 2} y={14 - p.level * 4} width="4" height="3" fill="var(--color-depth-6)" />
          ),
      )}
      <path d={`M${x(row.level - half)} 22H${x(row.level + half)}`} stroke="var(--color-ink)" />
      <circle cx={x(row.level)} cy="22" r="3" fill="var(--color-ink)" />
    </svg>
  );
}

/** The ruler over the depths. */
export const DepthRuler = () => (
  <svg width={scale.width} height="16" className="inline-block overflow-visible" aria-hidden>
    {[10, 30, 50].map((depth) => (
      <g key={depth}>
        <path d={`M${x(depth)} 12v4`} stroke="var(--color-ink)" />
        <text x={x(depth)} y="10" textAnchor="middle" className="fill-ink text-sm font-normal">
          {depth}
        </text>
      </g>
    ))}
  </svg>
);
