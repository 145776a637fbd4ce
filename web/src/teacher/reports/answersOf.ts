import type { Api } from '../../shared/api';
import { strands } from '../../shared/strands';
import { addressOf, type Asked } from './span';

/** Which first tries are shown: one reader's, one strand's, one question's. */
export interface AnswersOf {
  reader?: string;
  strand?: Api<'Strand'>;
  question?: string;
}

const isStrand = (strand: string | null): strand is Api<'Strand'> => strands.some((s) => s === strand);

export const answersOf = (search: URLSearchParams): AnswersOf => {
  const strand = search.get('strand');
  return {
    reader: search.get('reader') ?? undefined,
    strand: isStrand(strand) ? strand : undefined,
    question: search.get('question') ?? undefined,
  };
};

/** The address of the first tries that a figure is made of. */
export function answersAddress(classId: string, asked: Asked, { reader, strand, question }: AnswersOf) {
  const query = addressOf(asked);
  if (reader) query.set('reader', reader);
  if (strand) query.set('strand', strand);
  if (question) query.set('question', question);
  return `/class/${classId}/reports/answers?${query.toString()}`;
}
