import { describe, expect, it } from 'vitest';
import { addressOf, askedOf, movedTo } from './span';

const asked = (address: string) => askedOf(new URLSearchParams(address));

describe('the days of a report', () => {
  it('are a month up to today where the address says nothing, or nothing that can be used', () => {
    for (const address of ['', 'days=Year', 'days=Any', 'days=Month&to=soon'])
      expect(asked(address)).toMatchObject({ kind: 'Month', to: undefined, from: undefined });
  });

  it('are in the address and come back from it', () => {
    for (const address of [
      'days=Any&to=2026-11-20&from=2026-10-05&group=g1&texts=facts',
      'days=Week&to=2026-11-22&texts=stories',
    ])
      expect(addressOf(asked(address)).toString()).toBe(address);
  });

  it('keep what else the address says', () => {
    const rest = new URLSearchParams('focus=r1&days=Day&to=2026-11-02');
    expect(addressOf({ kind: 'Term' }, rest).toString()).toBe('focus=r1&days=Term');
  });

  it('go to another span of their kind', () => {
    const span = { from: '2026-09-01', to: '2026-09-14' };
    expect(movedTo(asked('days=Any&to=2026-09-28&from=2026-09-15'), span)).toMatchObject(span);
    expect(movedTo(asked('days=Month'), span)).toMatchObject({ kind: 'Month', to: span.to, from: undefined });
  });
});
