import { describe, expect, it } from 'vitest';
import { opened, stopped, taken, type DraftText } from './bring';

const draft = (title: string, changed: Partial<DraftText> = {}) =>
  ({
    title,
    kind: 'story',
    topic: 'sea',
    fiction: true,
    pictures: [],
    remarks: [],
    suggestedWords: [
      { word: 'mooring', example: 'The ferry is on its mooring.' },
      { word: 'ebb', example: 'The tide begins to ebb.' },
    ],
    ...changed,
  }) as unknown as DraftText;
const remark = (stops: boolean) => [{ stops }] as unknown as DraftText['remarks'];
const open = (...texts: DraftText[]) => opened('harbour.epub', 'AAAA', { texts, notes: [] });

describe('a file of texts', () => {
  it('opens with everything ticked that can be taken in', () => {
    const file = open(
      draft('One'),
      draft('Two', { remarks: remark(true) }),
      draft('Three', { remarks: remark(false) }),
    );
    expect(file.texts.map(stopped)).toEqual([false, true, false]);
    expect(file.taking.map((x) => x.taken)).toEqual([true, false, true]);
  });

  it('gives each text an ID of its own, so that sent again it is the same', () => {
    const { taking } = open(draft('One'), draft('Two'));
    expect(new Set(taking.map((x) => x.id)).size).toBe(2);
  });

  it('sends what is ticked under its place in the file, with the words that were ticked', () => {
    const file = open(draft('One'), draft('Two'));
    const [first, second] = file.taking as [(typeof file.taking)[0], (typeof file.taking)[0]];
    const sent = taken({
      ...file,
      taking: [
        { ...first, taken: false },
        { ...second, title: 'Second', words: ['ebb', 'not suggested'] },
      ],
    });
    expect(sent).toMatchObject([
      { number: 1, title: 'Second', words: [{ text: 'ebb', example: 'The tide begins to ebb.' }] },
    ]);
    expect(sent[0]?.words).toHaveLength(1);
  });

  it('keeps what pictures were said to show', () => {
    const pictures = [{ name: 'boat.png', alt: 'A boat at low water' }] as unknown as DraftText['pictures'];
    expect(open(draft('One', { pictures })).taking[0]?.alts).toEqual({ 'boat.png': 'A boat at low water' });
  });
});
