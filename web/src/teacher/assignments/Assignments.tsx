import { useQuery } from '@tanstack/react-query';
import { Link, useOutletContext } from 'react-router';
import { type Api, api, ok } from '../../shared/api';
import { dayOf, percent } from '../../shared/format';
import { keys } from '../../shared/keys';
import { phrase, t } from '../../shared/words';
import type { Place } from '../frame/Frame';
import { AssignmentTabs } from './AssignmentTabs';
import { Button } from '../../ui/Button';
import { ListPage, PageHead } from '../../ui/Page';
import { Empty, Show } from '../../ui/Show';
import { DataList } from '../../ui/table/DataList';
import type { Column } from '../../ui/table/useDataTable';

type Row = Api<'AssignmentRow'>;

const columns: Column<Row>[] = [
  {
    key: 'text',
    name: phrase('Text'),
    by: (a) => a.title,
    show: (a) => a.title,
    beside: (a) =>
      a.correctedAt && (
        <small className="text-soft"> {t('edited since, {{day}}', { day: dayOf(a.correctedAt) })}</small>
      ),
  },
  {
    key: 'given',
    name: phrase('Given'),
    by: (a) => a.assignedAt,
    show: (a) => (a.chosen ? t('chosen by readers, last {{day}}', { day: dayOf(a.assignedAt) }) : dayOf(a.assignedAt)),
  },
  { key: 'due', name: phrase('Due'), by: (a) => a.dueOn ?? '', show: (a) => (a.dueOn ? dayOf(a.dueOn) : '–') },
  { key: 'readers', name: phrase('Readers'), num: true, by: (a) => a.tickets, show: (a) => a.tickets },
  {
    key: 'states',
    name: phrase('Not opened · under way · handed in'),
    by: (a) => -a.waiting,
    show: (a) => <States a={a} />,
  },
  {
    key: 'score',
    name: phrase('First try'),
    num: true,
    by: (a) => a.meanScore ?? -1,
    show: (a) => (a.meanScore == null ? '–' : percent(a.meanScore)),
  },
];

/** Everything given to the class, latest first, and how far it is. */
export default function Assignments() {
  const { data } = useOutletContext<Place>();
  const all = useQuery({
    queryKey: keys.assignments(data.id),
    queryFn: () => ok(api.GET('/classes/{classId}/assignments', { params: { path: { classId: data.id } } })),
  });
  return (
    <ListPage>
      <PageHead title={t('Assignments')} beside={<AssignmentTabs classId={data.id} />} />
      <Show query={all}>
        {(rows) =>
          rows.length === 0 ? (
            <Empty title={t('No assignments yet')}>
              <p>{t('Add readers and a text to the tray, then assign them there.')}</p>
              <Button asChild look="main">
                <Link to={`/class/${data.id}/texts`}>{t('Find texts')}</Link>
              </Button>
            </Empty>
          ) : (
            <DataList
              list="assignments"
              label={t('Assignments')}
              columns={columns}
              rows={rows}
              id={(a) => a.id}
              name={(a) => a.title}
              to={(a) => `/class/${data.id}/assignments/${a.id}`}
              sort={{ key: 'given', down: true }}
              counted={(_, count) => t('{{count}} assignments', { count })}
            />
          )
        }
      </Show>
    </ListPage>
  );
}

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
