import { describe, expect, it } from 'vitest';
import { figure, meanSaid, scaleOf } from './schoolReport';

const mean = (m: number, half: number) => ({ mean: m, half, readers: 8 });

describe('the figures of a school', () => {
  it('carry a sign where they are fathoms or differences', () => {
    expect(figure('Growth', 1.24)).toBe('+1.2');
    expect(figure('Words', 1240)).toBe('1,240');
    expect(figure('FirstTry', -4.2, true)).toBe('−4');
    expect(figure('Words', 12, true)).toBe('+12');
  });
  it('never stand without their range', () => {
    expect(meanSaid('Growth', mean(1.2, 0.4))).toBe('+1.2 ± 0.4');
    expect(meanSaid('Words', null)).toBe('–');
  });
  it('share one scale that holds all ranges, and zero for all but scores', () => {
    const words = scaleOf('Words', [mean(400, 50), mean(900, 100)]);
    expect(words.from).toBeLessThan(0);
    expect(words.to).toBeGreaterThan(1000);
    expect(scaleOf('FirstTry', [mean(70, 5)]).from).toBeGreaterThan(60);
    expect(scaleOf('Growth', [])).toEqual({ from: 0 - 0.01, to: 0 + 0.01 });
  });
});
