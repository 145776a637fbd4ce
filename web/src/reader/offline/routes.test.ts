import { describe, expect, it } from 'vitest';
import { addressOf, methodOf } from './routes';

describe('where work goes that waits on a device', () => {
  it('has its ids in its address', () =>
    expect(addressOf('answer', { path: { ticketId: 'k1', answerId: 'a1' } })).toBe('/my/tickets/k1/answers/a1'));

  it('has what else is named behind it', () =>
    expect(addressOf('recording', { path: { ticketId: 'k1', recordId: 'r1' }, query: { seconds: 12.5 } })).toBe(
      '/my/tickets/k1/recording/r1?seconds=12.5',
    ));

  it('writes what would end an address as what it is', () =>
    expect(addressOf('rated', { path: { textId: 'a/b?c' } })).toBe('/my/ratings/a%2Fb%3Fc'));

  it('is put where it may come twice, and posted where it is a deed', () => {
    expect(methodOf('answer')).toBe('PUT');
    expect(methodOf('kept-word')).toBe('PUT');
    expect(methodOf('open')).toBe('POST');
    expect(methodOf('hand-in')).toBe('POST');
  });
});
