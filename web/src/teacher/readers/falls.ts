import type { Api } from '../../shared/api';

type Mark = Pick<Api<'MarkView'>, 'ticketId' | 'moved' | 'leftOut' | 'at' | 'note'>;
export type Fall = Mark & { ticketId: string; moved: number };

/** From so many fathoms on a quiz has lowered the level visibly. */
const visible = 0.5;
const most = 3;

/** The quizzes after which the level fell most, the latest first. */
export const fallsOf = (marks: readonly Mark[]): Fall[] =>
  marks
    .filter((m): m is Fall => m.ticketId !== null && m.moved !== null && m.moved <= -visible && !m.leftOut)
    .sort((one, other) => one.moved - other.moved)
    .slice(0, most)
    .sort((one, other) => other.at.localeCompare(one.at));
