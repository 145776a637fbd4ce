import { cx } from 'class-variance-authority';
import { useQuery } from '@tanstack/react-query';
import { Link, useOutletContext, useParams } from 'react-router';
import { toast } from 'sonner';
import { type Api, api, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { dayOf, fm, halfRange, minutes, percent, signed, timeOf } from '../../shared/format';
import { keys } from '../../shared/keys';
import { kindOf } from '../texts/quiz/kinds';
import { markName, TideMarks } from '../../ui/TideMarks';
import { taskWords } from '../../shared/taskKinds';
import { ticketWords } from '../../shared/ticketStates';
import { t } from '../../shared/words';
import type { Place } from '../frame/Frame';
import { QuestionKey, Tags } from '../texts/quiz/QuestionKey';
import { setAsideSentences } from '../../shared/setAside';
import { FeedbackUsed } from '../feedback/FeedbackUsed';
import { MarkAnswer } from './MarkAnswer';
import { PaperCopies } from './PaperCopies';
import { ReaderNotes } from './ReaderNotes';
import { TaskReply } from './TaskReply';
import { sure } from '../../shared/sure';
import { Button } from '../../ui/Button';
import { Notice, PageHead } from '../../ui/Page';
import { Show } from '../../ui/Show';

type TicketData = Api<'TicketView'>;

/** One reader's answers to one text, and what they did to the level. */
export default function Ticket() {
  const { data } = useOutletContext<Place>();
  const { ticketId = '' } = useParams();
  const changed = useChanged();
  const ticket = useQuery({
    queryKey: keys.ticket(ticketId),
    queryFn: () => ok(api.GET('/tickets/{ticketId}', { params: { path: { ticketId } } })),
  });
  return (
    <Show query={ticket}>
      {(x) => (
        <section className="min-h-0 overflow-auto pb-6" aria-labelledby="title">
          <PageHead
            named={`${x.ticket.givenName} ${x.ticket.familyName}, ${x.title}`}
            title={
              <>
                <Link to={`/class/${data.id}/readers/${x.ticket.readerId}`}>
                  {x.ticket.givenName} {x.ticket.familyName}
                </Link>
                , {x.title}
              </>
            }
            beside={
              <p className="text-soft">
                {t(ticketWords[x.ticket.state])}
                {x.ticket.handedInAt && ` · ${dayOf(x.ticket.handedInAt)} ${timeOf(x.ticket.handedInAt)}`}
                {x.kind !== 'Text' && ` · ${t(taskWords[x.kind])}`}
                {x.ticket.versionDepth != null &&
                  x.ticket.forecast != null &&
                  ` · ${t('version')} ${fm(x.ticket.versionDepth)} fm · ${t('fit')} ${percent(x.ticket.forecast)}` +
                    ` · ${t('open')} ${minutes(x.ticket.seconds)}`}
              </p>
            }
          >
            {!x.content &&
              x.ticket.handedInAt &&
              x.answers.some((a) => a.tries.length > 0 && a.mark !== 'RightAtOnce') && (
                <Button asChild>
                  <Link to={`/class/${data.id}/tickets/${x.ticket.id}/missed`}>{t('Go through missed questions')}</Link>
                </Button>
              )}
            {x.ticket.state === 'Marked' && x.mayMark && (
              <Button
                look="main"
                onClick={() =>
                  void ok(
                    api.POST('/tickets/{ticketId}/release', { params: { path: { ticketId: x.ticket.id } } }),
                  ).then(
                    () => {
                      toast.success(t('Released to {{name}}', { name: x.ticket.givenName }));
                      void changed('work');
                    },
                    (e: unknown) => toast.error(sentence(e)),
                  )
                }
              >
                {t('Release to {{name}}', { name: x.ticket.givenName })}
              </Button>
            )}
          </PageHead>
          {(x.late > 0 || x.setAside.length > 0) && (
            <Notice kind="action">
              {x.late > 0 &&
                t('{{count}} answers were given before the due date and sent after it.', { count: x.late })}{' '}
              {setAsideSentences(x.setAside.filter((s) => s.kind !== 'Reading')).join(' ')}
            </Notice>
          )}
          {x.ticket.state === 'Released' && (
            <FeedbackUsed ticketId={x.ticket.id} name={x.ticket.givenName} may={x.mayMark} />
          )}
          <ReaderNotes ticketId={x.ticket.id} mayAnswer={x.mayMark} />
          <PaperCopies ticketId={x.ticket.id} />
          {x.content && <TaskReply x={x} />}
          {!x.content && (
            <div className="border-ink grid border-t max-lg:grid-cols-1 lg:grid-cols-[minmax(0,1fr)_320px]">
              <ol
                className={cx(
                  '[&>li]:border-line [&_h2]:font-ui [&_em]:text-overlay grid content-start',
                  '[&_em]:font-semibold [&_em]:not-italic [&_h2]:text-[15px] [&>li]:border-b [&>li]:px-4',
                  '[&>li]:py-3',
                )}
              >
                {x.questions.map((q, i) => {
                  const a = sure(x.answers[i]);
                  return (
                    <li key={q.id}>
                      <h2>
                        <Tags q={q} /> {q.stem}
                      </h2>
                      <p className="text-soft mt-0.5 mb-1 text-sm">
                        {a.tries.some((k) => k.correct == null) ? (
                          t('to mark')
                        ) : (
                          <>
                            <TideMarks of={[a.mark]} /> {markName(a.mark)}
                          </>
                        )}
                        {a.tooFast && ` · ${t('too fast, left out of the level')}`}
                        {q.after && ` · ${t('does not count')}`}
                      </p>
                      <QuestionKey q={q} tries={a.tries} />
                      {a.tries.map(
                        (k) =>
                          kindOf(q).written && (
                            <MarkAnswer key={k.id} ticketId={x.ticket.id} q={q} answer={k} mayMark={x.mayMark} />
                          ),
                      )}
                    </li>
                  );
                })}
              </ol>
              <LevelMove x={x} />
            </div>
          )}
        </section>
      )}
    </Show>
  );
}

/** The depth with its range before and after, and how many answers moved it. */
function LevelMove({ x }: { x: TicketData }) {
  const k = x.ticket;
  if (k.beforeMean == null || k.afterMean == null || k.beforeSd == null || k.afterSd == null)
    return (
      <aside className="border-line grid content-start gap-2 px-4.5 py-3.5 lg:border-l">
        <h2>{t('Level')}</h2>
        <p className="text-soft">{t('The level changes when the text is handed in.')}</p>
      </aside>
    );
  const rows = [
    { name: t('before'), mean: k.beforeMean, sd: k.beforeSd, ink: 'var(--color-soft)' },
    { name: t('after'), mean: k.afterMean, sd: k.afterSd, ink: 'var(--color-overlay)' },
  ];
  const from = Math.min(...rows.map((r) => r.mean - halfRange(r.sd))) - 2,
    to = Math.max(...rows.map((r) => r.mean + halfRange(r.sd))) + 2;
  const px = (d: number) => 10 + ((d - from) / (to - from)) * 260;
  const counted = x.answers.filter(
    (a, i) => a.tries.length > 0 && !a.tooFast && !sure(x.questions[i]).after && sure(a.tries[0]).correct != null,
  );
  const right = counted.filter((a) => a.mark === 'RightAtOnce').length;
  const expected = Math.round((k.forecast ?? 0) * counted.length * 10) / 10;
  const step = to - from > 20 ? 5 : 2;
  const ticks = Array.from({ length: 40 }, (_, i) => Math.ceil(from / step) * step + i * step).filter((d) => d <= to);
  return (
    <aside className="border-line grid content-start gap-2 px-4.5 py-3.5 lg:border-l" aria-labelledby="move">
      <h2 id="move">
        {t('Level')} {fm(k.afterMean)} fm{' '}
        <span className="font-ui text-soft text-sm font-normal">
          {t('{{change}} from {{before}}', { change: signed(k.afterMean - k.beforeMean), before: fm(k.beforeMean) })}
        </span>
      </h2>
      <svg
        width="280"
        height="86"
        viewBox="0 0 280 86"
        role="img"
        aria-label={rows
          .map(
            (r) =>
              `${r.name} ${fm(r.mean)} fm, ${t('range')} ${fm(r.mean - halfRange(r.sd))}–${fm(r.mean + halfRange(r.sd))}`,
          )
          .join('; ')}
      >
        {rows.map((r, i) => (
          <g key={r.name}>
            <path
              d={
                `M${px(r.mean - halfRange(r.sd))} ${22 + i * 28}H${px(r.mean + halfRange(r.sd))}m0 -5v10` +
                `M${px(r.mean - halfRange(r.sd))} ${17 + i * 28}v10`
              }
              stroke={r.ink}
              strokeWidth="2"
              fill="none"
            />
            <circle cx={px(r.mean)} cy={22 + i * 28} r="5" fill={r.ink} />
            <text x="10" y={12 + i * 28}>
              {r.name}
            </text>
          </g>
        ))}
        <path d="M10 66H270" stroke="var(--color-ink)" />
        {ticks.map((d) => (
          <g key={d}>
            <path d={`M${px(d)} 66v4`} stroke="var(--color-ink)" />
            <text x={px(d)} y="83" textAnchor="middle">
              {d}
            </text>
          </g>
        ))}
      </svg>
      <p>
        {t('{{right}} of {{n}} right on the first try. The forecast was about {{expected}}.', {
          right,
          n: counted.length,
          expected,
        })}
      </p>
      <p className="text-soft text-sm">
        {t('Only first tries count as evidence. The range changed from ± {{a}} to ± {{b}} fm.', {
          a: halfRange(k.beforeSd).toFixed(1),
          b: halfRange(k.afterSd).toFixed(1),
        })}
      </p>
      <p>
        <TideMarks of={x.answers.filter((_, i) => !sure(x.questions[i]).after).map((a) => a.mark)} />
      </p>
    </aside>
  );
}
