import { describe, expect, it } from 'vitest';
import { within } from './moved';

describe('what moved a level in a span', () => {
  const at = (day: string, time = '12:00') => ({ at: new Date(`${day}T${time}`).toISOString() });
  it('holds both its first and its last day, whole', () => {
    const pieces = [at('2026-11-01', '00:05'), at('2026-11-30', '23:55')];
    expect(within(pieces, { from: '2026-11-01', to: '2026-11-30' })).toEqual(pieces);
  });
  it('leaves out the days around it', () => {
    expect(
      within([at('2026-10-31', '23:55'), at('2026-12-01', '00:05')], { from: '2026-11-01', to: '2026-11-30' }),
    ).toEqual([]);
  });
});
