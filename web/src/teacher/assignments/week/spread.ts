/** A stretch of school days. */
export interface Stretch {
  from: string;
  to: string;
}

/** The school days of a week parted for so many texts, one after another; with more texts than days, some share one. */
export function spread(days: readonly string[], texts: number): Stretch[] {
  return Array.from({ length: texts }, (_, i) => {
    const from = Math.min(days.length - 1, Math.floor((i * days.length) / texts));
    const to = Math.max(from, Math.floor(((i + 1) * days.length) / texts) - 1);
    return { from: days[from] ?? '', to: days[to] ?? '' };
  });
}
