import { describe, expect, it } from 'vitest';
import { noSupports } from '../../../shared/supports';
import { supportWords } from './supports';

describe('supports', () => {
  it('are nothing to say where there are none', () => expect(supportWords(noSupports)).toEqual([]));

  it('are told in the order of the fields', () => {
    expect(
      supportWords({ readAloud: true, hideTimer: true, moreTime: 150, textSize: 2, oneChoice: true, retry: true }),
    ).toEqual(['listen', 'hidden timer', '150% time', 'largest text', 'one choice at a time', 'one more try']);
    expect(supportWords({ ...noSupports, textSize: 1 })).toEqual(['larger text']);
  });
});
