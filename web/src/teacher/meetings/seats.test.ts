import { describe, expect, it } from 'vitest';
import { inSeats, moved } from './seats';

describe('seats at a meeting', () => {
  it('keeps the seats, and puts newcomers after them in their order', () => {
    expect(inSeats(['ana', 'bo', 'cy', 'di'], ['cy', 'ana'])).toEqual(['cy', 'ana', 'bo', 'di']);
  });
  it('forgets who is no longer there', () => {
    expect(inSeats(['ana'], ['gone', 'ana'])).toEqual(['ana']);
  });
  it('changes places with a neighbour, and stays at the ends', () => {
    expect(moved(['ana', 'bo', 'cy'], 'bo', -1)).toEqual(['bo', 'ana', 'cy']);
    expect(moved(['ana', 'bo', 'cy'], 'bo', 1)).toEqual(['ana', 'cy', 'bo']);
    expect(moved(['ana', 'bo'], 'ana', -1)).toEqual(['ana', 'bo']);
    expect(moved(['ana', 'bo'], 'di', 1)).toEqual(['ana', 'bo']);
  });
});
