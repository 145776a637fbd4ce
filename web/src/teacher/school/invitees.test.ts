import { describe, expect, it } from 'vitest';
import { readInvitees } from './invitees';

describe('people as they are pasted', () => {
  it.each([
    ['Ada Byron, ada@school.org', 'Ada Byron', 'ada@school.org'],
    ['Ada Byron <ada@school.org>', 'Ada Byron', 'ada@school.org'],
    ['"Byron, Ada" <ada@school.org>;', 'Byron, Ada', 'ada@school.org'],
    ['ada@school.org\tAda Byron', 'Ada Byron', 'ada@school.org'],
    ['ada.byron-king@school.org', 'Ada Byron King', 'ada.byron-king@school.org'],
    ['Ada Byron', 'Ada Byron', null],
  ])('reads %j', (line, name, mail) => {
    expect(readInvitees(line)).toEqual([{ name, mail }]);
  });

  it('takes one a line and passes over what is empty', () => {
    expect(readInvitees('Ada Byron\n\n , \nMax Oldham, max@school.org\r\n')).toEqual([
      { name: 'Ada Byron', mail: null },
      { name: 'Max Oldham', mail: 'max@school.org' },
    ]);
  });
});
