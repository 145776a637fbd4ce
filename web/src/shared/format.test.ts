import { describe, expect, it } from 'vitest';
import { dayOf, fm, halfRange, minutes, number, percent, signed, strandName } from './format';

describe('figures', () => {
  it('have a true minus and one decimal', () => {
    expect(fm(-3.14)).toBe('−3.1');
    expect(signed(-0.04)).toBe('0.0');
    expect(signed(0.04)).toBe('0.0');
    expect(signed(-0.05)).toBe('−0.1');
    expect(signed(1.25)).toBe('+1.3');
    expect(halfRange(2)).toBeCloseTo(3.29);
  });

  it('are written with units as people say them', () => {
    expect(percent(0.695)).toBe('70%');
    expect(number(21400)).toBe('21,400');
    expect(minutes(0)).toBe('–');
    expect(minutes(48)).toBe('48 s');
    expect(minutes(366)).toBe('6 min');
  });

  it('name a day the same wherever the clock stands', () => expect(dayOf('2026-11-24')).toBe('Tue 24 Nov'));

  it('name strands in words', () => {
    expect(strandName('AuthorsCraft')).toBe('author’s craft');
    expect(strandName(null)).toBe('');
  });
});
