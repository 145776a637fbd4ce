import type { Api } from '../api';

export type Stroke = Api<'Stroke'>;
export type PaperCopy = Api<'PaperCopy'>;

/** What two devices drew, together: each stroke once, rubbed out where either rubbed it out. */
export function joined(here: readonly Stroke[], there: readonly Stroke[]): Stroke[] {
  const all = new Map<string, Stroke>();
  for (const s of [...here, ...there]) {
    const before = all.get(s.id);
    all.set(s.id, before ? { ...before, gone: before.gone || s.gone } : s);
  }
  return [...all.values()];
}

/** A stroke's points as a line on a page as wide and as high as it is seen. */
export const pathOf = (s: Stroke, width: number, height: number) =>
  s.points.reduce(
    (path, p, i) => path + (i % 2 === 0 ? `${i === 0 ? 'M' : 'L'}${(p * width).toFixed(1)} ` : (p * height).toFixed(1)),
    '',
  );

/** Without points that lie nearer to the one before than a hair: a slow hand makes thousands. */
export function thinned(points: readonly number[], hair: number): number[] {
  const kept: number[] = [];
  for (let i = 0; i + 1 < points.length; i += 2) {
    const [x = 0, y = 0] = points.slice(i, i + 2);
    const [bx, by] = kept.slice(-2);
    if (bx === undefined || by === undefined || Math.hypot(x - bx, y - by) >= hair) kept.push(x, y);
  }
  return kept;
}

/** The stroke nearest to a point of a page, of those that are seen and within reach; null for none. */
export function strokeAt(strokes: readonly Stroke[], page: number, x: number, y: number, reach: number): Stroke | null {
  let best: Stroke | null = null,
    least = reach;
  for (const s of strokes) {
    if (s.gone || s.page !== page) continue;
    for (let i = 0; i + 1 < s.points.length; i += 2) {
      const away = Math.hypot((s.points[i] ?? 0) - x, (s.points[i + 1] ?? 0) - y);
      if (away <= least) {
        best = s;
        least = away;
      }
    }
  }
  return best;
}
