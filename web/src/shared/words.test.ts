import more from 'virtual:language/en-staff';
import i18next from 'i18next';
import { afterEach, describe, expect, it } from 'vitest';
import { addEnglish, lengthened, speak } from './language';
import { ticketWords, type TicketState } from './ticketStates';
import { named, say, t } from './words';

afterEach(() => speak('en'));

addEnglish(more);

describe('sentences', () => {
  it('fills in values as they are', () => {
    expect(t('{{count}} readers', { count: 1 })).toBe('1 reader');
    expect(t('Assigned to {{count}} readers', { count: 5 })).toBe('Assigned to 5 readers');
    expect(t('Select {{name}}', { name: 'O’Hara & <b>' })).toBe('Select O’Hara & <b>');
  });
});

describe('what the server says', () => {
  const gave = (count: number) => ({
    key: 'Gave {{0}} to {{count}} readers',
    values: [{ message: { key: 'grade {{0}}', values: [{ number: 1234.5, digits: 1 }] } }],
    count,
  });

  it('is put into words here, with one and many and with messages in messages', () => {
    expect(say(gave(1))).toBe('Gave grade 1,234.5 to 1 reader');
    expect(say(gave(2))).toBe('Gave grade 1,234.5 to 2 readers');
    expect(say({ key: '{{0}}', values: [{ list: [{ text: 'a' }, { day: '2026-03-04' }] }] })).toBe('a, 4 March 2026');
    expect(say({ key: '', values: [] })).toBe('');
    expect(say(null)).toBe('');
  });

  it('leaves people’s own words as they are', () => {
    expect(say({ key: '{{0}}', values: [{ text: 'Start {{count}} <b>' }] })).toBe('Start {{count}} <b>');
  });
});

describe('what is counted', () => {
  it('is written as the language writes numbers', async () => {
    expect(t('{{count}} words', { count: 12345 })).toBe('12,345 words');
    expect(say({ key: '{{count}} readers', values: [], count: 12345 })).toBe('12,345 readers');
    await speak('es');
    expect(t('{{count}} words', { count: 12345 })).toBe('12.345 palabras');
    expect(t('You read {{count}} words this week.', { count: 1 })).not.toContain('You read');
  });
});

describe('another language', () => {
  it('says what it has, and English where it has nothing', async () => {
    await speak('es');
    expect(t('Start')).toBe('Empezar');
    expect(t('{{count}} words', { count: 1 })).toBe('1 palabra');
    expect(named('crab')).toBe('cangrejo');
    expect(named('Ada')).toBe('Ada');
    expect(t('{{count}} remarks', { count: 1 })).toBe('1 remark');
    expect(say({ key: '{{0}} fm', values: [{ number: -1.5, digits: 1 }] })).toBe('−1,5 fm');
  });

  it('can be English made longer', async () => {
    await speak('xa');
    const said = t('Nothing to mark');
    expect(said.length).toBeGreaterThan('Nothing to mark'.length * 1.4);
    expect(said).toBe(lengthened('Nothing to mark'));
    await speak('en');
    expect(i18next.t('Nothing to mark')).toBe('Nothing to mark');
  });
});

it('a member of a closed set is no sentence', () => {
  const state = 'UnderWay' as TicketState;
  // @ts-expect-error It would be printed as the program spells it.
  expect(t(state)).toBe('UnderWay');
  expect(t(ticketWords[state])).toBe('under way');
});
