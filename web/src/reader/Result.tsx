import { useQuery } from '@tanstack/react-query';
import { cx } from 'class-variance-authority';
import { useState, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { type Api, api, ok, Problem } from '../shared/api';
import { keys } from '../shared/keys';
import { markSaid } from '../shared/scores';
import { t } from '../shared/words';
import { Button } from '../ui/Button';
import { Row } from '../ui/Page';
import { PageTitle } from '../ui/PageTitle';
import { ReaderBar, ReaderPage, Written } from '../ui/Reader';
import { Show } from '../ui/Show';
import { markName, TideMarks } from '../ui/TideMarks';
import { CommentTalk } from './feedback/CommentTalk';
import { getKept } from './offline/kept';
import { handInWaits, useOutbox } from './offline/outbox';
import { RateText } from './ratings/RateText';
import { RefusedNote } from './RefusedNote';
import { Talk } from './talk/Talk';
import { ToMyReading } from './ToMyReading';
import { useFeedbackTime } from './useSpell';

type MyResult = Api<'MyResult'>;
type ResultLine = MyResult['lines'][number];

/** How it went: one thing worth looking at first, then what was missed; the rest is folded. */
export default function Result() {
  const { ticketId = '' } = useParams();
  useOutbox();
  const waits = handInWaits(ticketId);
  const result = useQuery({
    queryKey: keys.my.result(ticketId),
    queryFn: () =>
      getKept(`/my/tickets/${ticketId}/result`, () =>
        ok(api.GET('/my/tickets/{ticketId}/result', { params: { path: { ticketId } } })),
      ),
    retry: false,
    enabled: !waits,
  });
  const unread = result.error instanceof Problem && result.error.code === 'not-released';
  return (
    <ReaderPage>
      <ReaderBar>
        <ToMyReading />
        <PageTitle>{result.data?.title ?? ''}</PageTitle>
      </ReaderBar>
      <RefusedNote />
      {waits && (
        <Main>
          <h2>{t('Your answers are safe')}</h2>
          <p>{t('No internet. Your answers are safe here. They are handed in when the internet is back.')}</p>
          <Onwards />
        </Main>
      )}
      {!waits && unread && (
        <Main>
          <h2>{t('Handed in')}</h2>
          <p>{t('Your teacher is reading your answers. Your result will appear here.')}</p>
          <Onwards again={ticketId} />
        </Main>
      )}
      {!waits && !unread && <Show query={result}>{(r) => <Released r={r} />}</Show>}
    </ReaderPage>
  );
}

const Main = ({ children }: { children: ReactNode }) => (
  <main
    className={cx(
      '[&_h3]:font-ui mx-auto grid max-w-205 gap-4 px-6 pt-8 pb-12 [&_h2]:text-[26px] [&_h2]:leading-9',
      '[&_h3]:text-[19px] [&_h3]:leading-7',
    )}
  >
    {children}
  </main>
);

/** Where to go from here. */
const Onwards = ({ again }: { again?: string }) => (
  <Row>
    {again !== undefined && (
      <Button asChild size="reader">
        <Link to={`/text/${again}`}>{t('Read again')}</Link>
      </Button>
    )}
    <Button asChild look="main" size="reader">
      <Link to="/">{t('My reading')}</Link>
    </Button>
  </Row>
);

const card = 'border-soft bg-paper rounded-lg border px-6 py-4';

function Released({ r }: { r: MyResult }) {
  useFeedbackTime(r.id);
  const open = r.lines.filter((l) => l.mark !== 'RightAtOnce');
  const right = r.lines.filter((l) => l.mark === 'RightAtOnce' && !l.written);
  const marked = r.lines.filter((l) => l.mark === 'RightAtOnce' && l.written);
  return (
    <Main>
      {r.questions > 0 ? (
        <Lead r={r} />
      ) : (
        <>
          <h2>{t('Handed in')}</h2>
          <p>{t('Your teacher can listen to it now.')}</p>
        </>
      )}
      {open.length + marked.length > 0 && (
        <ol className="grid gap-3.5">
          {[...open, ...marked].map((l) => (
            <Line key={l.stem} l={l} ticketId={r.id} quiz={r.kind === 'Quiz'} talk={r.talk} />
          ))}
        </ol>
      )}
      {right.length > 0 && (
        <details className={cx(card, 'py-1!')}>
          <summary className="min-h-11 cursor-pointer content-center font-semibold">
            {t('{{count}} questions right at once', { count: right.length })}
          </summary>
          <ul className="grid gap-1.5 pt-1.5">
            {right.map((l) => (
              <li key={l.stem}>
                {l.stem} <b>{l.myAnswer}</b>
              </li>
            ))}
          </ul>
        </details>
      )}
      {r.textId && <RateText textId={r.textId} title={r.title} />}
      <Onwards {...(r.kind !== 'Quiz' && { again: r.id })} />
    </Main>
  );
}

/** One sentence that is worth looking at, and the way there. */
function Lead({ r }: { r: MyResult }) {
  const look = r.kind === 'Quiz' ? undefined : r.lines.find((l) => l.mark === 'NotYet' && l.page !== null);
  const missed = r.lines.filter((l) => l.mark === 'NotYet').length;
  const tides = <TideMarks of={r.lines.map((l) => l.mark)} />;
  if (look && look.page !== null && look.page !== undefined)
    return (
      <>
        <h2>{t('Read page {{n}} once more: one answer is there.', { n: look.page + 1 })}</h2>
        <p className="flex flex-wrap items-center gap-3">
          {t('{{right}} of {{n}} right on the first try', { right: r.right, n: r.questions })} {tides}
        </p>
        <Row>
          <ToPlace l={look} ticketId={r.id} />
        </Row>
      </>
    );
  return (
    <>
      <h2>
        {r.right === r.questions && t('You got all {{n}} right at once.', { n: r.questions })}
        {r.right < r.questions && missed === 0 && t('You found every answer in the end.')}
        {missed > 0 && t('{{right}} of {{n}} right on the first try', { right: r.right, n: r.questions })}
      </h2>
      <p className="flex flex-wrap items-center gap-3">
        {missed === 0 &&
          r.right < r.questions &&
          t('{{right}} of {{n}} right on the first try', { right: r.right, n: r.questions })}{' '}
        {tides}
      </p>
    </>
  );
}

/** From a question to its place in the text; from there a button leads back. */
const ToPlace = ({ l, ticketId }: { l: ResultLine; ticketId: string }) => (
  <Button asChild size="reader">
    <Link to={`/text/${ticketId}?page=${(l.page ?? 0) + 1}&look=${encodeURIComponent(l.proof ?? '')}`}>
      {t('Show in the text, page {{n}}', { n: (l.page ?? 0) + 1 })}
    </Link>
  </Button>
);

const bare = (said: string | null) => (said ?? '').replace(/["“”\s]/g, '');

/** One question: what was answered, what is right and why, and where it stands in the text. */
function Line({ l, ticketId, quiz, talk }: { l: ResultLine; ticketId: string; quiz: boolean; talk: boolean }) {
  const [all, showAll] = useState(false);
  const reason = l.reason && (l.shown.reason || all);
  // Who had to find the sentence has it before them.
  const found = bare(l.proof) === bare(l.rightAnswer) || bare(l.proof) === bare(l.myAnswer);
  const proof = l.proof && !found && (l.shown.proof || all);
  const hidden = (l.reason && !reason) || (l.proof && !found && !proof);
  return (
    <li className={card}>
      <h3>{l.stem}</h3>
      <p className="text-soft">
        <TideMarks of={[l.mark]} /> {markName(l.mark)}
      </p>
      {l.written && l.myAnswer && (
        <>
          <Written>{l.myAnswer}</Written>
          {l.points != null && (
            <p>
              <b>{markSaid(l.points)}</b>
            </p>
          )}
          {l.comment && l.answerId && <CommentTalk ticketId={ticketId} answerId={l.answerId} comment={l.comment} />}
        </>
      )}
      {l.written && l.myAnswer && talk && <Talk ticketId={ticketId} questionId={l.questionId} />}
      {!l.written && l.myAnswer && (
        <p>
          <b>{l.myAnswer === l.rightAnswer || l.mark === 'AfterAnotherTry' ? '✓' : '✗'}</b> {t('You said:')}{' '}
          {l.myAnswer}
        </p>
      )}
      {!l.written && l.rightAnswer && l.mark === 'NotYet' && (
        <p>
          <b>✓</b> {t('It was:')} {l.rightAnswer}
        </p>
      )}
      {reason && <p className="text-soft">{l.reason}</p>}
      {proof && (
        <p className="border-depth-5 mt-1 border-l-3 pl-3 font-serif">
          {t('In the text:')} “{(l.proof ?? '').replace(/^["“]|["”]$/g, '')}”
        </p>
      )}
      <Row>
        {hidden && (
          <Button size="reader" look="plain" onClick={() => showAll(true)}>
            {t('Why?')}
          </Button>
        )}
        {!quiz && l.page !== null && l.mark === 'NotYet' && <ToPlace l={l} ticketId={ticketId} />}
      </Row>
    </li>
  );
}
