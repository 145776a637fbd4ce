import { describe, expect, it } from 'vitest';
import { daysBetween, turned, weeksOf } from './yearDays';

describe('the weeks of a school year', () => {
  it('run from Monday to Friday, and begin and end with the year', () => {
    const weeks = weeksOf('2026-09-02', '2026-09-14');
    expect(weeks).toEqual([
      [null, null, '2026-09-02', '2026-09-03', '2026-09-04'],
      ['2026-09-07', '2026-09-08', '2026-09-09', '2026-09-10', '2026-09-11'],
      ['2026-09-14', null, null, null, null],
    ]);
  });

  it('leave out a week of which only the weekend belongs to the year', () => {
    expect(weeksOf('2026-09-05', '2026-09-07')).toEqual([['2026-09-07', null, null, null, null]]);
  });

  it('are none for a year that ends before it begins, or has no days yet', () => {
    expect(weeksOf('2026-09-05', '2026-09-01')).toEqual([]);
    expect(weeksOf('', '2026-09-01')).toEqual([]);
  });
});

describe('days off', () => {
  it('go from one day to another whichever comes first', () => {
    expect(daysBetween('2026-10-27', '2026-10-26')).toEqual(['2026-10-26', '2026-10-27']);
  });

  it('are added where one of them is missing, without weekends', () => {
    expect(turned(['2026-10-26'], daysBetween('2026-10-23', '2026-10-27'))).toEqual([
      '2026-10-23',
      '2026-10-26',
      '2026-10-27',
    ]);
  });

  it('are removed where all of them are off', () => {
    expect(turned(['2026-10-26', '2026-10-27', '2026-12-24'], daysBetween('2026-10-26', '2026-10-27'))).toEqual([
      '2026-12-24',
    ]);
  });
});
