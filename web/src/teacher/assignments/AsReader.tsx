import { useQuery } from '@tanstack/react-query';
import { cx } from 'class-variance-authority';
import { useState } from 'react';
import { Link, useOutletContext, useParams } from 'react-router';
import { type Api, api, ok } from '../../shared/api';
import { dayOf } from '../../shared/format';
import { keys } from '../../shared/keys';
import { Block } from '../../shared/paragraphs';
import { isDone, ticketWords } from '../../shared/ticketStates';
import { ofText, taskWords } from '../../shared/taskKinds';
import { t } from '../../shared/words';
import type { Place } from '../frame/Frame';
import { Button } from '../../ui/Button';
import { PageHead, ScrollPage } from '../../ui/Page';
import { bigPlate, Directions, pageLook, Written } from '../../ui/Reader';
import { Empty, Show } from '../../ui/Show';
import { unusual } from './terms';

type MyTicket = Api<'MyTicket'>;

/** A reader's home and tasks as that reader sees them. Looking leaves no trace. */
export default function AsReader() {
  const { data } = useOutletContext<Place>();
  const { readerId = '', ticketId } = useParams();
  const reader = data.readers.find((r) => r.id === readerId);
  const home = useQuery({
    queryKey: keys.home(data.id, readerId),
    queryFn: () =>
      ok(api.GET('/classes/{classId}/readers/{readerId}/home', { params: { path: { classId: data.id, readerId } } })),
  });
  const [chosen, choose] = useState<string | null>(ticketId ?? null);
  return (
    <ScrollPage>
      <PageHead
        title={t('As {{name}} sees it', { name: reader?.called ?? '' })}
        beside={<p className="text-soft">{t('Looking leaves no trace: nothing is opened or counted.')}</p>}
      >
        <Button asChild>
          <Link to={`/class/${data.id}/assignments/where`}>{t('Who is where')}</Link>
        </Button>
      </PageHead>
      <Show query={home}>
        {(all) => {
          const open = all.filter((k) => !isDone(k.state));
          const shown = all.find((k) => k.id === chosen) ?? open[0];
          if (all.length === 0)
            return (
              <Empty title={t('Nothing to read now')}>
                <p>{t('What you assign appears here once it is visible.')}</p>
              </Empty>
            );
          return (
            <div className="text-reader grid items-start gap-6 px-4 pb-6 lg:grid-cols-[380px_minmax(0,1fr)]">
              <nav aria-label={t('Home')} className="grid gap-2">
                {[...open, ...all.filter((k) => isDone(k.state)).slice(0, 12)].map((k) => (
                  <button
                    key={k.id}
                    type="button"
                    aria-pressed={k.id === shown?.id}
                    className={cx(bigPlate, 'w-full text-left', k.id === shown?.id && 'outline-overlay outline-2')}
                    onClick={() => choose(k.id)}
                  >
                    {k.heading && <span className="text-soft">{k.heading}</span>}
                    <b>{k.title}</b>
                    <span className="text-soft">{aboutOf(k)}</span>
                  </button>
                ))}
              </nav>
              {shown && <Task ticket={shown} />}
            </div>
          );
        }}
      </Show>
    </ScrollPage>
  );
}

const aboutOf = (k: MyTicket) =>
  [
    t(ticketWords[k.state]),
    k.kind !== 'Text' && t(taskWords[k.kind]),
    k.words > 0 && t('{{count}} words', { count: k.words }),
    k.questions > 0 && t('{{count}} questions', { count: k.questions }),
    k.toPractise > 0 && t('{{count}} words to practise', { count: k.toPractise }),
    k.dueOn && t('due {{day}}', { day: dayOf(k.dueOn) }),
    ...unusual({ ...k, visibleFrom: '', note: '' }),
  ]
    .filter(Boolean)
    .join(' · ');

/** What there is to do, as it comes. */
const Task = ({ ticket }: { ticket: MyTicket }) =>
  ofText(ticket.kind) ? <Text ticket={ticket} /> : <Other ticket={ticket} />;

function Other({ ticket }: { ticket: MyTicket }) {
  const task = useQuery({
    queryKey: keys.task(ticket.id),
    queryFn: () => ok(api.GET('/tickets/{ticketId}/task', { params: { path: { ticketId: ticket.id } } })),
  });
  return (
    <section aria-label={ticket.title} className="bg-depth-2 grid justify-items-center rounded-md px-6 py-12">
      <Show query={task}>
        {(k) => (
          <article className={pageLook({ kind: 'door', letters: 'ui' })}>
            {k.comment && <Directions>{k.comment}</Directions>}
            {k.directions && <Directions>{k.directions}</Directions>}
            <h2>{k.prompt || k.title}</h2>
            {k.url && <p className="wrap-anywhere">{k.url}</p>}
            {k.words.length > 0 && (
              <dl className="grid gap-3">
                {k.words.map((w) => (
                  <div key={`${w.text} ${w.part}`}>
                    <dt className="font-first text-2xl font-bold">{w.text}</dt>
                    <dd>{w.meaning}</dd>
                  </div>
                ))}
              </dl>
            )}
            {k.written && <Written>{k.written}</Written>}
          </article>
        )}
      </Show>
    </section>
  );
}

/** The pages and the questions, as they come. */
function Text({ ticket }: { ticket: MyTicket }) {
  const work = useQuery({
    queryKey: keys.work(ticket.id),
    queryFn: () => ok(api.GET('/tickets/{ticketId}/work', { params: { path: { ticketId: ticket.id } } })),
  });
  return (
    <section aria-label={ticket.title} className="bg-depth-2 grid justify-items-center gap-26 rounded-md px-6 py-12">
      <Show query={work}>
        {(w) => (
          <>
            {ticket.comment && <Directions>{ticket.comment}</Directions>}
            {w.directions && <Directions>{w.directions}</Directions>}
            {w.pages.map((page, i) => (
              <article key={i} className={pageLook({ kind: 'text', letters: w.depth < 30 ? 'first' : 'serif' })}>
                {page.map((text, n) => (
                  <Block key={n} text={text} heading="h2" words={(said) => said} />
                ))}
              </article>
            ))}
            {w.questions.map((q) => (
              <article key={q.id} className={pageLook({ kind: 'question', letters: 'first' })}>
                <h2>{q.stem}</h2>
                <ul className="mt-3 grid gap-2">
                  {q.choices.map((choice) => (
                    <li key={choice}>{choice}</li>
                  ))}
                </ul>
              </article>
            ))}
          </>
        )}
      </Show>
    </section>
  );
}
