// The same forecast the core makes, for what is drawn while the pointer moves; what is saved is always the core's.
const ease = 10 * Math.log(0.8 / 0.2);

/** Chance in percent that a reader at a depth answers a question of a text right. */
export const forecast = (reader: number, text: number) =>
  Math.round(100 / (1 + Math.exp(-(reader - text + ease) / 10)));

/** The shares between which a text is within reach, as the school cuts them. */
export type Cuts = { zoneLow: number; zoneHigh: number };

/** By the school's own cut points. */
export const zoneWord = (percent: number, cuts: Cuts) =>
  percent < Math.round(cuts.zoneLow * 100) ? 'deep' : percent >= Math.round(cuts.zoneHigh * 100) ? 'easy' : '';

export type Zone = ReturnType<typeof zoneWord>;

/** How a text lies for readers: for each, the version that lies best. */
export function lieOf(readers: readonly number[], versions: readonly number[], cuts: Cuts): Record<Zone, number> {
  const lie = { deep: 0, easy: 0, '': 0 };
  for (const reader of readers) {
    const zones = versions.map((v) => zoneWord(forecast(reader, v), cuts));
    // Between one that is too easy and one that is too deep, the easy one can be read.
    lie[zones.includes('') ? '' : zones.includes('easy') ? 'easy' : 'deep']++;
  }
  return lie;
}
