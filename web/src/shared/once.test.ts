import { expect, test } from 'vitest';
import { createOnce } from './once';

const counted = () => {
  let n = 0;
  return createOnce(() => `id-${++n}`);
};

test('a request that is sent again after a lost answer has the ID it had', () => {
  const once = counted();
  expect(once.idOf({ name: '4 Tern' })).toBe('id-1');
  expect(once.idOf({ name: '4 Tern' })).toBe('id-1');
});

test('a form that was changed after a lost answer asks for something else', () => {
  const once = counted();
  once.idOf({ name: '4 Tern', readers: ['a'] });
  expect(once.idOf({ name: '4 Tern', readers: ['a', 'b'] })).toBe('id-2');
});

test('after it was made, the same request makes another', () => {
  const once = counted();
  once.idOf({ name: '4 Tern' });
  once.done();
  expect(once.idOf({ name: '4 Tern' })).toBe('id-2');
});
