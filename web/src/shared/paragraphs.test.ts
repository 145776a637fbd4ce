import { describe, expect, it } from 'vitest';
import vectors from '../../../tests/vectors/said.json';
import { aloudOf, isProse, pictureOf, plain, runsOf, tableOf } from './paragraphs';

describe('a paragraph', () => {
  it.each(vectors.cases)('is read aloud as the core has it said: $said', (c) => {
    expect(aloudOf([c.paragraph])).toBe(c.said);
  });

  it('is words, a heading or a picture', () => {
    expect(pictureOf('![A mill at low tide](01a2)')).toEqual({ alt: 'A mill at low tide', name: '01a2' });
    expect(pictureOf('See ![this](x) there')).toBeNull();
    expect(['# Head', '![x](y)', 'It rained.'].map(isProse)).toEqual([false, false, true]);
    expect(plain('## The *old* mill')).toBe('The old mill');
    expect(plain('![A mill](x)')).toBe('A mill');
  });

  it('is a table where every line has bars', () => {
    expect(tableOf('Day | Wind\n--- | ---\nMonday | 4 **knots**')).toEqual([
      ['Day', 'Wind'],
      ['Monday', '4 **knots**'],
    ]);
    expect(tableOf('This | that\nand no bar here')).toBeNull();
    expect(plain('Day | Wind\nMonday | 4 **knots**')).toBe('Day, Wind\nMonday, 4 knots');
  });

  it('keeps the lines of verse, and what is bold or slanted', () => {
    expect(plain('The tide comes in.\n  *The tide* goes out.')).toBe('The tide comes in.\n  The tide goes out.');
    expect(runsOf('a **b** *c* 2 * 3').map((r) => [r.text, r.bold, r.slanted])).toEqual([
      ['a ', false, false],
      ['b', true, false],
      [' ', false, false],
      ['c', false, true],
      [' 2 * 3', false, false],
    ]);
  });
});
