import type { KeyboardEvent } from 'react';
import { isBetween, letterKinds, type Kind, type linesOf } from './marks';

interface Acts {
  cursor: number;
  lines: ReturnType<typeof linesOf>;
  /** The line the cursor is in. */
  line: number;
  move: (to: number) => void;
  mark: (index: number, kind: Kind) => void;
  clear: () => void;
  undo: () => void;
  clock: () => void;
  endHere: () => void;
}

/** A record by keys: letters mark, arrows move by word and line. */
export function recordKeys({ cursor, lines, line, move, mark, clear, undo, clock, endHere }: Acts) {
  const moves: Record<string, () => void> = {
    arrowright: () => move(cursor + 1),
    ' ': () => move(cursor + 1),
    arrowleft: () => move(cursor - 1),
    arrowdown: () => move(lines[line + 1]?.from ?? cursor),
    arrowup: () => move(lines[line - 1]?.from ?? 0),
    home: () => move(lines[line]?.from ?? 0),
    end: () => move((lines[line]?.to ?? 1) - 1),
    backspace: clear,
    delete: clear,
    z: undo,
    p: clock,
    e: endHere,
  };
  return (e: KeyboardEvent) => {
    const key = e.key.toLowerCase();
    if (e.altKey || ((e.ctrlKey || e.metaKey) && key !== 'z')) return;
    const kind = letterKinds[key];
    if (kind) {
      mark(cursor, kind);
      if (!isBetween(kind)) move(cursor + 1);
    } else if (moves[key]) moves[key]();
    else return;
    e.preventDefault();
  };
}
