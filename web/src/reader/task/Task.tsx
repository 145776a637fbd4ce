import { useEffect } from 'react';
import { Link, useParams } from 'react-router';
import type { Session } from '../../shared/session';
import { listed } from '../../shared/format';
import { markSaid } from '../../shared/scores';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Row } from '../../ui/Page';
import { PageTitle } from '../../ui/PageTitle';
import { Directions, pageLook, ReaderBar, ReaderSide, Water, Written } from '../../ui/Reader';
import { Show } from '../../ui/Show';
import { CommentTalk } from '../feedback/CommentTalk';
import { DirectionsOf } from '../DirectionsOf';
import { KeptNote } from '../KeptNote';
import { handInWaits, sendOpened, useOutbox } from '../offline/outbox';
import { finished } from '../queries';
import { PapersLink } from '../papers/PapersLink';
import { RefusedNote } from '../RefusedNote';
import { useSupportsOf } from '../supports';
import { Talk } from '../talk/Talk';
import { ToMyReading } from '../ToMyReading';
import { useFeedbackTime } from '../useSpell';
import { LinkTask } from './LinkTask';
import { replyOf, usePartners, useTask, type Task as TaskData } from './useTask';
import { WordsTask } from './WordsTask';
import { WrittenTask } from './WrittenTask';

const ways = { Link: LinkTask, Written: WrittenTask, Words: WordsTask };
type Way = keyof typeof ways;

/** A task without a text: something to write, words to practise, a link to follow. */
export default function Task({ session }: { session: Session }) {
  const { ticketId = '' } = useParams();
  const task = useTask(ticketId);
  useSupportsOf(task.data?.supports);
  useOutbox();
  return (
    <Show query={task}>
      {(k) => (
        <ReaderSide footless>
          <ReaderBar>
            <ToMyReading unfinished={!finished(k)} />
            <PageTitle>{k.title}</PageTitle>
            <KeptNote />
            <PapersLink ticketId={k.id} />
            <span className="grow" />
            <b>{session.name}</b>
          </ReaderBar>
          <Water>{finished(k) ? <Finished task={k} /> : <Doing key={k.id} task={k} />}</Water>
        </ReaderSide>
      )}
    </Show>
  );
}

function Doing({ task }: { task: TaskData }) {
  useEffect(() => {
    if (task.state !== 'UnderWay') void sendOpened(task.id);
  }, [task.id, task.state]);
  const Do = ways[task.kind as Way];
  return (
    <article className={pageLook({ kind: 'door', letters: 'ui' })}>
      <RefusedNote />
      {task.comment && (
        <>
          <p>{t('Your teacher sent this back.')}</p>
          <Directions>{task.comment}</Directions>
        </>
      )}
      <DirectionsOf of={task} />
      <Do task={task} />
    </article>
  );
}

/** What the teacher says to it. */
function Said({ task }: { task: TaskData }) {
  useFeedbackTime(task.id);
  return <CommentTalk ticketId={task.id} answerId={null} comment={task.said} />;
}

/** What became of it. */
function Finished({ task }: { task: TaskData }) {
  const { words, practised } = replyOf(task);
  const { wroteIt } = usePartners(task);
  const atOnce = practised.filter((p) => p.known && p.tries === 1).length;
  return (
    <article className={pageLook({ kind: 'door', letters: 'ui' })}>
      <h2>{t('Handed in')}</h2>
      {handInWaits(task.id) && <p>{t('No internet. It is safe here, and handed in when the internet is back.')}</p>}
      {task.kind === 'Written' && (
        <>
          {task.state !== 'Released' && <p>{t('Your teacher is reading it. What they say appears here.')}</p>}
          {task.mark != null && (
            <p>
              <b>{markSaid(task.mark)}</b>
            </p>
          )}
          <Written>{words}</Written>
          {task.said && <Said task={task} />}
          {wroteIt.length > 0 && <p>{t('You handed this in with {{names}}.', { names: listed(wroteIt) })}</p>}
          {task.talk && !handInWaits(task.id) && <Talk ticketId={task.id} questionId={null} />}
        </>
      )}
      {task.kind === 'Words' && (
        <>
          <p>{t('{{n}} of {{of}} words right on the first try', { n: atOnce, of: task.words.length })}</p>
          <ul className="flex flex-wrap gap-x-4 gap-y-1">
            {practised
              .filter((p) => p.tries > 1)
              .map((p) => (
                <li key={p.word}>
                  <b>{task.words[p.word]?.text}</b> <span className="text-soft">{task.words[p.word]?.meaning}</span>
                </li>
              ))}
          </ul>
        </>
      )}
      <Row>
        <Button asChild look="main" size="reader">
          <Link to="/">{t('My reading')}</Link>
        </Button>
      </Row>
    </article>
  );
}
