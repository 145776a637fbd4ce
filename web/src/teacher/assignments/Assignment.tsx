import { useMemo } from 'react';
import { Link, useOutletContext, useParams } from 'react-router';
import type { Api } from '../../shared/api';
import { dayOf, fm, minutes, percent, signed, timeOf } from '../../shared/format';
import { scoreOf } from '../../shared/scores';
import { asks, taskWords } from '../../shared/taskKinds';
import { ticketWords } from '../../shared/ticketStates';
import { phrase, t } from '../../shared/words';
import { calledIn } from '../classQueries';
import type { Place } from '../frame/Frame';
import { AssignmentViews, BackToAssignments } from './AssignmentViews';
import { useAssignment } from './assignmentQuery';
import { TalkPanel } from './TalkPanel';
import { Button } from '../../ui/Button';
import { ListPage, Notice, PageHead } from '../../ui/Page';
import { Show } from '../../ui/Show';
import { DataList } from '../../ui/table/DataList';
import type { Column } from '../../ui/table/useDataTable';

type Row = Api<'AssignmentView'>['tickets'][number];

const columnsFor = (classId: string, called: ReturnType<typeof calledIn>): Column<Row>[] => [
  {
    key: 'reader',
    name: phrase('Reader'),
    by: (k) => `${k.givenName} ${k.familyName}`,
    show: (k) => `${k.givenName} ${k.familyName}`,
  },
  { key: 'state', name: phrase('State'), by: (k) => t(ticketWords[k.state]), show: (k) => t(ticketWords[k.state]) },
  {
    key: 'version',
    name: phrase('Version'),
    num: true,
    by: (k) => k.versionDepth ?? 0,
    show: (k) => (k.versionDepth == null ? '–' : t('{{n}} fm', { n: fm(k.versionDepth) })),
  },
  {
    key: 'fit',
    name: phrase('Fit'),
    num: true,
    by: (k) => k.forecast ?? 0,
    show: (k) => (k.forecast == null ? '–' : percent(k.forecast)),
  },
  {
    key: 'page',
    name: phrase('Page'),
    num: true,
    by: (k) => (k.openedAt ? k.page : -1),
    show: (k) =>
      k.openedAt && k.pages > 0 ? t('{{n}} of {{of}}', { n: Math.min(k.page + 1, k.pages), of: k.pages }) : '–',
  },
  { key: 'time', name: phrase('Active time'), num: true, by: (k) => k.seconds, show: (k) => minutes(k.seconds) },
  {
    key: 'in',
    name: phrase('Handed in'),
    by: (k) => k.handedInAt ?? '',
    show: (k) => (k.handedInAt ? `${dayOf(k.handedInAt)} ${timeOf(k.handedInAt)}` : '–'),
  },
  {
    key: 'score',
    name: phrase('First try'),
    num: true,
    by: (k) => k.score ?? -1,
    show: (k) => (k.score == null ? '–' : scoreOf(k.kind, k.score)),
  },
  {
    key: 'after',
    name: phrase('Level after'),
    num: true,
    by: (k) => k.afterMean ?? -1,
    show: (k) =>
      k.afterMean == null || k.beforeMean == null ? '–' : `${fm(k.afterMean)} (${signed(k.afterMean - k.beforeMean)})`,
  },
  {
    key: 'do',
    name: phrase('Answers'),
    fixed: true,
    show: (k) => (
      <Button asChild size="sm">
        <Link
          to={`/class/${classId}/tickets/${k.id}`}
          aria-label={t('Answers of {{name}}', { name: called(k.readerId, k.givenName) })}
        >
          {t('Answers')}
        </Link>
      </Button>
    ),
  },
];

/** One assignment: each reader's ticket, its state and its result. The states change as readers work. */
export default function Assignment() {
  const { data } = useOutletContext<Place>();
  const called = useMemo(() => calledIn(data), [data]);
  const columns = useMemo(() => columnsFor(data.id, called), [data.id, called]);
  const { assignmentId = '' } = useParams();
  const one = useAssignment(assignmentId);
  return (
    <Show query={one}>
      {({ assignment: a, tickets, together }) => (
        <ListPage>
          <PageHead
            title={a.title}
            back={<BackToAssignments classId={data.id} />}
            beside={<AssignmentViews classId={data.id} assignmentId={a.id} />}
          >
            <p className="text-soft">
              {t('given {{day}}', { day: dayOf(a.assignedAt) })}
              {a.dueOn && ` · ${t('due')} ${dayOf(a.dueOn)}`}
              {a.kind !== 'Text' && ` · ${t(taskWords[a.kind])}`}
              {asks(a.kind) && ` · ${t('tries per question')} ${a.attempts}`}
            </p>
            {together.length > 0 && (
              <p className="text-soft">
                {t('Assigned with it')}{' '}
                {together.map((o, i) => (
                  <span key={o.id}>
                    {i > 0 && ' · '}
                    <Link to={`/class/${data.id}/assignments/${o.id}`}>{o.title}</Link>
                  </span>
                ))}
              </p>
            )}
          </PageHead>
          {a.correctedAt && (
            <Notice kind="action" role="status">
              {t('This text was edited on {{day}}, after it was assigned.', { day: dayOf(a.correctedAt) })}{' '}
              <Link to={`/class/${data.id}/texts/${a.textId}`}>{t('See text history')}</Link>
            </Notice>
          )}
          <DataList
            list="assignment"
            label={t('Readers')}
            columns={columns}
            rows={tickets}
            id={(k) => k.id}
            name={(k) => called(k.readerId, k.givenName)}
            counted={(_, count) => t('{{count}} readers', { count })}
          />
          <TalkPanel assignmentId={a.id} mayChange={data.mayAssign} />
        </ListPage>
      )}
    </Show>
  );
}
