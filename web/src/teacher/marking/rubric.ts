import type { Api } from '../../shared/api';
import { phrase, t } from '../../shared/words';

export type Rubric = Api<'Rubric'>;
export type GivenMark = Api<'GivenMark'>;

/** Points row by row; null where nothing is chosen yet. */
export type Points = readonly (number | null)[];

/** What 0 to 3 mean where nobody has said it for the question. */
const usualMarks = [
  phrase('does not answer it'),
  phrase('answers a little of it'),
  phrase('answers most of it'),
  phrase('answers all of it, and says why'),
];

/** The rows an answer is marked by: its question's, or the usual one. */
export const rowsOf = (of: { rubric: Rubric | null }) =>
  of.rubric?.criteria ?? [{ name: '', marks: usualMarks.map((words) => t(words)) }];

export const mostOf = (of: { rubric: Rubric | null }) => rowsOf(of).reduce((sum, row) => sum + row.marks.length - 1, 0);

/** The points where every row has its own; null before. */
export const whole = (points: Points): number[] | null =>
  points.length > 0 && points.every((p) => p !== null) ? [...points] : null;

export const sumOf = (points: Points) => points.reduce<number>((sum, p) => sum + (p ?? 0), 0);
export const markOf = (points: number[], of: number): GivenMark => ({ points, of });
export const withPoint = (points: Points, at: number, point: number | null): Points =>
  points.map((p, i) => (i === at ? point : p));

/** The row that was chosen last: this one where it has its points, else the one before it. */
export const before = (points: Points, row: number) => (points[row] != null || row === 0 ? row : row - 1);
