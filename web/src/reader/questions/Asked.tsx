import { useEffect, useRef, useState } from 'react';
import { t } from '../../shared/words';
import { send } from '../offline/outbox';
import { letters, type Work } from '../queries';
import { useSupports } from '../supports';
import { Talk } from '../talk/Talk';
import { emptyDraft, draftKey, ready, type Draft, type Question } from './draft';
import { Hear } from './Hear';
import { isWritten, ways } from './kinds';
import { Picking } from './Picking';
import { Write } from './Write';
import { sure } from '../../shared/sure';
import { Button } from '../../ui/Button';
import { Row } from '../../ui/Page';
import { Say, pageLook } from '../../ui/Reader';
import { refusal } from '../refusal';

/** What was answered and is not yet sent, with the question it answers. */
type KeptAnswer = { picks: number[]; words: string };
type Props = {
  work: Work;
  q: Question;
  kept: KeptAnswer | undefined;
  said: (next: Question | null) => void;
  before?: Question;
  /** It stands between two paragraphs, and not on a page of its own. */
  aside?: boolean;
  /** It was gone to from another question. */
  takesFocus?: boolean;
};

/** One question, whatever its kind: what is asked, a way to answer, and what is said to the answer. */
export function Asked({ work, q, kept, said, before, aside = false, takesFocus = false }: Props) {
  const one = useSupports().oneChoice;
  const [draft, setDraft] = useState<Draft>(() => emptyDraft(work.id, q));
  const [error, setError] = useState('');
  const [sending, setSending] = useState(false);
  const [opened] = useState(() => performance.now());
  const seen = useRef(opened);
  const lastTry = q.attempts.at(-1);
  const open = q.mayTry && !kept;
  const heading = `q-${q.id}`;
  const asked = useRef<HTMLHeadingElement>(null);
  // A question that was gone to is read out, and the next key is pressed in it.
  useEffect(() => {
    if (takesFocus) asked.current?.focus();
  }, [takesFocus]);

  const answer = async () => {
    if (sending || !ready(q, draft)) return;
    setSending(true);
    setError('');
    const id = crypto.randomUUID();
    try {
      const next = await send({
        id,
        about: work.id,
        kind: 'answer',
        params: { path: { ticketId: work.id, answerId: id } },
        body: {
          questionId: q.id,
          picks: draft.picks,
          words: draft.words,
          at: new Date().toISOString(),
          milliseconds: Math.round(performance.now() - seen.current),
        },
      });
      // Sent or in the outbox: what was written does not stay on a shared device.
      localStorage.removeItem(draftKey(work.id, q));
      said(next);
      seen.current = performance.now();
      setDraft({ picks: [], words: '' });
    } catch (e) {
      setError(refusal(e));
    } finally {
      setSending(false);
    }
  };
  const after = isWritten(q)
    ? t('Your teacher will read it.')
    : t('You can try {{count}} times.', { count: work.attempts - q.attempts.length });
  // A try that waits to be sent is what stands chosen, and not the one before it.
  const shared = { q: kept ? { ...q, attempts: [] } : q, draft: kept ?? draft, setDraft, open, heading };
  const saved = kept ? t('Your answer is saved.') : ' ';
  return (
    <form
      className={pageLook({
        kind: aside ? 'aside' : 'question',
        water: aside ? 'aside' : 'paper',
        letters: letters(work.depth) === 'serif' ? 'serif' : 'first',
      })}
      aria-labelledby={heading}
      onSubmit={(e) => {
        e.preventDefault();
        void answer();
      }}
    >
      {q.evidence && before && <Before q={before} />}
      <h2 id={heading} ref={asked} tabIndex={-1} className="outline-none">
        {q.stem}
      </h2>
      <p className="text-soft">{open ? `${ways[q.kind].hint(q)} ${after}` : saved}</p>
      <Hear q={q} />
      <Picking {...shared} oneAtATime={one} text={work.sentences} />
      {isWritten(q) && <Write {...shared} ticketId={work.id} />}
      <div className="font-ui text-reader mt-3 min-h-2" role="status">
        {lastTry && !kept && <Feedback q={q} open={open} />}
      </div>
      {work.talk && isWritten(q) && q.attempts.length > 0 && <Talk ticketId={work.id} questionId={q.id} />}
      {error && <Say role="alert">{error}</Say>}
      {open && (
        <Row end>
          <Button look="main" size="reader" type="submit" disabled={!ready(q, draft) || sending}>
            {t('Check answer')}
          </Button>
        </Row>
      )}
    </form>
  );
}

/** The question whose proof is asked for, and what was answered to it. */
function Before({ q }: { q: Question }) {
  const last = q.attempts.at(-1);
  const things = q.rights.length ? q.rights : q.choices;
  const answer = last && (last.words || last.picks.map((p) => things[p]).join('; '));
  return (
    <p className="border-ink bg-sand font-ui text-reader mb-3.5 border-l-4 border-double px-3.5 py-2">
      {t('You were asked:')} {q.stem}
      {answer && (
        <>
          {' '}
          {t('You said:')} <b>{answer}</b>
        </>
      )}
    </p>
  );
}

function Feedback({ q, open }: { q: Question; open: boolean }) {
  const last = sure(q.attempts.at(-1));
  if (last.correct == null)
    return (
      <p>
        <b>{t('Your answer is saved. Your teacher will read it.')}</b>
      </p>
    );
  const notRight = open ? t('✗ Not yet. Look again.') : t('✗ Not this time.');
  const parts = !last.correct && last.of > 1 ? t('{{n}} of {{of}} are right.', { n: last.fitting, of: last.of }) : '';
  return (
    <p>
      <b>{last.correct ? t('✓ Right.') : notRight}</b> {parts} {last.reason}
    </p>
  );
}
