import { placesIn } from './poolPlaces';
import { things } from './PoolThings';

/** So many lie there as they are drawn; where there are more, all are smaller. */
const roomy = 40;
const width = 150;
const height = 92;

/** One pool, seen from above: what came last has rings around it. */
export function Pool({ count, label, newest }: { count: number; label: string; newest: boolean }) {
  const most = Math.max(roomy, count);
  const size = 0.82 * Math.sqrt(roomy / most);
  const places = placesIn(count, most);
  return (
    <svg
      viewBox="-175 -115 350 230"
      role="img"
      aria-label={label}
      className="text-ink block w-full"
      fill="none"
      stroke="currentColor"
      strokeWidth="2"
      strokeLinejoin="round"
      strokeLinecap="round"
    >
      <ellipse rx="172" ry="112" stroke="none" fill="var(--color-sand)" />
      <ellipse rx="160" ry="102" fill="var(--color-depth-1)" />
      <ellipse rx="128" ry="78" strokeWidth="1" stroke="var(--color-depth-4)" fill="var(--color-depth-2)" />
      <ellipse rx="90" ry="52" stroke="none" fill="var(--color-depth-3)" />
      {places.map((p, i) => (
        <g key={i} transform={`translate(${p.x * width} ${p.y * height}) rotate(${p.turned}) scale(${size})`}>
          {newest && i === count - 1 && (
            <g strokeWidth="1.2" stroke="var(--color-depth-6)">
              <ellipse rx="30" ry="20" />
              <ellipse rx="40" ry="27" />
            </g>
          )}
          {things[p.kind]}
        </g>
      ))}
    </svg>
  );
}
