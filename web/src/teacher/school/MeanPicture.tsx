import { t } from '../../shared/words';
import { figure, meanSaid, type Mean, type Measure } from './schoolReport';

type Scale = { from: number; to: number };
const width = 300;
const x = (scale: Scale, value: number) => 6 + ((value - scale.from) / (scale.to - scale.from)) * (width - 12);

/** Round figures for a scale, three or so. */
function stops({ from, to }: Scale) {
  const rough = (to - from) / 3;
  const ten = 10 ** Math.floor(Math.log10(rough));
  const step = [1, 2, 5, 10].map((n) => n * ten).find((n) => n >= rough) ?? rough;
  const first = Math.ceil(from / step) * step;
  return Array.from({ length: Math.floor((to - first) / step) + 1 }, (_, i) => first + i * step);
}

/** The scale over the pictures. */
export const MeanAxis = ({ measure, scale }: { measure: Measure; scale: Scale }) => (
  <svg width={width} height="16" className="inline-block overflow-visible" aria-hidden>
    {stops(scale).map((value) => (
      <g key={value}>
        <path d={`M${x(scale, value)} 12v4`} stroke="var(--color-ink)" />
        <text x={x(scale, value)} y="10" textAnchor="middle" className="fill-ink text-sm font-normal">
          {figure(measure, value)}
        </text>
      </g>
    ))}
  </svg>
);

/** A mean with its range, the one before as an open point, and the whole school's as an upright line. */
export function MeanPicture({
  measure,
  scale,
  now,
  before,
  all,
}: {
  measure: Measure;
  scale: Scale;
  now: Mean | null;
  before: Mean | null;
  all: Mean | null;
}) {
  if (!now && !before) return null;
  const label = [
    now && t('now {{mean}}', { mean: meanSaid(measure, now) }),
    before && t('before {{mean}}', { mean: meanSaid(measure, before) }),
  ]
    .filter(Boolean)
    .join(', ');
  return (
    <svg width={width} height="22" className="inline-block" role="img" aria-label={label}>
      {all && <path d={`M${x(scale, all.mean)} 0v22`} stroke="var(--color-depth-4)" strokeWidth="2" />}
      {before && (
        <circle cx={x(scale, before.mean)} cy="11" r="3.5" fill="var(--color-paper)" stroke="var(--color-ink)" />
      )}
      {now && (
        <g>
          <path
            d={`M${x(scale, now.mean - now.half)} 11H${x(scale, now.mean + now.half)}`}
            stroke="var(--color-ink)"
            strokeWidth="1.5"
          />
          <circle cx={x(scale, now.mean)} cy="11" r="3.5" fill="var(--color-ink)" />
        </g>
      )}
    </svg>
  );
}
