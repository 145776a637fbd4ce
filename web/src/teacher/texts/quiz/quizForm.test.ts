import { describe, expect, it } from 'vitest';
import { asKind, blank, formOf, moved, withProof, type QuizData } from './quizForm';
import { sure } from '../../../shared/sure';

const versions = [
  { label: 'a', depth: 20, paragraphs: [['It rained.', 'We ran.']] },
  { label: 'b', depth: 30, paragraphs: [['Rain fell.', 'We ran.']] },
] as unknown as QuizData['versions'];

describe('a quiz as it is written', () => {
  it('has a shared proof once for each version', () => {
    const quiz = {
      versions,
      questions: [{ ...blank('Single'), proofs: { all: 'We ran.' }, after: { all: 1 } }],
    } as unknown as QuizData;
    expect(sure(formOf(quiz)[0]).proofs).toEqual({ a: 'We ran.', b: 'We ran.' });
    expect(sure(formOf(quiz)[0]).after).toEqual({ a: 1, b: 1 });
  });
  it('takes a sentence as proof wherever it stands, and gives it back', () => {
    const once = withProof(blank('Single'), versions, 'a', 'We ran.');
    expect(once.proofs).toEqual({ a: 'We ran.', b: 'We ran.' });
    expect(withProof(blank('Single'), versions, 'a', 'It rained.').proofs).toEqual({ a: 'It rained.' });
    expect(withProof(once, versions, 'a', 'We ran.').proofs).toEqual({ b: 'We ran.' });
  });
  it('keeps choices when the kind changes, and one right choice at most', () => {
    const two = {
      ...blank('Multiple'),
      choices: [
        { text: 'x', right: true, reason: '', match: null },
        { text: 'y', right: true, reason: '', match: null },
      ],
    };
    expect(asKind(two, 'Single').choices.map((c) => c.right)).toEqual([true, false]);
    expect(asKind(two, 'Short').rubric?.criteria[0]?.marks).toHaveLength(4);
    expect(asKind(two, 'Match').choices.map((c) => c.match)).toEqual(['', '']);
  });
  it('has no choice marked right before its writer says which', () => {
    for (const kind of ['Single', 'Multiple'] as const) expect(blank(kind).choices.some((c) => c.right)).toBe(false);
    expect(
      sure(
        asKind({ ...blank('Multiple'), choices: [{ text: 'x', right: false, reason: '', match: null }] }, 'Single')
          .choices[0],
      ).right,
    ).toBe(false);
  });
  it('moves a question', () => {
    expect(moved(['a', 'b', 'c'], 2, 0)).toEqual(['c', 'a', 'b']);
  });
});
