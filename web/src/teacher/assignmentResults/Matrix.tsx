import { cx } from 'class-variance-authority';
import { Link } from 'react-router';
import { percent, strandName } from '../../shared/format';
import { markSum } from '../../shared/scores';
import { t } from '../../shared/words';
import { AttemptGlyph, markName } from '../../ui/TideMarks';
import { cellOf, rowsInOrder, type Cell, type Column, type Results, type Row } from './results';

/** Readers by questions, both sorted by how many were right; water stands as far as a row's total. */
export function Matrix({
  r,
  columns,
  name,
  classId,
  focus,
  look,
}: {
  r: Results;
  columns: Column[];
  name: (id: string) => string;
  classId: string;
  /** The column that is looked at; its place among the columns. */
  focus: number;
  look: (column: number) => void;
}) {
  const tickets = new Map(r.readers.map((x) => [x.readerId, x.ticketId]));
  return (
    <section aria-label={t('Readers by question')} className="flex min-h-0 min-w-0 flex-col">
      <div role="region" aria-label={t('Readers by question')} tabIndex={0} className="min-h-0 grow overflow-auto">
        <table className="min-w-full border-separate border-spacing-0 text-sm">
          <thead>
            <Heads r={r} columns={columns} focus={focus} look={look} />
          </thead>
          <tbody>
            {rowsInOrder(r.rows).map((row) => (
              <tr key={row.readerId} className={cx(!row.counts && 'text-soft')}>
                <th scope="row" className="border-line bg-paper sticky left-0 border-b py-0 pr-2 pl-4 text-left">
                  <Link
                    to={`/class/${classId}/tickets/${tickets.get(row.readerId) ?? ''}`}
                    className="inline-flex min-h-6 items-center font-medium no-underline hover:underline"
                  >
                    {name(row.readerId)}
                  </Link>
                </th>
                {columns.map((c, i) => (
                  <td key={c.q.question.id} className={cellLook(row, columns, i, focus)}>
                    <CellMark
                      cell={cellOf(row, c)}
                      ticket={`/class/${classId}/tickets/${tickets.get(row.readerId) ?? ''}`}
                    />
                  </td>
                ))}
                <td className="border-line bg-paper sticky right-0 border-b px-2 text-right font-semibold whitespace-nowrap">
                  {row.counts ? total(row) : t('not counted')}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <Key />
    </section>
  );
}

const total = (row: Row) => (row.share === null ? '–' : t('{{n}} of {{of}}', { n: row.right, of: row.asked }));

function cellLook(row: Row, columns: Column[], i: number, focus: number) {
  const c = columns[i];
  const wet = row.counts && !c?.onTheWay && i < row.right;
  const edge = wet && i === row.right - 1;
  return cx(
    'h-6 border-b px-1 text-center',
    wet ? 'bg-depth-2' : '',
    edge ? 'border-r-depth-6 border-r-2' : '',
    'border-b-line',
    c?.onTheWay && !columns[i - 1]?.onTheWay && 'border-l-ink border-l',
    i === focus && 'border-x-overlay border-x-2',
  );
}

function Heads({
  r,
  columns,
  focus,
  look,
}: {
  r: Results;
  columns: Column[];
  focus: number;
  look: (column: number) => void;
}) {
  const head = 'bg-sand border-ink sticky top-0 z-10 border-b px-1 py-1 align-top font-normal';
  return (
    <tr>
      <th scope="col" className={cx(head, 'left-0 z-20 pl-4 text-left')}>
        <b>{t('Reader')}</b>
        <span className="text-soft block w-20">{t('by total, both ways')}</span>
      </th>
      {columns.map((c, i) => (
        <th
          key={c.q.question.id}
          scope="col"
          className={cx(
            head,
            c.onTheWay && !columns[i - 1]?.onTheWay && 'border-l-ink border-l',
            i === focus && 'border-x-overlay border-t-overlay border-x-2 border-t-2',
          )}
        >
          <button
            type="button"
            aria-pressed={i === focus}
            className="hover:bg-depth-1 w-full min-w-12 rounded-sm leading-4"
            onClick={() => look(i)}
          >
            <span className="sr-only">{c.onTheWay ? t('On the way') : t('Question')} </span>
            <b className="text-base">{c.onTheWay ? t('p {{n}}', { n: c.q.number }) : c.q.number}</b>{' '}
            {c.q.right === null ? '–' : percent(c.q.right)}
            <span className="text-soft block">
              {c.q.question.kind === 'Short' || c.q.question.kind === 'Long'
                ? t('{{strand}}, written', { strand: strandName(c.q.question.strand) })
                : strandName(c.q.question.strand)}
            </span>
          </button>
        </th>
      ))}
      <th scope="col" className={cx(head, 'right-0 z-20 pr-2 text-right')}>
        <b>{t('Right')}</b>
        <span className="text-soft block">{r.figures.counted > 0 ? t('at once') : ''}</span>
      </th>
    </tr>
  );
}

/** How one answer went: a tide mark, a written one's mark, or that it waits for a person, who can go and mark it. */
function CellMark({ cell, ticket }: { cell: Cell | undefined; ticket: string }) {
  if (!cell) return null;
  if (cell.toMark)
    return (
      <Link to={ticket} className="inline-flex min-h-6 items-center">
        {t('mark')}
      </Link>
    );
  if (cell.written !== null)
    return (
      <b>
        {markSum(cell.written)}
        <span className="sr-only"> {t('of {{n}}', { n: cell.written.of })}</span>
      </b>
    );
  return <AttemptGlyph mark={cell.mark} />;
}

const Key = () => (
  <p className="border-line flex flex-wrap items-center gap-x-3 gap-y-0.5 border-t px-3 py-0.5 text-sm">
    {(['RightAtOnce', 'AfterAnotherTry', 'NotYet', 'Unanswered'] as const).map((m) => (
      <span key={m} aria-hidden className="inline-flex items-center gap-1.25">
        <AttemptGlyph mark={m} /> {markName(m)}
      </span>
    ))}
    <span className="grow" />
    <span aria-hidden className="inline-flex items-center gap-1.25">
      <i className="bg-depth-2 border-depth-6 size-3.5 border-r-2" /> {t('as many as were right')}
    </span>
  </p>
);
