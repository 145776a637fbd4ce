// The same forecast the core makes, for what is drawn while the pointer moves; what is saved is always the core's.
const ease = 10 * Math.log(0.8 / 0.2);
export const forecast = (reader: number, text: number) =>
  Math.round(100 / (1 + Math.exp(-(reader - text + ease) / 10)));
/** The shares between which a text is within reach, as the school cuts them. */
export type Cuts = { zoneLow: number; zoneHigh: number };

/** By the school's own cut points. */
export const zoneWord = (percent: number, cuts: Cuts) =>
  percent < Math.round(cuts.zoneLow * 100) ? 'deep' : percent >= Math.round(cuts.zoneHigh * 100) ? 'easy' : '';
