import { cx } from 'class-variance-authority';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { type Api, api, ok, Problem } from '../shared/api';
import { markName, TideMarks } from '../ui/TideMarks';
import { keys } from '../shared/keys';
import { t } from '../shared/words';
import { getKept } from './offline/kept';
import { handInWaits, useOutbox } from './offline/outbox';
import { RefusedNote } from './RefusedNote';
import { Button } from '../ui/Button';
import { Row } from '../ui/Page';
import { ReaderBar, ReaderPage, Written } from '../ui/Reader';
import { Show } from '../ui/Show';
import { ToMyReading } from './ToMyReading';
import { PageTitle } from '../ui/PageTitle';

/** How it went: each question with a short reason and the place in the text. */
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
          <Row>
            <Button asChild look="main" size="reader">
              <Link to="/">{t('My reading')}</Link>
            </Button>
          </Row>
        </Main>
      )}
      {!waits && unread && (
        <Main>
          <h2>{t('Handed in')}</h2>
          <p>{t('Your teacher is reading your answers. Your result will appear here.')}</p>
          <Row>
            <Button asChild size="reader">
              <Link to={`/text/${ticketId}`}>{t('Read again')}</Link>
            </Button>
            <Button asChild look="main" size="reader">
              <Link to="/">{t('My reading')}</Link>
            </Button>
          </Row>
        </Main>
      )}
      {!waits && !unread && (
        <Show query={result}>
          {(r) => (
            <Main>
              {r.questions > 0 ? (
                <h2>
                  {t('{{right}} of {{n}} right on the first try', { right: r.right, n: r.questions })}{' '}
                  <TideMarks of={r.lines.map((l) => l.mark)} />
                </h2>
              ) : (
                <>
                  <h2>{t('Handed in')}</h2>
                  <p>{t('Your teacher can listen to it now.')}</p>
                </>
              )}
              <ol>
                {r.lines.map((l) => (
                  <Line key={l.stem} l={l} />
                ))}
              </ol>
              <Row>
                {r.kind !== 'Quiz' && (
                  <Button asChild size="reader">
                    <Link to={`/text/${r.id}`}>{t('Read again')}</Link>
                  </Button>
                )}
                <Button asChild look="main" size="reader">
                  <Link to="/">{t('My reading')}</Link>
                </Button>
              </Row>
            </Main>
          )}
        </Show>
      )}
    </ReaderPage>
  );
}

const Main = ({ children }: { children: ReactNode }) => (
  <main
    className={cx(
      '[&>ol>li]:border-soft [&>ol>li]:bg-paper [&_h3]:font-ui mx-auto max-w-205 px-6 pt-8 pb-12',
      '[&_h2]:text-[26px] [&_h2]:leading-9 [&_h3]:text-[19px] [&_h3]:leading-7 [&>ol]:mt-5',
      '[&>ol]:mb-7 [&>ol]:grid [&>ol]:gap-3.5 [&>ol>li]:rounded-lg [&>ol>li]:border [&>ol>li]:px-6',
      '[&>ol>li]:py-4',
    )}
  >
    {children}
  </main>
);

/** One question: what was answered, what is right and why, and where it stands in the text. */
function Line({ l }: { l: Api<'MyResult'>['lines'][number] }) {
  return (
    <li>
      <h3>{l.stem}</h3>
      <p className="text-soft">
        <TideMarks of={[l.mark]} /> {markName(l.mark)}
      </p>
      {l.written && l.myAnswer && (
        <>
          <Written>{l.myAnswer}</Written>
          {l.points != null && (
            <p>
              <b>{t('{{n}} of 3', { n: l.points })}</b> {l.comment}
            </p>
          )}
        </>
      )}
      {!l.written && l.myAnswer && (
        <p>
          <b>{l.myAnswer === l.rightAnswer || l.mark === 'RightAtOnce' || l.mark === 'AfterAnotherTry' ? '✓' : '✗'}</b>{' '}
          {t('You said:')} {l.myAnswer}
        </p>
      )}
      {!l.written && l.rightAnswer && l.mark === 'NotYet' && (
        <p>
          <b>✓</b> {t('It was:')} {l.rightAnswer}
        </p>
      )}
      {l.reason && <p className="text-soft">{l.reason}</p>}
      {l.proof && (
        <p className="border-depth-5 mt-1 border-l-3 pl-3 font-serif">
          {t('In the text:')} “{l.proof.replace(/^["“]|["”]$/g, '')}”
        </p>
      )}
    </li>
  );
}
