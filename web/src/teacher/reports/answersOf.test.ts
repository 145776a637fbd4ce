import { expect, test } from 'vitest';
import { answersAddress, answersOf } from './answersOf';

test('an address says which first tries are meant, and is read back', () => {
  const of = { reader: 'r1', strand: 'Infer' as const, question: 'q1' };
  const [path, query = ''] = answersAddress('c1', { kind: 'Term' }, of).split('?');
  expect(path).toBe('/class/c1/reports/answers');
  expect(new URLSearchParams(query).get('days')).toBe('Term');
  expect(answersOf(new URLSearchParams(query))).toEqual(of);
});

test('a strand that is none is none', () => {
  expect(answersOf(new URLSearchParams('strand=Guessing')).strand).toBeUndefined();
});
