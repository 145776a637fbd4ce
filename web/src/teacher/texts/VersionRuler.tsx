import { fm } from '../../shared/format';
import { lieOf, forecast, zoneWord, type Cuts } from '../../shared/forecast';
import { phrase, t } from '../../shared/words';

/** Whom the texts are for, as the ruler needs them. */
export type RulerReaders = { depths: readonly number[]; cuts: Cuts };

const top = 70,
  step = 10,
  width = 284,
  edge = 6,
  row = 46,
  plate = 30;
const px = (n: number) => Math.round(n * 10) / 10;
const x = (depth: number) => px(edge + (Math.max(0, Math.min(top, depth)) / top) * (width - 2 * edge - plate));
const stops = Array.from({ length: top / step + 1 }, (_, i) => i * step);

/** The scale over the plates, in the list's head. */
export const RulerHead = () => (
  <svg width={width} height="30" viewBox={`0 0 ${width} 30`} aria-hidden className="block overflow-visible text-sm">
    {stops.map((v, i) => (
      <g key={v}>
        <text
          x={v === top ? x(v) - 8 : x(v)}
          y="15"
          textAnchor={v === top ? 'start' : 'middle'}
          fill="var(--color-ink)"
        >
          {v === top ? t('{{n}} fm', { n: v }) : v}
        </text>
        {i < stops.length - 1 && (
          <rect
            x={x(v)}
            y="23"
            width={px(x(v + step) - x(v))}
            height="5"
            fill={i % 2 === 0 ? 'var(--color-ink)' : 'var(--color-paper)'}
            stroke="var(--color-ink)"
          />
        )}
      </g>
    ))}
  </svg>
);

/** The tint behind the plates: the more readers have a depth within their reach, the darker it is. */
export function reachTint({ depths, cuts }: RulerReaders): string | undefined {
  if (depths.length === 0) return undefined;
  const tint = stops
    .flatMap((v) => [v, v + step / 2])
    .map((v) => {
      const within = depths.filter((d) => zoneWord(forecast(d, v), cuts) === '').length / depths.length;
      return `color-mix(in srgb, var(--color-depth-4) ${Math.round(70 * within)}%, transparent) ${x(v)}px`;
    });
  return `linear-gradient(to right, ${tint.join(', ')})`;
}

const lies = {
  deep: { some: phrase('deep for {{n}}'), all: phrase('deep for all {{n}}') },
  easy: { some: phrase('easy for {{n}}'), all: phrase('easy for all {{n}}') },
};

/** How a text lies where most cannot read it with gain. */
function lieWords(of: RulerReaders, versions: readonly number[]) {
  const lie = lieOf(of.depths, versions, of.cuts);
  const n = of.depths.length;
  const side = (['deep', 'easy'] as const).find((s) => lie[s] > n / 2);
  if (!side) return null;
  const count = lie[side];
  return t(lies[side][count === n ? 'all' : 'some'], { n: count });
}

/** Plates never lie over each other: a version that is little deeper stands beside the one before it. */
function places(depths: readonly number[]) {
  let free = 0;
  return depths.map((depth) => {
    const at = Math.max(x(depth), free);
    free = at + plate + 2;
    return at;
  });
}

/** A text's versions on the ruler: a plate each, its spine at its depth. */
export function VersionRuler({
  versions,
  readers,
  tint,
}: {
  versions: readonly { id: string; depth: number }[];
  readers: RulerReaders;
  tint: string | undefined;
}) {
  const order = [...versions].sort((a, b) => a.depth - b.depth);
  const depths = order.map((v) => v.depth);
  const at = places(depths);
  const first = at[0] ?? 0,
    last = at.at(-1) ?? 0;
  const lie = lieWords(readers, depths);
  // Beside the plates, on the side where there is room.
  const left = lie && last + plate + 100 > width;
  return (
    <>
      <span className="sr-only">
        {t('{{depths}} fm', { depths: depths.map((d) => fm(d)).join(', ') })}
        {lie && `, ${lie}`}
      </span>
      <svg
        width={width}
        height={row}
        viewBox={`0 0 ${width} ${row}`}
        aria-hidden
        className="block text-sm"
        style={{ background: tint }}
      >
        {stops.map((v) => (
          <path key={v} d={`M${x(v)} 0v${row}`} stroke="var(--color-line)" strokeDasharray="1 3" />
        ))}
        <path d={`M${first} ${row / 2}H${last}`} stroke="var(--color-ink)" />
        {order.map((v, i) => (
          <g key={v.id} transform={`translate(${at[i] ?? 0} ${row / 2 - 11})`}>
            <rect width={plate} height="22" fill="var(--color-paper)" stroke="var(--color-ink)" rx="1" />
            <path d="M3.500 0v22" stroke="var(--color-ink)" />
            <text x="17" y="16" textAnchor="middle" fill="var(--color-ink)" fontWeight="500">
              {Math.round(v.depth)}
            </text>
          </g>
        ))}
        {lie && (
          <text
            x={left ? first - 8 : last + plate + 8}
            y={row / 2 + 5}
            textAnchor={left ? 'end' : 'start'}
            fill="var(--color-ink)"
            fontWeight="500"
          >
            {lie}
          </text>
        )}
      </svg>
    </>
  );
}
