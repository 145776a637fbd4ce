import { describe, expect, it } from 'vitest';
import { type Signal, type SignalKind, signals } from './signals';

const says = (kind: SignalKind, figures: number[]) =>
  signals[kind].says('Ada', { kind, figures, strand: null, title: null } as unknown as Signal);

describe('signals', () => {
  it('give scores in percent, whether they were low or high', () => {
    expect(says('OutOfDepth', [40, 50, 55])[1]).toBe('40%, 50%, 55%');
    expect(says('ReadyToMoveDeeper', [95, 90, 100])[1]).toBe('95%, 90%, 100% on the last three texts.');
  });
});
