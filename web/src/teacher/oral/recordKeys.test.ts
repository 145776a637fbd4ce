import type { KeyboardEvent } from 'react';
import { describe, expect, it, vi } from 'vitest';
import { letterKinds } from './marks';
import { recordKeys } from './recordKeys';

const lines = [
  { from: 0, to: 5 },
  { from: 5, to: 9 },
] as Parameters<typeof recordKeys>[0]['lines'];

function press(key: string, at: { cursor: number; line: number }, held: Partial<KeyboardEvent> = {}) {
  const acts = {
    move: vi.fn(),
    mark: vi.fn(),
    clear: vi.fn(),
    undo: vi.fn(),
    clock: vi.fn(),
    endHere: vi.fn(),
  };
  const preventDefault = vi.fn();
  recordKeys({ ...acts, ...at, lines })({
    key,
    altKey: false,
    ctrlKey: false,
    metaKey: false,
    ...held,
    preventDefault,
  } as unknown as KeyboardEvent);
  return { ...acts, preventDefault };
}
const first = { cursor: 2, line: 0 };

describe('a record by keys', () => {
  it.each(Object.entries(letterKinds))('marks a word with %s', (letter, kind) => {
    const { mark, preventDefault } = press(letter.toUpperCase(), first);
    expect(mark).toHaveBeenCalledExactlyOnceWith(2, kind);
    expect(preventDefault).toHaveBeenCalledOnce();
  });

  it('goes on to the next word after a mark on one, and stays where the mark lies between two', () => {
    expect(press('s', first).move).toHaveBeenCalledExactlyOnceWith(3);
    expect(press('i', first).move).not.toHaveBeenCalled();
    expect(press('r', first).move).not.toHaveBeenCalled();
  });

  it.each([
    ['ArrowRight', first, 3],
    [' ', first, 3],
    ['ArrowLeft', first, 1],
    ['ArrowDown', first, 5],
    ['ArrowUp', { cursor: 7, line: 1 }, 0],
    ['ArrowUp', first, 0],
    ['ArrowDown', { cursor: 7, line: 1 }, 7],
    ['Home', { cursor: 7, line: 1 }, 5],
    ['End', first, 4],
  ])('%s moves from %o to %i', (key, from, to) => expect(press(key, from).move).toHaveBeenCalledExactlyOnceWith(to));

  it('leaves the browser’s own keys to it, but for undo', () => {
    const saved = press('s', first, { ctrlKey: true });
    expect(saved.mark).not.toHaveBeenCalled();
    expect(saved.preventDefault).not.toHaveBeenCalled();
    expect(press('z', first, { ctrlKey: true }).undo).toHaveBeenCalledOnce();
    expect(press('z', first, { metaKey: true }).undo).toHaveBeenCalledOnce();
    expect(press('z', first, { altKey: true }).undo).not.toHaveBeenCalled();
  });

  it('does nothing with a key that means nothing', () => {
    const { preventDefault, mark, move } = press('q', first);
    expect(preventDefault).not.toHaveBeenCalled();
    expect(mark).not.toHaveBeenCalled();
    expect(move).not.toHaveBeenCalled();
  });

  it('clears, stops the clock, and ends where the reader stopped', () => {
    expect(press('Backspace', first).clear).toHaveBeenCalledOnce();
    expect(press('Delete', first).clear).toHaveBeenCalledOnce();
    expect(press('p', first).clock).toHaveBeenCalledOnce();
    expect(press('e', first).endHere).toHaveBeenCalledOnce();
  });
});
