import { describe, expect, it } from 'vitest';
import type { MyTicket } from '../queries';
import { dueWords, late, lengthWords, startOf, terms } from './ticketWords';

const today = '2026-11-27';
const ticket = (changed: Partial<MyTicket> = {}) =>
  ({
    kind: 'Text',
    state: 'Waiting',
    need: 'Required',
    place: 'Anywhere',
    dueOn: null,
    closesOn: null,
    words: 140,
    questions: 6,
    answered: 0,
    toPractise: 5,
    aloud: false,
    ...changed,
  }) as MyTicket;

describe('when it is due', () => {
  it.each([
    [null, '', false],
    ['2026-11-27', 'Due today', false],
    ['2026-11-30', 'Due Mon 30 Nov', false],
    ['2026-11-26', 'Was due on Thu 26 Nov', true],
  ] as const)('%s', (dueOn, words, isLate) => {
    expect(dueWords(ticket({ dueOn }), today)).toBe(words);
    expect(late(ticket({ dueOn }), today)).toBe(isLate);
  });

  it('is never late where it is only recommended', () => {
    const k = ticket({ dueOn: '2026-11-01', need: 'Recommended' });
    expect(late(k, today)).toBe(false);
    expect(dueWords(k, today)).toBe('Due Sun 1 Nov');
  });
});

describe('what a reader is told of a ticket', () => {
  it.each([
    [{}, '140 words, 6 questions'],
    [{ questions: 0, aloud: true }, '140 words, to read aloud'],
    [{ kind: 'Quiz', questions: 1 }, '1 question'],
    [{ kind: 'Words' }, '5 words to practise'],
    [{ kind: 'Link' }, 'a page to open'],
    [{ state: 'UnderWay', answered: 4 }, '2 questions left'],
    [{ state: 'UnderWay', answered: 0 }, '140 words, 6 questions'],
    [{ state: 'UnderWay', answered: 6 }, '140 words, 6 questions'],
  ] as [Partial<MyTicket>, string][])('how much it is: %o', (changed, words) =>
    expect(lengthWords(ticket(changed))).toBe(words),
  );

  it('how much it is wanted, where, and until when', () => {
    expect(terms(ticket())).toEqual([]);
    expect(terms(ticket({ need: 'Recommended', place: 'AtHome', closesOn: '2026-12-04' }))).toEqual([
      'if you like',
      'at home',
      'open until Fri 4 Dec',
    ]);
  });

  it.each([
    [{}, 'Start reading'],
    [{ state: 'UnderWay' }, 'Continue reading'],
    [{ kind: 'Recording' }, 'Start reading'],
    [{ kind: 'Written' }, 'Start'],
    [{ kind: 'Words', state: 'UnderWay' }, 'Continue'],
  ] as [Partial<MyTicket>, string][])('what the button says: %o', (changed, words) =>
    expect(startOf(ticket(changed))).toBe(words),
  );
});
