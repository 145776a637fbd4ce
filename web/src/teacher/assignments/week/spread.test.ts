import { describe, expect, it } from 'vitest';
import { spread } from './spread';

const week = ['mo', 'tu', 'we', 'th', 'fr'];

describe('texts over a week', () => {
  it('lie one after another and fill it', () => {
    expect(spread(week, 1)).toEqual([{ from: 'mo', to: 'fr' }]);
    expect(spread(week, 2)).toEqual([
      { from: 'mo', to: 'tu' },
      { from: 'we', to: 'fr' },
    ]);
    expect(spread(week, 3)).toEqual([
      { from: 'mo', to: 'mo' },
      { from: 'tu', to: 'we' },
      { from: 'th', to: 'fr' },
    ]);
  });

  it('share a day where there are more than days', () => {
    expect(spread(['th', 'fr'], 3).every((x) => x.from !== '' && x.to >= x.from)).toBe(true);
    expect(spread(['fr'], 2)).toEqual([
      { from: 'fr', to: 'fr' },
      { from: 'fr', to: 'fr' },
    ]);
  });
});
