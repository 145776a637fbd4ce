import { BookOpen, CaretLeft, CaretRight } from '@phosphor-icons/react';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link, Navigate, useParams } from 'react-router';
import { keys } from '../shared/keys';
import { Block } from '../shared/paragraphs';
import type { Session } from '../shared/session';
import { t } from '../shared/words';
import { KeptNote } from './KeptNote';
import { PapersLink } from './papers/PapersLink';
import { LeadLine } from './LeadLine';
import { keptAnswers, sendOpened, useOutbox } from './offline/outbox';
import { Asked } from './questions/Asked';
import type { Question } from './questions/draft';
import { finished, letters, useWork, type Work } from './queries';
import { useSupportsOf } from './supports';
import { useHandIn } from './useHandIn';
import { sure } from '../shared/sure';
import { Button } from '../ui/Button';
import { ToMyReading } from './ToMyReading';
import { ReaderBar, ReaderFoot, ReaderSide, Say, Water, sheetPull, textSheet } from '../ui/Reader';
import { Show } from '../ui/Show';
import { PageTitle } from '../ui/PageTitle';

export default function Quiz({ session }: { session: Session }) {
  const { ticketId = '' } = useParams();
  const work = useWork(ticketId);
  useSupportsOf(work.data?.supports);
  return (
    <Show query={work}>
      {(w) =>
        finished(w) ? (
          <Navigate to={`/text/${w.id}/result`} replace />
        ) : (
          <Questions key={w.id} work={w} name={session.name} />
        )
      }
    </Show>
  );
}

/** What each question has had: from the server, or kept on this device and not yet sent. */
const tried = (q: Question, kept: ReadonlyMap<string, unknown>) => q.attempts.length > 0 || kept.has(q.id);

/** One question at a time, the text one tap away. */
function Questions({ work, name }: { work: Work; name: string }) {
  useOutbox();
  const kept = keptAnswers(work.id);
  const first = work.questions.findIndex((q) => !tried(q, kept));
  const [at, setAt] = useState(first < 0 ? work.questions.length - 1 : first);
  const [moved, setMoved] = useState(false);
  const go = (to: number) => {
    setMoved(true);
    setAt(to);
  };
  const [peek, setPeek] = useState(false);
  const { handIn, error, busy } = useHandIn(work.id);
  const client = useQueryClient();
  const question = sure(work.questions[at]);
  const patch = (next: Question) =>
    client.setQueryData<Work>(
      keys.my.ticket(work.id),
      (w) => w && { ...w, state: 'UnderWay', questions: w.questions.map((q) => (q.id === next.id ? next : q)) },
    );
  // Where the quiz is all there is, it is opened here, and there is no text to look in.
  const withText = work.kind !== 'Quiz';
  useEffect(() => {
    if (!withText && work.state === 'Waiting') void sendOpened(work.id);
  }, [withText, work.id, work.state]);
  const left = work.questions.filter((q) => !tried(q, kept)).length;
  return (
    <ReaderSide>
      <ReaderBar>
        <ToMyReading unfinished />
        <PageTitle>{work.title}</PageTitle>
        <KeptNote />
        <PapersLink ticketId={work.id} />
        <span className="grow" />
        <b>{name}</b>
      </ReaderBar>
      <Water peeking={peek}>
        <LeadLine
          label={t('Questions')}
          title={t('Question {{n}} of {{of}}', { n: at + 1, of: work.questions.length })}
          here={at}
          go={go}
          knots={work.questions.map((q, i) => ({
            name: `${t('Question {{n}}', { n: i + 1 })}${tried(q, kept) ? `, ${t('answered')}` : ''}`,
            done: tried(q, kept),
          }))}
        />
        <Asked
          key={question.id}
          takesFocus={moved}
          work={work}
          q={question}
          before={work.questions[at - 1]}
          kept={kept.get(question.id)}
          said={(next) => next && patch(next)}
        />
        {withText && <TextSheet work={work} open={peek} toggle={() => setPeek(!peek)} />}
      </Water>
      <ReaderFoot>
        {at > 0 && (
          <Button size="reader" onClick={() => go(at - 1)}>
            <CaretLeft size={24} aria-hidden />
            {t('Back')}
          </Button>
        )}
        {at === 0 && withText && (
          <Button asChild size="reader">
            <Link to={`/text/${work.id}`}>
              <CaretLeft size={24} aria-hidden />
              {t('To the text')}
            </Link>
          </Button>
        )}
        {error && <Say role="alert">{error}</Say>}
        {tried(question, kept) && at < work.questions.length - 1 && (
          <Button size="reader" onClick={() => go(at + 1)}>
            {t('Next question')}
            <CaretRight size={24} aria-hidden />
          </Button>
        )}
        {left === 0 ? (
          <Button look="main" size="reader" disabled={busy} onClick={() => void handIn()}>
            {t('Hand in')}
          </Button>
        ) : (
          <span className="text-soft">{t('{{n}} to answer', { n: left })}</span>
        )}
      </ReaderFoot>
    </ReaderSide>
  );
}

/** The text beside the question, one tap away. */
function TextSheet({ work, open: peek, toggle }: { work: Work; open: boolean; toggle: () => void }) {
  return (
    <aside className={textSheet({ open: peek })} aria-label={t('The text')}>
      <button className={sheetPull} aria-expanded={peek} onClick={toggle}>
        <BookOpen size={24} aria-hidden />
        <span>{peek ? t('Close the text') : t('Look in the text')}</span>
      </button>
      <div
        className={letters(work.depth) === 'serif' ? 'font-serif' : undefined}
        tabIndex={peek ? 0 : -1}
        aria-hidden={!peek}
        role="region"
        aria-label={t('The whole text')}
      >
        {work.pages.flat().map((p, i) => (
          <Block key={i} text={p} heading="h2" />
        ))}
      </div>
    </aside>
  );
}
