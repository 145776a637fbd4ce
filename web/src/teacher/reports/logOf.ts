import { phrase } from '../../shared/words';
import type { LogRow } from './reportQueries';
import { addressOf, type Asked } from './span';

/** Lines of the log that make up one figure. */
export const logParts = {
  full: { name: phrase('full readings'), has: (l: LogRow) => l.full },
  openings: { name: phrase('openings'), has: (l: LogRow) => l.ticketId !== null && l.kind === 'Text' && !l.full },
  quizzes: { name: phrase('quizzes'), has: (l: LogRow) => l.marks.length > 0 },
  elsewhere: { name: phrase('reading elsewhere'), has: (l: LogRow) => l.ticketId === null },
} as const;
export type LogPart = keyof typeof logParts;

/** What the log shows of a span: one reader's lines, one text's, or one kind of line. */
export interface LogOf {
  reader?: string;
  text?: string;
  part?: LogPart;
}

const isPart = (part: string | null): part is LogPart => part !== null && Object.hasOwn(logParts, part);

export const logOf = (search: URLSearchParams): LogOf => {
  const part = search.get('of');
  return {
    reader: search.get('reader') ?? undefined,
    text: search.get('text') ?? undefined,
    part: isPart(part) ? part : undefined,
  };
};

/** The address of the lines that a figure is made of. */
export function logAddress(classId: string, asked: Asked, { reader, text, part }: LogOf) {
  const query = addressOf(asked);
  if (reader) query.set('reader', reader);
  if (text) query.set('text', text);
  if (part) query.set('of', part);
  return `/class/${classId}/reports/log?${query.toString()}`;
}

export const linesOf = (rows: readonly LogRow[], { text, part }: LogOf) =>
  rows.filter((l) => (!text || l.textId === text) && (!part || logParts[part].has(l)));
