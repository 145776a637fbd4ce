import { sure } from '../../shared/sure';

/**
 * Moves labels apart as little as possible (least squares) so that neighbours keep `pitch` between them.
 * Subtracting i·pitch turns the spacing rule into "never decreasing", which pooling adjacent violators solves exactly.
 */
export function pushApart(wanted: number[], pitch: number, lowest: number, highest: number): number[] {
  const blocks: { sum: number; n: number }[] = [];
  wanted.forEach((y, i) => {
    let block = { sum: y - i * pitch, n: 1 };
    for (let before = blocks.at(-1); before && before.sum / before.n > block.sum / block.n; before = blocks.at(-1)) {
      blocks.pop();
      block = { sum: before.sum + block.sum, n: before.n + block.n };
    }
    blocks.push(block);
  });
  const last = wanted.length - 1;
  const clamp = (x: number) => Math.max(lowest, Math.min(Math.max(lowest, highest - last * pitch), x));
  return blocks.flatMap((b) => Array<number>(b.n).fill(b.sum / b.n)).map((y, i) => clamp(y) + i * pitch);
}

export type Flagged = { id: string; depth: number; low: number; high: number };
export type Placed<T> = {
  reader: T;
  lane: number;
  slot: number;
  want: number;
  at: number;
  top: number;
  bottom: number;
};

/** Gives every reader a lane (where its flag moves least) and a mast in the lane, so that no two ranges of a lane lie on one another. */
export function placeReaders<T extends Flagged>(
  readers: T[],
  y: (depth: number) => number,
  lanes: number,
  pitch: number,
  lowest: number,
  highest: number,
): Placed<T>[] {
  const all = Array.from({ length: lanes }, () => ({ bottom: -Infinity, items: [] as { reader: T; want: number }[] }));
  for (const reader of [...readers].sort((a, b) => a.depth - b.depth)) {
    const want = y(reader.depth);
    const best = all.reduce((a, b) => {
      const [pa, pb] = [Math.max(0, a.bottom + pitch - want), Math.max(0, b.bottom + pitch - want)];
      return pb < pa || (pb === pa && b.bottom < a.bottom) ? b : a;
    });
    best.items.push({ reader, want });
    best.bottom = Math.max(want, best.bottom + pitch);
  }
  return all.flatMap((lane, index) => {
    const at = pushApart(
      lane.items.map((i) => i.want),
      pitch,
      lowest,
      highest,
    );
    const ends: number[] = [];
    return lane.items.map((item, i) => {
      const [top, bottom] = [y(item.reader.low), y(item.reader.high)];
      let slot = ends.findIndex((end) => end + 4 < top);
      if (slot < 0) slot = ends.length;
      ends[slot] = bottom;
      return { reader: item.reader, want: item.want, lane: index, at: sure(at[i]), slot, top, bottom };
    });
  });
}

/** The depths a chart shows: everything there is, with room at both ends, and never less than 20 fm. */
export function span(depths: number[]): [number, number] {
  const [low, high] = depths.length ? [Math.min(...depths), Math.max(...depths)] : [15, 45];
  const middle = (low + high) / 2;
  const half = Math.max(10, (high - low) / 2 + 2.5);
  return [middle - half, middle + half];
}
