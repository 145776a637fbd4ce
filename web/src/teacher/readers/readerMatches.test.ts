import { describe, expect, it } from 'vitest';
import type { ReaderRow } from '../classQueries';
import { readerMatches } from './readerMatches';

const reader = {
  givenName: 'Jun',
  familyName: 'Ishida',
  group: 'Ferry',
  signals: [{ kind: 'NothingRead' }],
} as unknown as ReaderRow;

describe('a filter', () => {
  it.each(['jun', ' ISHIDA ', 'jun ish', 'ferry', 'nothing read', ''])('finds a reader by “%s”', (asked) =>
    expect(readerMatches(reader, asked)).toBe(true),
  );
  it.each(['mill', 'juno', 'ready'])('does not by “%s”', (asked) => expect(readerMatches(reader, asked)).toBe(false));
});
