import type { Api } from '../../shared/api';
import { fm } from '../../shared/format';
import { t } from '../../shared/words';

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
      className="fill-ink block h-auto w-full max-w-128 text-sm"
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
