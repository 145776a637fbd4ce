const left = 50,
  right = 100,
  width = 196,
  base = 22.5;
const x = (percent: number) => 6 + ((Math.max(left, percent) - left) / (right - left)) * (width - 14);

/** Forecasts in percent as dots over what is within reach; what is too deep is open. */
export function Spread({
  of,
  from,
  to,
  label,
}: {
  of: readonly { id: string; percent: number; deep: boolean }[];
  /** Percent between which a text is within reach. */
  from: number;
  to: number;
  label: string;
}) {
  const stack = new Map<number, number>();
  return (
    <svg
      className="fill-ink font-ui text-sm"
      width={width}
      height="40"
      viewBox={`0 0 ${width} 40`}
      role="img"
      aria-label={label}
    >
      <rect x={x(from)} y="1" width={x(to) - x(from)} height="22" fill="var(--color-depth-3)" />
      <path d={`M2 ${base}H${width - 2}`} stroke="var(--color-ink)" />
      {[60, 70, 80, 90].map((p) => (
        <g key={p}>
          <path d={`M${x(p)} ${base}v4`} stroke="var(--color-ink)" />
          <text x={x(p)} y="38" textAnchor="middle">
            {p === 90 ? '90%' : p}
          </text>
        </g>
      ))}
      {of.map((f) => {
        const slot = Math.round(x(f.percent) / 7);
        const level = stack.get(slot) ?? 0;
        stack.set(slot, level + 1);
        return (
          <circle
            key={f.id}
            cx={x(f.percent)}
            cy={base - 4 - Math.min(level, 2) * 7}
            r="3.5"
            fill={f.deep ? 'var(--color-paper)' : 'var(--color-ink)'}
            stroke="var(--color-ink)"
            strokeWidth="1.2"
          />
        );
      })}
    </svg>
  );
}
