import type { Api } from '../../../shared/api';
import { holds } from '../../../shared/paragraphs';
import { sure } from '../../../shared/sure';
import { kindOf } from './kinds';

export type QuizData = Api<'QuizView'>;
export type FormQuestion = Omit<Api<'OwnQuestion'>, 'choices' | 'proofs'> & {
  choices: Api<'Choice'>[];
  proofs: Record<string, string>;
};

/** A row of a rubric before anything is written in it: two points, or as many as the usual one has. */
export const blankRow = (most = 1) => ({ name: '', marks: Array.from({ length: most + 1 }, () => '') });
export const blankRubric = () => ({ criteria: [blankRow(3)], samples: ['', ''] });

/** What a shared proof or place says, for each version by name, so that one can be changed alone. */
const each = <T>(by: Record<string, T>, labels: string[]) =>
  Object.fromEntries(
    labels.flatMap((l) => {
      const v = by[l] ?? by['all'];
      return v === undefined ? [] : [[l, v]];
    }),
  );

export const formOf = (quiz: QuizData): FormQuestion[] => {
  const labels = quiz.versions.map((v) => v.label);
  return quiz.questions.map((q) => ({
    id: q.id,
    kind: q.kind,
    strand: q.strand,
    stem: q.stem,
    evidence: q.evidence,
    offset: q.offset,
    choices: q.choices,
    rubric: q.rubric,
    proofs: each(q.proofs, labels),
    after: q.after ? each(q.after, labels) : null,
  }));
};

export const blank = (kind: FormQuestion['kind'], strand: FormQuestion['strand'] = 'Retrieve'): FormQuestion => ({
  id: null,
  kind,
  strand,
  stem: '',
  evidence: false,
  offset: 0,
  after: null,
  proofs: {},
  rubric: kindOf({ kind }).written ? blankRubric() : null,
  choices: kindOf({ kind }).choices?.blank() ?? [],
});

/** The same question of another kind; what fits both is kept. */
export const asKind = (q: FormQuestion, kind: FormQuestion['kind']): FormQuestion => {
  const fresh = blank(kind, q.strand);
  const form = kindOf(fresh).choices;
  const keeps = fresh.choices.length > 0 && q.choices.some((c) => c.text);
  const choices = keeps
    ? q.choices.map((c) => ({ ...c, match: form?.paired ? (c.match ?? '') : null }))
    : fresh.choices;
  const right = choices.findIndex((c) => c.right);
  return {
    ...q,
    kind,
    rubric: fresh.rubric && (q.rubric ?? fresh.rubric),
    choices: form?.rights === 'one' ? choices.map((c, i) => ({ ...c, right: i === right })) : choices,
  };
};

export const moved = <T>(all: T[], from: number, to: number) => {
  const next = all.filter((_, i) => i !== from);
  next.splice(to, 0, sure(all[from]));
  return next;
};

/** Where a paragraph's sentences stand in it as one piece: what proves an answer must be found in the text letter by letter. */
export const joined = (paragraph: readonly string[], from: number, to: number) =>
  paragraph.slice(Math.min(from, to), Math.max(from, to) + 1).join(' ');

/** A sentence as proof in one version, and in the others where it stands word for word and nothing else is chosen. */
export const withProof = (
  q: FormQuestion,
  versions: QuizData['versions'],
  label: string,
  sentence: string,
): FormQuestion => {
  if (q.proofs[label] === sentence)
    return { ...q, proofs: Object.fromEntries(Object.entries(q.proofs).filter(([l]) => l !== label)) };
  const proofs = { ...q.proofs, [label]: sentence };
  for (const v of versions)
    if (!proofs[v.label] && v.paragraphs.some((p) => holds(p.join(' '), sentence))) proofs[v.label] = sentence;
  return { ...q, proofs };
};
