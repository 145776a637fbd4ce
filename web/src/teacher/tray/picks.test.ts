import { describe, expect, it } from 'vitest';
import { forgotten, held, nothing } from './picks';

const hour = 3600_000;
const at = (h: number, on = '/readers') => ({ at: h * hour, on });

describe('what is in the tray', () => {
  it('remembers when and where something was picked up, and forgets it when it is laid down', () => {
    const both = held(held(nothing, 'readers', ['a'], true, at(1)), 'readers', ['a', 'b'], true, at(2, '/chart'));
    expect(both.readers).toEqual(['a', 'b']);
    expect(both.picks).toEqual({ a: at(1), b: at(2, '/chart') });
    expect(held(both, 'readers', ['a'], false, at(3)).picks).toEqual({ b: at(2, '/chart') });
  });

  it('names what was picked up long ago, and what on another page than the last', () => {
    const picks = { a: at(0), b: at(20), c: at(21, '/chart') };
    expect(forgotten(['a', 'b', 'c'], picks, 22 * hour)).toEqual({ old: ['a'], elsewhere: ['b'] });
    expect(forgotten(['b'], picks, 22 * hour)).toEqual({ old: [], elsewhere: [] });
    expect(forgotten(['unknown'], {}, 0)).toEqual({ old: [], elsewhere: [] });
  });
});
