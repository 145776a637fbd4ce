import { describe, expect, it } from 'vitest';
import { blocksOf } from './alike';
import type { Signal } from './signals';

const signal = (id: string, kind: Signal['kind'], strand: Signal['strand'] = null, readerId: string | null = id) =>
  ({ id, kind, strand, goal: null, readerId }) as Signal;
const keys = (all: Signal[]) => blocksOf(all).map((b) => b.of.map((s) => s.id).join(' '));

describe('readers with the same trouble', () => {
  it('stand together where the first of them stands', () => {
    expect(
      keys([
        signal('a', 'SameStrandMissed', 'Infer'),
        signal('b', 'NothingRead'),
        signal('c', 'SameStrandMissed', 'Infer'),
        signal('d', 'SameStrandMissed', 'Retrieve'),
        signal('e', 'SameStrandMissed', 'Infer'),
      ]),
    ).toEqual(['a c e', 'b', 'd']);
  });
  it('are three at least, and questions are nobody’s', () => {
    expect(keys([signal('a', 'NothingRead'), signal('b', 'NothingRead')])).toEqual(['a', 'b']);
    const questions = ['a', 'b', 'c'].map((id) => signal(id, 'QuestionMissed', null, null));
    expect(keys(questions)).toEqual(['a', 'b', 'c']);
  });
});
