import { describe, expect, it } from 'vitest';
import vectors from '../../../tests/vectors/forecast.json';
import { forecast, lieOf, zoneWord } from './forecast';

const words = { Independent: 'easy', Instructional: '', Frustration: 'deep' };

describe('the forecast that is drawn', () => {
  it.each(vectors.cases)('is the core’s: $reader on $text', (c) => {
    expect(forecast(c.reader, c.text)).toBe(c.percent);
  });

  it.each(vectors.zones)('is named by what is shown: $percent between $low and $high', (z) => {
    expect(zoneWord(z.percent, { zoneLow: z.low, zoneHigh: z.high })).toBe(words[z.zone as keyof typeof words]);
  });
});

describe('how a text lies for readers', () => {
  const cuts = { zoneLow: 0.7, zoneHigh: 0.9 };

  it('counts each reader once, by the version that lies best', () => {
    // The forecast is 80 % where reader and version are equally deep.
    expect(lieOf([30, 31, 60, 5], [30, 32], cuts)).toEqual({ '': 2, easy: 1, deep: 1 });
  });

  it('is easy between a version that is too easy and one that is too deep', () => {
    expect(lieOf([40], [10, 70], cuts)).toEqual({ '': 0, easy: 1, deep: 0 });
  });

  it('always counts everybody', () => {
    for (let d = 0; d < 70; d += 3) {
      const lie = lieOf([d, d + 7, d + 20], [25, 40], cuts);
      expect(lie.deep + lie.easy + lie['']).toBe(3);
    }
  });
});
