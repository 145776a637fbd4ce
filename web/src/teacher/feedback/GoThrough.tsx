import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useOutletContext, useParams } from 'react-router';
import { toast } from 'sonner';
import { api, ok, sentence, type Api } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { dayOf } from '../../shared/format';
import { keys } from '../../shared/keys';
import { sure } from '../../shared/sure';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { PageHead } from '../../ui/Page';
import { Empty, Show } from '../../ui/Show';
import { markName, TideMarks } from '../../ui/TideMarks';
import type { Place } from '../frame/Frame';
import { QuestionKey } from '../texts/quiz/QuestionKey';
import { ReadText } from '../texts/ReadText';
import { useFeedback } from './useFeedback';

type TicketData = Api<'TicketView'>;

/** An adult and a reader go through what was missed: the passage beside the answer, why, and a tick when it was talked
 * over. */
export default function GoThrough() {
  const { data } = useOutletContext<Place>();
  const { ticketId = '' } = useParams();
  const ticket = useQuery({
    queryKey: keys.ticket(ticketId),
    queryFn: () => ok(api.GET('/tickets/{ticketId}', { params: { path: { ticketId } } })),
  });
  return <Show query={ticket}>{(x) => <Missed x={x} classId={data.id} />}</Show>;
}

function Missed({ x, classId }: { x: TicketData; classId: string }) {
  const missed = x.questions
    .map((q, i) => ({ q, a: sure(x.answers[i]) }))
    .filter(({ q, a }) => !q.after && a.tries.length > 0 && a.mark !== 'RightAtOnce');
  const [at, look] = useState(0);
  const used = useFeedback(x.ticket.id).data;
  const done = new Map(used?.talkedOver.map((o) => [o.questionId, o]));
  const now = missed[Math.min(at, missed.length - 1)];
  return (
    <section className="flex min-h-0 flex-col" aria-labelledby="title">
      <PageHead
        title={t('{{name}}: missed questions', { name: x.ticket.givenName })}
        beside={
          <p className="text-soft">
            {x.title} · {t('{{n}} of {{count}} talked over', { n: done.size, count: missed.length })}
          </p>
        }
      >
        <Button asChild>
          <Link to={`/class/${classId}/tickets/${x.ticket.id}`}>{t('All answers')}</Link>
        </Button>
      </PageHead>
      {!now && (
        <Empty title={t('Nothing missed')}>
          <p>{t('Every question that was answered was right on the first try.')}</p>
        </Empty>
      )}
      {now && (
        <div className="border-ink grid min-h-0 grow border-t max-md:overflow-auto md:grid-cols-2">
          <div className="min-h-0 overflow-auto px-6 py-4" role="region" aria-label={t('Passage')} tabIndex={0}>
            {x.textId && (
              <ReadText textId={x.textId} version={x.ticket.version} proof={proofOf(now.q, x.ticket.version)} />
            )}
          </div>
          <div className="border-line min-h-0 overflow-auto md:border-l">
            <ol className="border-line flex flex-wrap gap-1.5 border-b px-4 py-2" aria-label={t('Missed questions')}>
              {missed.map(({ q }, i) => (
                <li key={q.id}>
                  <Button
                    look={i === at ? 'main' : 'outline'}
                    aria-current={i === at ? 'step' : undefined}
                    onClick={() => look(i)}
                  >
                    {done.has(q.id) ? '✓ ' : ''}
                    {x.questions.filter((o) => !o.after).indexOf(q) + 1}
                  </Button>
                </li>
              ))}
            </ol>
            <One key={now.q.id} x={x} q={now.q} a={now.a} over={done.get(now.q.id)} />
          </div>
        </div>
      )}
    </section>
  );
}

type Question = TicketData['questions'][number];

const proofOf = (q: Question, version: string | null) => q.proofs[version ?? ''] ?? q.proofs.all ?? null;

function One({
  x,
  q,
  a,
  over,
}: {
  x: TicketData;
  q: Question;
  a: TicketData['answers'][number];
  over: Api<'TalkedOver'> | undefined;
}) {
  const changed = useChanged();
  const tick = (done: boolean) =>
    void ok(
      api.PUT('/tickets/{ticketId}/talked-over/{questionId}', {
        params: { path: { ticketId: x.ticket.id, questionId: q.id } },
        body: { done },
      }),
    ).then(
      () => changed('work'),
      (e: unknown) => toast.error(sentence(e)),
    );
  return (
    <div className="grid gap-3 px-4 py-3 text-lg">
      <h2 className="text-xl">{q.stem}</h2>
      <p className="text-soft text-base">
        <TideMarks of={[a.mark]} /> {markName(a.mark)}
      </p>
      <QuestionKey q={q} tries={a.tries} reasons />
      {a.tries.map((k) => k.words && <p key={k.id}>“{k.words}”</p>)}
      <p>
        <Checkbox checked={over !== undefined} set={tick}>
          {t('Talked over')}
        </Checkbox>
        {over && (
          <span className="text-soft text-sm">
            {' '}
            {over.by ? t('{{who}}, {{day}}', { who: over.by, day: dayOf(over.at) }) : dayOf(over.at)}
          </span>
        )}
      </p>
    </div>
  );
}
