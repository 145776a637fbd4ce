import { describe, expect, it } from 'vitest';
import { gap, lay, mondayOf, ofWeek, schoolDay, type Plate } from './weekLayout';

const days = ['2026-11-23', '2026-11-24', '2026-11-25', '2026-11-26', '2026-11-27'];
const week = days.map((day) => ({ day, off: day === '2026-11-25' }));
const plate = (visibleFrom: string, dueOn: string | null) => ({ assignment: { visibleFrom, dueOn } }) as Plate;

describe('a week', () => {
  it('begins on Monday', () => {
    expect(mondayOf('2026-11-23')).toBe('2026-11-23');
    expect(mondayOf('2026-11-29')).toBe('2026-11-23');
  });

  it('lays what overlaps into lanes of its own, and what follows into the same', () => {
    const { laid, lanes } = lay(
      [plate('2026-11-23', '2026-11-24'), plate('2026-11-24', '2026-11-26'), plate('2026-11-25', '2026-11-27')],
      days,
    );
    expect(laid.map((x) => [x.from, x.to, x.lane])).toEqual([
      [0, 1, 0],
      [1, 3, 1],
      [2, 4, 0],
    ]);
    expect(lanes).toBe(2);
  });

  it('cuts what goes past it and leaves out what is elsewhere', () => {
    const { laid } = lay(
      [plate('2026-11-10', '2026-11-23'), plate('2026-11-26', '2026-12-04'), plate('2026-12-07', null)],
      days,
    );
    expect(laid.map((x) => [x.from, x.to])).toEqual([
      [0, 0],
      [3, 4],
    ]);
  });

  it('names the first gap, days off apart', () => {
    const { laid } = lay([plate('2026-11-23', '2026-11-24')], days);
    expect(gap(laid, week, 0, 4)).toEqual({ from: 3, to: 4, whole: false });
    expect(gap([], week, 0, 4)).toEqual({ from: 0, to: 4, whole: true });
    expect(gap(lay([plate('2026-11-23', '2026-11-27')], days).laid, week, 0, 4)).toBeNull();
  });

  it('has what was given on the weekend before it, and not what is given on its own', () => {
    const seen = ['2026-11-20', '2026-11-21', '2026-11-22', '2026-11-23', '2026-11-27', '2026-11-28'];
    expect(
      ofWeek(
        seen.map((day) => plate(day, null)),
        '2026-11-23',
      ).map((p) => p.assignment.visibleFrom),
    ).toEqual(seen.slice(1, 5));
  });

  it('moves by school days', () => {
    expect(schoolDay('2026-11-24', 1, week)).toBe('2026-11-26');
    expect(schoolDay('2026-11-26', -1, week)).toBe('2026-11-24');
    expect(schoolDay('2026-11-27', 1, week)).toBe('2026-11-28');
  });
});
