import { useLayoutEffect, useRef, useState, type ReactNode } from 'react';
import type { Move } from './plan';

interface Course {
  id: string;
  path: string;
  x: number;
  y: number;
}

/** Draws a course for each who moves, from the flag where they are to the flag where they go. What it shows is also
 * said in the list of moves, so it is left out for who does not see it. */
export function Courses({ moves, children }: { moves: readonly Move[]; children: ReactNode }) {
  const box = useRef<HTMLDivElement>(null);
  const [courses, draw] = useState<Course[]>([]);
  const key = moves.map((m) => `${m.id} ${m.to ?? ''}`).join('|');
  useLayoutEffect(() => {
    const of = box.current;
    if (!of) return;
    const measure = () => {
      const frame = of.getBoundingClientRect();
      draw(
        moves.flatMap((m, i): Course[] => {
          const from = of.querySelector(`[data-from="${m.id}"]`)?.getBoundingClientRect();
          const to = of.querySelector(`[data-to="${m.id}"]`)?.getBoundingClientRect();
          if (!from || !to) return [];
          const [x1, y1] = [from.right - frame.left, from.top - frame.top + from.height / 2];
          const [x2, y2] = [to.left - frame.left - 4, to.top - frame.top + to.height / 2];
          const bend = Math.max(30, (x2 - x1) / 2);
          const at = 0.35 + (0.3 * (i % 4)) / 3;
          return [
            {
              id: m.id,
              path: `M${x1} ${y1}C${x1 + bend} ${y1} ${x2 - bend} ${y2} ${x2} ${y2}`,
              x: curve(x1, x1 + bend, x2 - bend, x2, at),
              y: curve(y1, y1, y2, y2, at),
            },
          ];
        }),
      );
    };
    measure();
    const watch = new ResizeObserver(measure);
    watch.observe(of);
    return () => watch.disconnect();
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the key says who moves where
  }, [key, children]);
  return (
    <div ref={box} className="relative">
      {children}
      <svg aria-hidden className="pointer-events-none absolute inset-0 size-full overflow-visible">
        <defs>
          <marker id="course-end" viewBox="0 0 8 8" refX="7" refY="4" markerWidth="7" markerHeight="7" orient="auto">
            <path d="M1 1L7 4L1 7" fill="none" stroke="var(--color-overlay)" strokeWidth="1.5" />
          </marker>
        </defs>
        {courses.map((c) => (
          <path
            key={c.id}
            d={c.path}
            fill="none"
            stroke="var(--color-overlay)"
            strokeWidth="1.5"
            markerEnd="url(#course-end)"
          />
        ))}
        {courses.map((c) => (
          <g key={c.id}>
            <circle cx={c.x} cy={c.y} r="9" fill="var(--color-paper)" stroke="var(--color-overlay)" strokeWidth="1.5" />
            <text x={c.x} y={c.y + 4.5} textAnchor="middle" fontSize="12" fontWeight="600" fill="var(--color-overlay)">
              {moves.findIndex((m) => m.id === c.id) + 1}
            </text>
          </g>
        ))}
      </svg>
    </div>
  );
}

/** A point of a cubic curve. */
const curve = (a: number, b: number, c: number, d: number, s: number) =>
  a * (1 - s) ** 3 + 3 * b * s * (1 - s) ** 2 + 3 * c * s * s * (1 - s) + d * s ** 3;
