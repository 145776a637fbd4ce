import type { Api } from '../../shared/api';

export type Results = Api<'ResultsView'>;
export type Row = Results['rows'][number];
export type Asked = Results['questions'][number];
export type Cell = Row['cells'][number];
export type StepView = Results['next'][number];
export type Against = NonNullable<Row['against']>;

/** A question in the matrix: where its cells stand in a row, and whether it is one on the way. */
export interface Column {
  at: number;
  q: Asked;
  onTheWay: boolean;
}

const share = (q: Asked) => q.right ?? -1;

const tried = (q: Asked) => q.atOnce + q.later + q.notYet > 0;

/** The quiz's questions from the one most got right to the one fewest did; those on the way that someone answered keep
 * their order. */
export const columnsOf = (r: Pick<Results, 'questions' | 'onTheWay'>): Column[] => [
  ...r.questions
    .map((q, at) => ({ at, q, onTheWay: false }))
    .sort((one, other) => share(other.q) - share(one.q) || one.at - other.at),
  ...r.onTheWay.map((q, at) => ({ at, q, onTheWay: true })).filter((c) => tried(c.q)),
];

export const cellOf = (row: Row, c: Column): Cell | undefined => (c.onTheWay ? row.onTheWay : row.cells)[c.at];

/** Rows that count, in their order, and then those that do not. */
export const rowsInOrder = (rows: readonly Row[]) => [
  ...rows.filter((r) => r.counts),
  ...rows.filter((r) => !r.counts),
];

/** Readers who handed in by how they did against their own forecast; without one they stand with those as forecast. */
export function lanesOf(rows: readonly Row[]): Record<Against, Row[]> {
  const lanes: Record<Against, Row[]> = { Above: [], As: [], Below: [] };
  for (const r of rows) if (r.counts && r.asked > 0) lanes[r.against ?? 'As'].push(r);
  return lanes;
}

/** Dots of equal shares stand on each other. */
export function stacked(shares: readonly number[]): { share: number; level: number }[] {
  const seen = new Map<string, number>();
  return shares.map((share) => {
    const key = share.toFixed(3);
    const level = seen.get(key) ?? 0;
    seen.set(key, level + 1);
    return { share, level };
  });
}

/** How a question sorts strong readers from weak ones, in a word. */
export function sortsWord(sorts: number | null): 'well' | 'a little' | 'hardly' | 'against' | null {
  if (sorts === null) return null;
  if (sorts >= 0.3) return 'well';
  if (sorts >= 0.15) return 'a little';
  return sorts >= -0.15 ? 'hardly' : 'against';
}
