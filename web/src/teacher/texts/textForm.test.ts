import { describe, expect, it } from 'vitest';
import { bodyOf, emptyText, textSchema, wordsOf } from './textForm';

describe('a text as it is written', () => {
  it('has its pages as one piece, told apart by a line', () =>
    expect(bodyOf([['One.', 'Two.'], ['Three.']])).toBe('One.\n\nTwo.\n\n---\n\nThree.'));

  it('needs a title, and no longer one than fits', () => {
    const faults = (title: string) =>
      textSchema.safeParse({ ...emptyText, title }).error?.issues.map((i) => i.path.join('.')) ?? [];
    expect(faults('')).toEqual(['title']);
    expect(faults('   ')).toEqual(['title']);
    expect(faults('The Ferry Cat')).toEqual([]);
    expect(faults('x'.repeat(121))).toEqual(['title']);
  });

  it('is compared by its words, whatever stands around them', () =>
    expect([...wordsOf('“Don’t!” said the sea-cat. The SEA-CAT’s tail, 12 cm; día.')]).toEqual([
      'don’t',
      'said',
      'the',
      'sea-cat',
      'sea-cat’s',
      'tail',
      '12',
      'cm',
      'día',
    ]));

  it('has no words where there are none', () => expect(wordsOf('— … !').size).toBe(0));
});
