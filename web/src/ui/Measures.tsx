/** What is drawn small and means the same thing on every page: ranges, meters, spreads. */

const px = (n: number) => Math.round(n * 10) / 10;

type Scale = { from: number; to: number; width: number };
const place =
  ({ from, to, width }: Scale) =>
  (v: number) =>
    px(4 + ((Math.max(from, Math.min(to, v)) - from) / (to - from)) * (width - 8));

/** The first and the last figure of a scale stay within it. */
function anchor(i: number, of: number) {
  if (i === 0) return 'start';
  return i === of - 1 ? 'end' : 'middle';
}

/** The ruler over a column of ranges: a ladder of depth tints. */
export function RangeScale({ from, to, width, step, label }: Scale & { step: number; label: string }) {
  const x = place({ from, to, width });
  const stops = Array.from({ length: (to - from) / step + 1 }, (_, i) => from + i * step);
  return (
    <svg width={width} height="22" viewBox={`0 0 ${width} 22`} role="img" aria-label={label} className="text-sm">
      {stops.slice(0, -1).map((v, i) => (
        <rect
          key={v}
          x={x(v)}
          y="16"
          width={px(x(v + step) - x(v))}
          height="5"
          fill={`var(--color-depth-${Math.min(6, i + 2)})`}
          stroke="var(--color-ink)"
          strokeWidth=".7"
        />
      ))}
      {stops.map((v, i) => (
        <text key={v} x={x(v)} y="12" textAnchor={anchor(i, stops.length)} fill="var(--color-ink)">
          {v}
        </text>
      ))}
    </svg>
  );
}

/** A depth with its 90 % range on the scale over it. The figures stand in words beside it. */
export function Range({
  low,
  mean,
  high,
  step,
  ...scale
}: Scale & { low: number; mean: number; high: number; step: number }) {
  const x = place(scale);
  const stops = Array.from({ length: (scale.to - scale.from) / step - 1 }, (_, i) => scale.from + (i + 1) * step);
  return (
    <svg width={scale.width} height="18" viewBox={`0 0 ${scale.width} 18`} aria-hidden className="block">
      <path d={`M4 9H${scale.width - 4}`} stroke="var(--color-line)" />
      {stops.map((v) => (
        <path key={v} d={`M${x(v)} 6v6`} stroke="var(--color-line)" />
      ))}
      <rect x={x(low)} y="5" width={Math.max(2, px(x(high) - x(low)))} height="8" fill="var(--color-depth-3)" />
      <path d={`M${x(low)} 4v10M${x(high)} 4v10`} stroke="var(--color-ink)" />
      <circle cx={x(mean)} cy="9" r="3.2" fill="var(--color-ink)" />
    </svg>
  );
}

/** How far something is on its way to what is wanted; a tick says where it should be by now. */
export function Meter({ of, at, due, label }: { of: number; at: number; due?: number; label: string }) {
  const share = (v: number) => `${Math.max(0, Math.min(100, (100 * v) / (of || 1)))}%`;
  return (
    <div
      role="meter"
      aria-label={label}
      aria-valuemin={0}
      aria-valuemax={of}
      aria-valuenow={Math.min(at, of)}
      className="border-ink bg-paper relative h-1.5 w-full border"
    >
      <i className="bg-depth-6 block h-full" style={{ width: share(at) }} />
      {due !== undefined && <i className="bg-ink absolute -inset-y-1 w-0.5" style={{ left: share(due) }} />}
    </div>
  );
}

/** Something that goes on for more than a second: how far it is, and what it does now. */
export function Progress({ value, children }: { value: number; children: string }) {
  return (
    <div className="grid gap-1.5" role="status">
      <progress max={1} value={value} className="sr-only">
        {children}
      </progress>
      <div aria-hidden className="border-ink bg-paper h-2 border">
        <i className="bg-depth-6 block h-full transition-[width]" style={{ width: `${Math.round(100 * value)}%` }} />
      </div>
      <p className="text-sm">{children}</p>
    </div>
  );
}
