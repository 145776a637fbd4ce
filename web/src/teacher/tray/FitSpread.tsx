import { t } from '../../shared/words';
import type { Fit } from './Tray';

const left = 50,
  right = 100,
  width = 196,
  base = 22.5;
const x = (percent: number) => 6 + ((Math.max(left, percent) - left) / (right - left)) * (width - 14);

interface Spread {
  fits: Fit[];
  name: (readerId: string) => string;
  cuts: { zoneLow: number; zoneHigh: number };
}

/** Forecasts of the picked readers on the picked text, as dots over the reach as the school cuts it. */
export function FitSpread({ fits, name, cuts }: Spread) {
  const [from, to] = [100 * cuts.zoneLow, 100 * cuts.zoneHigh];
  const within = fits.filter((f) => f.zone === 'Instructional').length;
  const deep = fits.filter((f) => f.zone === 'Frustration').length;
  const easy = fits.length - within - deep;
  const stack = new Map<number, number>();
  const words = [
    t('{{n}} within reach', { n: within }),
    deep && t('{{n}} too deep', { n: deep }),
    easy && t('{{n}} easy', { n: easy }),
  ]
    .filter(Boolean)
    .join(', ');
  return (
    <div className="fitbox">
      <h3>{words}</h3>
      <svg
        className="fit"
        width={width}
        height="40"
        viewBox={`0 0 ${width} 40`}
        role="img"
        aria-label={`${t('Forecast comprehension')}: ${fits.map((f) => `${name(f.readerId)} ${f.forecast} %`).join(', ')}`}
      >
        <rect x={x(from)} y="1" width={x(to) - x(from)} height="22" fill="var(--depth-3)" />
        <path d={`M2 ${base}H${width - 2}`} stroke="var(--ink)" />
        {[60, 70, 80, 90].map((p) => (
          <g key={p}>
            <path d={`M${x(p)} ${base}v4`} stroke="var(--ink)" />
            <text x={x(p)} y="38" textAnchor="middle" fontSize="13">
              {p === 90 ? '90 %' : p}
            </text>
          </g>
        ))}
        {fits.map((f) => {
          const slot = Math.round(x(f.forecast) / 7);
          const level = stack.get(slot) ?? 0;
          stack.set(slot, level + 1);
          return (
            <circle
              key={f.readerId}
              cx={x(f.forecast)}
              cy={base - 4 - Math.min(level, 2) * 7}
              r="3.500"
              fill={f.zone === 'Frustration' ? 'var(--paper)' : 'var(--ink)'}
              stroke="var(--ink)"
              strokeWidth="1.200"
            />
          );
        })}
      </svg>
    </div>
  );
}
