import { expect, test } from 'vitest';
import type { MyTicket } from '../queries';
import { inOrder } from './order';

const today = '2026-11-26';
const ticket = (id: string, of: Partial<MyTicket>) =>
  ({ id, dueOn: null, need: 'Required', state: 'Waiting', heading: '', chosen: false, ...of }) as MyTicket;
const order = (...tickets: MyTicket[]) => inOrder(tickets, today).map((k) => k.id);

test('late and due today come first, then what is under way, then later work by its day', () => {
  expect(
    order(
      ticket('next week', { dueOn: '2026-12-04' }),
      ticket('under way', { dueOn: '2026-12-04', state: 'UnderWay' }),
      ticket('tomorrow', { dueOn: '2026-11-27' }),
      ticket('today', { dueOn: today }),
      ticket('late', { dueOn: '2026-11-24' }),
      ticket('some day', {}),
    ),
  ).toEqual(['late', 'today', 'under way', 'tomorrow', 'next week', 'some day']);
});

test('what is only recommended is never late and stands last, what was chosen before it', () => {
  expect(
    order(
      ticket('if you like', { need: 'Recommended', dueOn: '2026-11-20' }),
      ticket('chosen', { chosen: true }),
      ticket('asked', { dueOn: '2026-12-11' }),
    ),
  ).toEqual(['asked', 'chosen', 'if you like']);
});

test('later work stays together under its heading', () => {
  expect(
    order(
      ticket('quay 2', { heading: 'On the quay', dueOn: '2026-12-09' }),
      ticket('moon', { heading: 'The moon', dueOn: '2026-12-04' }),
      ticket('quay 1', { heading: 'On the quay', dueOn: '2026-12-01' }),
    ),
  ).toEqual(['quay 1', 'quay 2', 'moon']);
});
