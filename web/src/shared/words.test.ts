import { describe, expect, it } from 'vitest';
import en from './en.json';
import { ticketWords, type TicketState } from './ticketStates';
import { t } from './words';
import { sure } from './sure';

const sources = Object.entries(
  import.meta.glob<string>('../**/*.{ts,tsx}', { query: '?raw', import: 'default', eager: true }),
)
  .filter(([path]) => !/\.test\.|schema/.test(path))
  .map(([, text]) => text)
  .join('\n');
const sentences = [...sources.matchAll(/\bt\(\s*(['"])((?:(?!\1)[^\\]|\\.)*)\1/g)].map((m) => sure(m[2]));

describe('the catalogue', () => {
  it('knows one and many for every sentence that counts', () => {
    const counting = [...new Set(sentences.filter((s) => s.includes('{{count}}')))];
    expect(counting.length).toBeGreaterThan(8);
    expect(counting.filter((s) => !(`${s}_one` in en) || !(`${s}_other` in en))).toEqual([]);
  });

  it('holds nothing that no page says', () => {
    expect(Object.keys(en).filter((key) => !sentences.includes(key.replace(/_(one|other)$/, '')))).toEqual([]);
  });

  it('fills in values as they are', () => {
    expect(t('{{count}} readers', { count: 1 })).toBe('1 reader');
    expect(t('Assigned to {{count}} readers', { count: 5 })).toBe('Assigned to 5 readers');
    expect(t('Pick up {{name}}', { name: 'O’Hara & <b>' })).toBe('Pick up O’Hara & <b>');
  });
});

it('a member of a closed set is no sentence', () => {
  const state = 'UnderWay' as TicketState;
  // @ts-expect-error It would be printed as the program spells it.
  expect(t(state)).toBe('UnderWay');
  expect(t(ticketWords[state])).toBe('under way');
});
