import { describe, expect, it } from 'vitest';
import { isProse, pictureOf, plain } from './paragraphs';

describe('a paragraph', () => {
  it('is words, a heading or a picture', () => {
    expect(pictureOf('![A mill at low tide](01a2)')).toEqual({ alt: 'A mill at low tide', name: '01a2' });
    expect(pictureOf('See ![this](x) there')).toBeNull();
    expect(['# Head', '![x](y)', 'It rained.'].map(isProse)).toEqual([false, false, true]);
    expect(plain('## The *old* mill')).toBe('The old mill');
    expect(plain('![A mill](x)')).toBe('A mill');
  });
});
