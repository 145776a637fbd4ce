/** Readers as they sit; who has no seat yet comes after the others, in the order given. */
export function inSeats(ids: readonly string[], seats: readonly string[]): string[] {
  const seat = new Map(seats.map((id, i) => [id, i]));
  return [...ids].sort((a, b) => (seat.get(a) ?? seats.length) - (seat.get(b) ?? seats.length));
}

/** The seats after one reader has changed places with a neighbour; as they were where there is none. */
export function moved(sitting: readonly string[], id: string, by: -1 | 1): string[] {
  const at = sitting.indexOf(id);
  const neighbour = sitting[at + by];
  if (at < 0 || neighbour === undefined) return [...sitting];
  const next = [...sitting];
  next.splice(at, 1);
  next.splice(at + by, 0, id);
  return next;
}
