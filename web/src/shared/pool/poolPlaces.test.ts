import { expect, test } from 'vitest';
import { kinds, placesIn } from './poolPlaces';

test('what is in a pool stays where it is when something comes in', () => {
  expect(placesIn(12, 40)).toEqual(placesIn(13, 40).slice(0, 12));
});

test('everything lies within the pool, and nothing on top of another', () => {
  const places = placesIn(40, 40);
  for (const p of places) expect(Math.hypot(p.x, p.y)).toBeLessThan(1);
  for (const [i, p] of places.entries())
    for (const q of places.slice(0, i)) expect(Math.hypot(p.x - q.x, p.y - q.y)).toBeGreaterThan(0.17);
});

test('neighbours in time are of different kinds, and every kind comes', () => {
  const places = placesIn(20, 40);
  expect(new Set(places.map((p) => p.kind)).size).toBe(kinds);
  for (const [i, p] of places.entries()) if (i > 0) expect(p.kind).not.toBe(places[i - 1]?.kind);
});

test('however many there are, all lie within the pool and in the same order around it', () => {
  const [few, many] = [placesIn(40, 40), placesIn(160, 160)];
  for (const p of many) expect(Math.hypot(p.x, p.y)).toBeLessThan(1);
  for (const [i, p] of few.entries()) {
    const q = many[i];
    expect(Math.atan2(p.y, p.x)).toBeCloseTo(Math.atan2(q?.y ?? 0, q?.x ?? 0), 6);
    expect(q?.kind).toBe(p.kind);
  }
});
