import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { useOutletContext, useParams, useSearchParams } from 'react-router';
import { api, ok } from '../../shared/api';
import { dayOf } from '../../shared/format';
import { keys } from '../../shared/keys';
import { isOpen } from '../../shared/ticketStates';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { ListPage, PageHead } from '../../ui/Page';
import { Empty, Show } from '../../ui/Show';
import { AssignmentViews, BackToAssignments } from '../assignments/AssignmentViews';
import { usePlan } from '../assignments/week/useWeek';
import { calledIn } from '../classQueries';
import type { Place } from '../frame/Frame';
import { AskAgain } from './AskAgain';
import { Corrections } from './Corrections';
import { Facts } from './Facts';
import { Matrix } from './Matrix';
import { NextSteps } from './NextSteps';
import { QuestionPanel } from './QuestionPanel';
import { columnsOf, type Cell, type Results as ResultsData } from './results';
import { SpreadLanes } from './SpreadLanes';
import { TypedResults } from './TypedResults';
import { WithoutQuiz } from './WithoutQuiz';
import { WordRows } from './WordRows';

/** What an assignment came to: the spread, readers by question, each question opened, and what next. */
export default function Results() {
  const { data } = useOutletContext<Place>();
  const { assignmentId = '' } = useParams();
  const results = useQuery({
    queryKey: keys.results(assignmentId),
    queryFn: () => ok(api.GET('/assignments/{assignmentId}/results', { params: { path: { assignmentId } } })),
  });
  return <Show query={results}>{(r) => <Shown r={r} place={{ data }} />}</Show>;
}

function Shown({ r, place: { data } }: { r: ResultsData; place: Place }) {
  const name = useMemo(() => {
    const called = calledIn(data);
    const given = new Map(r.readers.map((x) => [x.readerId, x.givenName]));
    return (id: string) => called(id, given.get(id) ?? '');
  }, [data, r.readers]);
  const a = r.assignment;
  return (
    <ListPage>
      <PageHead
        title={a.title}
        back={<BackToAssignments classId={data.id} />}
        named={t('Results of {{title}}', { title: a.title })}
        beside={<AssignmentViews classId={data.id} assignmentId={a.id} />}
      >
        <p className="text-soft text-sm">
          {t('given {{day}}', { day: dayOf(a.assignedAt) })}
          {a.dueOn && ` · ${t('due')} ${dayOf(a.dueOn)}`}
        </p>
        <ReleaseMarked r={r} classId={data.id} may={data.mayAssign} name={name} />
      </PageHead>
      <Facts r={r} />
      <Corrections corrections={r.corrections} may={data.mayAssign} />
      <Body r={r} data={data} name={name} />
    </ListPage>
  );
}

/** The quiz; or who read, where nothing is asked; or that nobody has handed in. */
function Body({ r, data, name }: { r: ResultsData; data: Place['data']; name: (id: string) => string }) {
  const columns = useMemo(() => columnsOf(r), [r]);
  const hardest = columns.filter((c) => !c.onTheWay && c.q.right !== null).length - 1;
  const [search] = useSearchParams();
  const asked = columns.findIndex((c) => c.q.question.id === search.get('question'));
  const [chosen, look] = useState<number | null>(asked < 0 ? null : asked);
  const focus = Math.min(chosen ?? Math.max(0, hardest), columns.length - 1);
  if (columns.length === 0)
    return (
      <>
        {r.words.length > 0 && <WordRows r={r} classId={data.id} name={name} />}
        <WithoutQuiz r={r} classId={data.id} name={name} />
      </>
    );
  if (r.rows.length === 0)
    return (
      <Empty title={t('No one has handed in yet')}>
        <p>{t('Scores, questions and next steps appear here as readers hand in.')}</p>
      </Empty>
    );
  return (
    <div className="grid min-h-0 grow max-lg:overflow-auto lg:grid-cols-[minmax(0,1fr)_320px]">
      <div className="grid min-h-0 min-w-0 lg:grid-rows-[minmax(0,1fr)_minmax(0,auto)]">
        <div className="grid min-h-0 min-w-0 lg:grid-cols-[280px_minmax(0,1fr)]">
          <SpreadLanes r={r} name={name} />
          <Matrix r={r} columns={columns} name={name} classId={data.id} focus={focus} look={look} />
        </div>
        <QuestionPanel r={r} columns={columns} focus={focus} look={look} name={name} may={data.mayAssign} />
      </div>
      <NextSteps r={r} data={data} name={name} />
    </div>
  );
}

/** What can be asked again: what was never right, and does not wait for a person. */
const neverRight = (c: Cell) => !c.toMark && (c.mark === 'NotYet' || c.mark === 'Unanswered');

/** Lets readers see what is marked and waits. */
function ReleaseMarked({
  r,
  classId,
  may,
  name,
}: {
  r: ResultsData;
  classId: string;
  may: boolean;
  name: (id: string) => string;
}) {
  const plan = usePlan(classId);
  const marked = r.readers.filter((x) => x.state === 'Marked').map((x) => x.ticketId);
  const [over, show] = useState<'again' | 'typed' | null>(null);
  const missed = r.readers
    .filter((x) => !isOpen(x.state) && x.handedInAt !== null)
    .filter((x) => r.rows.some((row) => row.readerId === x.readerId && row.cells.some(neverRight)))
    .map((x) => x.ticketId);
  if (!may) return null;
  return (
    <>
      {missed.length > 0 && <Button onClick={() => show('again')}>{t('Ask missed questions again…')}</Button>}
      {marked.length > 0 && (
        <Button look="main" onClick={() => void plan.quietly(plan.tickets('Release', marked))}>
          {t('Release to {{count}} readers', { count: marked.length })}
        </Button>
      )}
      {r.takesTyped && <Button onClick={() => show('typed')}>{t('Enter results…')}</Button>}
      {over === 'typed' && <TypedResults r={r} name={name} close={() => show(null)} />}
      {over === 'again' && (
        <AskAgain
          r={r}
          tickets={missed}
          name={name}
          send={(ids, comment) => plan.tell(plan.tickets('SendBack', ids, comment, true))}
          close={() => show(null)}
        />
      )}
    </>
  );
}
