import { ArrowLeft } from '@phosphor-icons/react';
import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import { api, ok, Problem } from '../shared/api';
import { markName, TideMarks } from '../shared/TideMarks';
import { Show } from '../shared/Whole';
import { keys } from '../shared/keys';
import { t } from '../shared/words';
import { getKept } from './offline/kept';
import { handInWaits, useOutbox } from './offline/outbox';
import { RefusedNote } from './RefusedNote';
import './questions/questions.css';

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
  return (
    <div className="readerhome">
      <header className="bar">
        <Link className="rbtn plain" to="/">
          <ArrowLeft size={24} aria-hidden />
          {t('My reading')}
        </Link>
        <h1>{result.data?.title ?? ''}</h1>
      </header>
      <RefusedNote />
      {waits ? (
        <main className="resultpage">
          <h2>{t('Your answers are safe')}</h2>
          <p>
            {t('There is no internet. Everything is kept on this device and is handed in when the internet is back.')}
          </p>
          <p className="row">
            <Link className="rbtn main" to="/">
              {t('My reading')}
            </Link>
          </p>
        </main>
      ) : result.error instanceof Problem && result.error.code === 'not-released' ? (
        <main className="resultpage">
          <h2>{t('Handed in')}</h2>
          <p>{t('Your teacher is reading what you wrote. You will see here how it went.')}</p>
          <p className="row">
            <Link className="rbtn" to={`/text/${ticketId}`}>
              {t('Read it again')}
            </Link>
            <Link className="rbtn main" to="/">
              {t('My reading')}
            </Link>
          </p>
        </main>
      ) : (
        <Show query={result}>
          {(r) => (
            <main className="resultpage">
              <h2>
                {t('{{right}} of {{n}} right at the first try', { right: r.right, n: r.questions })}{' '}
                <TideMarks of={r.lines.map((l) => l.mark)} />
              </h2>
              <ol>
                {r.lines.map((l) => (
                  <li key={l.stem}>
                    <h3>{l.stem}</h3>
                    <p className="tide">
                      <TideMarks of={[l.mark]} /> {markName(l.mark)}
                    </p>
                    {l.written && l.myAnswer && (
                      <>
                        <blockquote className="written">{l.myAnswer}</blockquote>
                        {l.points != null && (
                          <p>
                            <b>{t('{{n}} of 3', { n: l.points })}</b> {l.comment}
                          </p>
                        )}
                      </>
                    )}
                    {!l.written && l.myAnswer && (
                      <p>
                        <b>
                          {l.myAnswer === l.rightAnswer || l.mark === 'RightAtOnce' || l.mark === 'AfterAnotherTry'
                            ? '✓'
                            : '✗'}
                        </b>{' '}
                        {t('You said:')} {l.myAnswer}
                      </p>
                    )}
                    {!l.written && l.rightAnswer && l.mark === 'NotYet' && (
                      <p>
                        <b>✓</b> {t('It was:')} {l.rightAnswer}
                      </p>
                    )}
                    {l.reason && <p className="soft">{l.reason}</p>}
                    {l.proof && (
                      <p className="proof">
                        {t('In the text:')} “{l.proof.replace(/^["“]|["”]$/g, '')}”
                      </p>
                    )}
                  </li>
                ))}
              </ol>
              <p className="row">
                <Link className="rbtn" to={`/text/${r.id}`}>
                  {t('Read it again')}
                </Link>
                <Link className="rbtn main" to="/">
                  {t('My reading')}
                </Link>
              </p>
            </main>
          )}
        </Show>
      )}
    </div>
  );
}
