import type { Api } from '../../shared/api';

type Day = Pick<Api<'DepthDay'>, 'low' | 'high'>;

/** From where to where an axis of depths goes: the ranges and every mark fit, with two fathoms to spare. */
export function depthsOf(days: readonly Day[], marks: readonly { place: number }[]) {
  const all = [...days.flatMap((d) => [d.low, d.high]), ...marks.map((m) => m.place)];
  return { top: Math.min(...all) - 2, bottom: Math.max(...all) + 2 };
}

/** Steps of an axis so that at most eight of them are written. */
export const stepOf = (top: number, bottom: number) => [4, 8, 10, 20].find((step) => (bottom - top) / step <= 8) ?? 40;

const apart = 9;

/**
 * Marks that would lie on each other side by side instead, the later ones as near to their place as there is room.
 * @param edge how far right there is room.
 */
export function apartFrom<T extends { x: number; y: number }>(marks: readonly T[], edge: number): T[] {
  const placed: T[] = [];
  for (const mark of marks) {
    const free = (x: number) => placed.every((o) => Math.abs(o.x - x) >= apart || Math.abs(o.y - mark.y) >= apart);
    const steps = Array.from({ length: 2 * marks.length + 1 }, (_, i) => Math.ceil(i / 2) * apart * (i % 2 ? -1 : 1));
    const x = steps.map((step) => mark.x + step).find((at) => at <= edge && free(at)) ?? mark.x;
    placed.push({ ...mark, x });
  }
  return placed;
}
