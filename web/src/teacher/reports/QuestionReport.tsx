import { useMemo } from 'react';
import { Link } from 'react-router';
import { dayOf, listed, percent, strandName } from '../../shared/format';
import { phrase, t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Empty, Show } from '../../ui/Show';
import { DataList } from '../../ui/table/DataList';
import type { Column } from '../../ui/table/useDataTable';
import { calledIn, type ClassData } from '../classQueries';
import { useTray } from '../tray/useTray';
import { answersAddress } from './answersOf';
import { useQuestionReport, type Missed } from './reportQueries';
import type { Asked } from './span';

const missedIn = (q: Missed) => q.asked - q.atOnce;

const columnsFor = (
  classId: string,
  name: (id: string) => string,
  pick: (ids: string[]) => void,
  to: (question: string) => string,
): Column<Missed>[] => [
  { key: 'stem', name: phrase('Question'), wrap: true, by: (q) => q.stem, show: (q) => q.stem },
  {
    key: 'text',
    name: phrase('Text'),
    by: (q) => q.title,
    show: (q) => <Link to={`/class/${classId}/texts/${q.textId}`}>{q.title}</Link>,
  },
  { key: 'strand', name: phrase('Strand'), by: (q) => strandName(q.strand), show: (q) => strandName(q.strand) },
  {
    key: 'missed',
    name: phrase('Missed at first'),
    num: true,
    by: missedIn,
    show: (q) => <Link to={to(q.questionId)}>{t('{{n}} of {{of}}', { n: missedIn(q), of: q.asked })}</Link>,
  },
  {
    key: 'share',
    name: phrase('Right at once'),
    num: true,
    by: (q) => q.atOnce / q.asked,
    show: (q) => (q.asked < 20 ? t('{{n}} of {{of}}', { n: q.atOnce, of: q.asked }) : percent(q.atOnce / q.asked)),
  },
  { key: 'later', name: phrase('Found later'), num: true, by: (q) => q.later, show: (q) => q.later || '–' },
  {
    key: 'who',
    name: phrase('Missed by'),
    wrap: true,
    show: (q) => listed(q.missedBy.map(name)),
  },
  { key: 'last', name: phrase('Last answered'), by: (q) => q.last, show: (q) => dayOf(q.last) },
  {
    key: 'do',
    name: phrase('Action'),
    fixed: true,
    show: (q) =>
      q.missedBy.length > 0 && (
        <Button size="sm" onClick={() => pick(q.missedBy)}>
          {t('Add {{count}} readers to tray', { count: q.missedBy.length })}
        </Button>
      ),
  },
];

/** Questions over all assignments of the span, the one missed most first. */
export function QuestionReport({ data, asked }: { data: ClassData; asked: Asked }) {
  const tray = useTray();
  const questions = useQuestionReport(data.id, asked);
  const columns = useMemo(() => {
    const called = calledIn(data);
    return columnsFor(
      data.id,
      (id) => called(id, ''),
      (ids) => tray.pickReaders(ids, true),
      (question) => answersAddress(data.id, asked, { question }),
    );
  }, [data, tray, asked]);
  return (
    <Show query={questions}>
      {(q) => (
        <DataList
          list="report-questions"
          label={t('Questions')}
          columns={columns}
          rows={q.rows}
          id={(x) => x.questionId}
          name={(x) => x.stem}
          sort={{ key: 'missed', down: true }}
          empty={<Empty title={t('No questions answered in these days')} />}
          counted={(_, count) => t('{{count}} questions, at the first try', { count })}
        />
      )}
    </Show>
  );
}
