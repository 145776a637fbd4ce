import { keepPreviousData, useInfiniteQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link, useOutletContext } from 'react-router';
import { type Api, api, ok } from '../../shared/api';
import { dayOf } from '../../shared/format';
import { keys } from '../../shared/keys';
import { scoreOf } from '../../shared/scores';
import { taskWords } from '../../shared/taskKinds';
import { useLater } from '../../shared/useLater';
import { phrase, t, type Phrase } from '../../shared/words';
import type { Place } from '../frame/Frame';
import { AssignmentTabs } from './AssignmentTabs';
import { optionsOf } from './terms';
import { Button } from '../../ui/Button';
import { ListPage, PageHead } from '../../ui/Page';
import { Empty, Show } from '../../ui/Show';
import { Select } from '../../ui/Select';
import { SearchField } from '../../ui/TextField';
import { DataTableView, TableFoot } from '../../ui/table/DataTableView';
import { useDataTable, type Column } from '../../ui/table/useDataTable';

type Row = Api<'AssignmentRow'>;
type Shown = Api<'AssignmentsShown'>;
type Order = Api<'AssignmentsOrder'>;

const columns: Column<Row>[] = [
  {
    key: 'text',
    name: phrase('Text'),
    show: (a) => a.title,
    beside: (a) => (
      <>
        {a.kind !== 'Text' && <small className="text-soft"> {t(taskWords[a.kind])}</small>}
        {a.correctedAt && (
          <small className="text-soft"> {t('edited since, {{day}}', { day: dayOf(a.correctedAt) })}</small>
        )}
      </>
    ),
  },
  {
    key: 'given',
    name: phrase('Given'),
    show: (a) => givenWhen(a),
  },
  { key: 'due', name: phrase('Due'), show: (a) => (a.dueOn ? dayOf(a.dueOn) : '–') },
  { key: 'readers', name: phrase('Readers'), num: true, show: (a) => (a.draft ? '–' : a.tickets) },
  {
    key: 'states',
    name: phrase('Not opened · under way · handed in'),
    show: (a) => (a.draft ? '–' : <States a={a} />),
  },
  {
    key: 'score',
    name: phrase('First try'),
    num: true,
    show: (a) => (a.meanScore == null ? '–' : scoreOf(a.kind, a.meanScore)),
  },
];

function givenWhen(a: Row) {
  if (a.draft) return t('draft');
  const day = dayOf(a.assignedAt);
  return a.chosen ? t('chosen by readers, last {{day}}', { day }) : day;
}

const shownWords: Record<Shown, Phrase> = {
  Everything: phrase('everything'),
  Drafts: phrase('drafts'),
  Open: phrase('not handed in by all'),
  ToMark: phrase('to mark'),
  Chosen: phrase('chosen by readers'),
};
const orderWords: Record<Order, Phrase> = {
  Latest: phrase('latest first'),
  Due: phrase('due last first'),
  Title: phrase('title'),
};
const page = 50;

/** Everything given to the class, a page at a time, and how far it is. */
export default function Assignments() {
  const { data } = useOutletContext<Place>();
  const [words, setWords] = useState('');
  const [shown, setShown] = useState<Shown>('Everything');
  const [order, setOrder] = useState<Order>('Latest');
  const found = useAssignments(data.id, { q: useLater(words, 200), shown, order });
  const first = found.data?.pages[0];
  const rows = useMemo(() => (found.data?.pages ?? []).flatMap((p) => p.rows), [found.data]);
  const list = useDataTable({
    list: 'assignments',
    columns,
    rows,
    id: (a) => a.id,
    name: (a) => a.title,
    to: (a) => `/class/${data.id}/assignments/${a.id}`,
  });
  const narrowed = words !== '' || shown !== 'Everything';
  return (
    <ListPage>
      <PageHead
        title={t('Assignments')}
        beside={
          <>
            <AssignmentTabs classId={data.id} />
            <SearchField
              label={t('Search assignments')}
              placeholder={t('Title or heading')}
              className="w-50"
              value={words}
              set={setWords}
            />
            <Select label={t('Show')} inline value={shown} set={setShown} options={optionsOf(shownWords)} />
            <Select label={t('Sort by')} inline value={order} set={setOrder} options={optionsOf(orderWords)} />
          </>
        }
      />
      <Show query={{ data: first, error: found.error, refetch: found.refetch }}>
        {({ all }) => (
          <>
            <DataTableView of={list} label={t('Assignments')} empty={<None narrowed={narrowed} classId={data.id} />} />
            <TableFoot of={list} counted={(n) => t('{{n}} of {{count}} assignments', { n, count: all })}>
              {found.hasNextPage && (
                <Button size="sm" disabled={found.isFetchingNextPage} onClick={() => void found.fetchNextPage()}>
                  {t('Show {{count}} more', { count: Math.min(page, all - rows.length) })}
                </Button>
              )}
            </TableFoot>
          </>
        )}
      </Show>
    </ListPage>
  );
}

function useAssignments(classId: string, asked: { q: string; shown: Shown; order: Order }) {
  return useInfiniteQuery({
    queryKey: keys.assignments(classId, asked),
    placeholderData: keepPreviousData,
    initialPageParam: 0,
    queryFn: ({ pageParam }) =>
      ok(
        api.GET('/classes/{classId}/assignments', {
          params: { path: { classId }, query: { ...asked, from: pageParam } },
        }),
      ),
    getNextPageParam: (last, pages) => {
      const shown = pages.reduce((n, p) => n + p.rows.length, 0);
      return shown < last.all ? shown : undefined;
    },
  });
}

const None = ({ narrowed, classId }: { narrowed: boolean; classId: string }) =>
  narrowed ? (
    <Empty title={t('No assignments match')}>
      <p>{t('Try another word, or show everything.')}</p>
    </Empty>
  ) : (
    <Empty title={t('No assignments yet')}>
      <p>{t('Add readers and a text to the tray, then assign them there.')}</p>
      <Button asChild look="main">
        <Link to={`/class/${classId}/texts`}>{t('Find texts')}</Link>
      </Button>
    </Empty>
  );

function States({ a }: { a: Row }) {
  const width = 150,
    part = (n: number) => (n / Math.max(1, a.tickets)) * width;
  return (
    <span className="inline-flex items-center gap-2 text-sm">
      <svg width={width + 2} height="12" aria-hidden>
        <rect x="1" y="1" width={part(a.done)} height="10" fill="var(--color-depth-6)" />
        <rect x={1 + part(a.done)} y="1" width={part(a.underWay)} height="10" fill="var(--color-depth-3)" />
        <rect x=".5" y=".5" width={width} height="11" fill="none" stroke="var(--color-soft)" />
      </svg>
      {a.waiting} · {a.underWay} · {a.done}
    </span>
  );
}
