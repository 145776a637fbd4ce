import { useMemo } from 'react';
import { Link, useSearchParams } from 'react-router';
import { dayOf, number, strandName } from '../../shared/format';
import { phrase, t } from '../../shared/words';
import { Notice } from '../../ui/Page';
import { Empty, Show } from '../../ui/Show';
import { DataList } from '../../ui/table/DataList';
import type { Column, Sum } from '../../ui/table/useDataTable';
import { AttemptGlyph, markName } from '../../ui/TideMarks';
import { calledIn, type ClassData } from '../classQueries';
import { answersOf } from './answersOf';
import { Narrowed } from './Narrowed';
import { useAnswers, type TryLine } from './reportQueries';
import { addressOf, type Asked } from './span';
import { spanWords } from './SpanPicker';

const columnsFor = (classId: string, name: (id: string) => string): Column<TryLine>[] => [
  { key: 'reader', name: phrase('Reader'), by: (l) => name(l.readerId), show: (l) => name(l.readerId) },
  { key: 'day', name: phrase('Day'), by: (l) => l.at, show: (l) => dayOf(l.at) },
  { key: 'stem', name: phrase('Question'), wrap: true, by: (l) => l.stem, show: (l) => l.stem },
  { key: 'strand', name: phrase('Strand'), by: (l) => strandName(l.strand), show: (l) => strandName(l.strand) },
  {
    key: 'mark',
    name: phrase('Result'),
    by: (l) => l.mark,
    show: (l) => (
      <span className="inline-flex items-center gap-1.5 whitespace-nowrap">
        <AttemptGlyph mark={l.mark} hidden /> {markName(l.mark)}
      </span>
    ),
  },
  {
    key: 'text',
    name: phrase('Text'),
    by: (l) => l.title,
    show: (l) => <Link to={`/class/${classId}/tickets/${l.ticketId}`}>{l.title}</Link>,
  },
];

/** First tries one by one: what a figure of strands or of a question is made of. */
export function AnswerReport({ data, asked }: { data: ClassData; asked: Asked }) {
  const [search, setSearch] = useSearchParams();
  const of = answersOf(search);
  const answers = useAnswers(data.id, asked, of);
  const columns = useMemo(() => {
    const called = calledIn(data);
    return columnsFor(data.id, (id) => called(id, ''));
  }, [data]);
  return (
    <Show query={answers}>
      {(a) => (
        <>
          <Narrowed
            to={[
              of.reader && calledIn(data)(of.reader, ''),
              of.strand && strandName(of.strand),
              of.question && a.rows.find((l) => l.questionId === of.question)?.stem,
            ]}
            clear={() => setSearch(addressOf(asked))}
          />
          {a.more && (
            <Notice>{t('The latest {{n}} lines. Choose fewer days for the rest.', { n: a.rows.length })}</Notice>
          )}
          <DataList
            list="report-answers"
            label={t('First tries')}
            columns={columns}
            rows={a.rows}
            id={(l) => `${l.ticketId} ${l.questionId}`}
            name={(l) => l.stem}
            sort={{ key: 'day', down: true }}
            sums={[sumOf(a.rows, spanWords(a.spans.span))]}
            empty={<Empty title={t('No questions answered in these days')} />}
            counted={(_, count) => t('{{count}} first tries', { count })}
          />
        </>
      )}
    </Show>
  );
}

function sumOf(rows: readonly TryLine[], name: string): Sum {
  const once = rows.filter((l) => l.mark === 'RightAtOnce').length;
  return {
    name,
    show: (key) => ({ mark: t('{{n}} of {{of}} right at once', { n: number(once), of: number(rows.length) }) })[key],
  };
}
