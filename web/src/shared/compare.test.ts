import { describe, expect, it } from 'vitest';
import vectors from '../../../tests/vectors/names.json';
import { byName, compare } from './compare';

describe('the order of names', () => {
  it('is the core’s and the database’s', () => {
    expect([...vectors.inOrder].reverse().sort(byName)).toEqual(vectors.inOrder);
  });

  it('puts numbers by size and words by name', () => {
    expect([10, 9, -1].sort(compare)).toEqual([-1, 9, 10]);
    expect(['Zoe', 'Émile', 'Eva'].sort(compare)).toEqual(['Émile', 'Eva', 'Zoe']);
  });
});
