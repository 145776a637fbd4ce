/** When something was picked up, and on which page. */
export interface Pick {
  at: number;
  on: string;
}
export type Picks = Readonly<Record<string, Pick>>;

export interface Held {
  readers: string[];
  texts: string[];
  /** Of each id, how it came in. */
  picks: Picks;
}
type List = 'readers' | 'texts';

export const nothing: Held = { readers: [], texts: [], picks: {} };

/** Picks up what is not held yet, or lays down what is. */
export function held(h: Held, list: List, ids: readonly string[], on: boolean, pick: Pick): Held {
  const fresh = on ? ids.filter((id) => !h[list].includes(id)) : [];
  const those = new Set(ids);
  return {
    ...h,
    [list]: on ? [...h[list], ...fresh] : h[list].filter((id) => !those.has(id)),
    picks: on
      ? { ...h.picks, ...Object.fromEntries(fresh.map((id) => [id, pick])) }
      : Object.fromEntries(Object.entries(h.picks).filter(([id]) => !those.has(id))),
  };
}

const old = 8 * 3600_000;

/** Which of what is held was picked up long ago, and which on another page than the last: both are easily forgotten. */
export function forgotten(ids: readonly string[], picks: Picks, now: number) {
  const known = ids.flatMap((id) => (picks[id] ? [{ id, pick: picks[id] }] : []));
  const last = known.reduce<Pick | null>((late, { pick }) => (late && late.at >= pick.at ? late : pick), null);
  const long = known.filter(({ pick }) => now - pick.at > old).map((x) => x.id);
  return {
    old: long,
    elsewhere: known.filter(({ id, pick }) => pick.on !== last?.on && !long.includes(id)).map((x) => x.id),
  };
}
