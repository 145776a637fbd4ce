import { ArrowLeft, BookOpen, CaretLeft, CaretRight, Eye, EyeSlash } from '@phosphor-icons/react';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { Link, Navigate, useNavigate, useParams } from 'react-router';
import { post, sentence, type Api } from '../shared/api';
import { Show } from '../shared/Whole';
import { useSession, type Session } from '../shared/session';
import { t } from '../shared/words';
import { KeptNote } from './KeptNote';
import { LeadLine } from './LeadLine';
import { flush, send, useOutbox, waitingFor } from './outbox';
import { letters, useWork, type Work } from './queries';

type Question = Work['questions'][number];

export default function Quiz({ session }: { session: Session }) {
  const { ticketId = '' } = useParams();
  const work = useWork(ticketId);
  return <Show query={work}>{(w) => (w.state === 'released' ? <Navigate to={`/text/${w.id}/result`} replace /> : <Questions key={w.id} work={w} name={session.name} />)}</Show>;
}

/** What each question has had: from the server, or kept on this device and not yet sent. */
const tried = (q: Question, kept: Set<string>) => q.attempts.length > 0 || kept.has(q.id);

/** One question at a time, the text one tap away. */
function Questions({ work, name }: { work: Work; name: string }) {
  const outbox = useOutbox();
  const kept = new Set(waitingFor(work.id).map((k) => (k.body as { questionId: string }).questionId));
  const first = work.questions.findIndex((q) => !tried(q, kept));
  const [at, setAt] = useState(first < 0 ? work.questions.length - 1 : first);
  const [peek, setPeek] = useState(false);
  const [error, setError] = useState('');
  const [busy, setBusy] = useState(false);
  const client = useQueryClient();
  const navigate = useNavigate();
  const question = work.questions[at]!;
  useEffect(() => { if (work.state === 'waiting' || work.state === 'sent back') void post(`/my/tickets/${work.id}/open`).catch(() => undefined); }, [work.id, work.state]);

  const patch = (next: Question) => client.setQueryData<Work>(['my', 'ticket', work.id], (w) => w && { ...w, state: 'under way', questions: w.questions.map((q) => (q.id === next.id ? next : q)) });
  const left = work.questions.filter((q) => !tried(q, kept)).length;
  const handIn = async () => {
    setBusy(true);
    setError('');
    try {
      if (outbox.answers > 0 && !(await flush())) { setError(t('Your answers are kept on this device. Hand in when the network is back.')); return; }
      const result = await post<Api<'MyResult'>>(`/my/tickets/${work.id}/hand-in`);
      client.setQueryData(['my', 'result', work.id], result);
      await client.invalidateQueries({ queryKey: ['my', 'tickets'] });
      client.removeQueries({ queryKey: ['my', 'ticket', work.id] });
      await navigate(`/text/${work.id}/result`);
    } catch (e) { setError(sentence(e)); } finally { setBusy(false); }
  };
  return (
    <div className="readerside">
      <header className="bar"><Link className="rbtn plain" to="/"><ArrowLeft size={24} aria-hidden />{t('Stop for now')}</Link><h1>{work.title}</h1><KeptNote /><span className="grow" /><b>{name}</b></header>
      <main className={peek ? 'water peeking' : 'water'}>
        <LeadLine label={t('Questions')} title={t('Question {{n}} of {{of}}', { n: at + 1, of: work.questions.length })} here={at} go={setAt} knots={work.questions.map((q, i) => ({ name: `${t('Question {{n}}', { n: i + 1 })}${tried(q, kept) ? `, ${t('answered')}` : ''}`, done: tried(q, kept) }))} />
        <OneQuestion key={question.id} work={work} q={question} kept={kept.has(question.id)} said={(next) => next && patch(next)} />
        <aside className={peek ? 'peek open' : 'peek'} aria-label={t('The text')}>
          <button className="pull" aria-expanded={peek} onClick={() => setPeek(!peek)}><BookOpen size={24} aria-hidden /><span>{peek ? t('Close the text') : t('Look in the text')}</span></button>
          <div className={letters(work.depth) === 'serif' ? 'serif' : ''} tabIndex={peek ? 0 : -1} aria-hidden={!peek} role="region" aria-label={t('The whole text')}>{work.pages.flat().map((p, i) => p.startsWith('#') ? <h2 key={i}>{p.replace(/^#+\s*/, '')}</h2> : <p key={i}>{p.replace(/\*/g, '')}</p>)}</div>
        </aside>
      </main>
      <footer className="bar foot">
        {at > 0 ? <button className="rbtn" onClick={() => setAt(at - 1)}><CaretLeft size={24} aria-hidden />{t('Back')}</button> : <Link className="rbtn" to={`/text/${work.id}`}><CaretLeft size={24} aria-hidden />{t('To the text')}</Link>}
        {error && <p className="say" role="alert">{error}</p>}
        {tried(question, kept) && at < work.questions.length - 1 && <button className="rbtn" onClick={() => setAt(at + 1)}>{t('Next question')}<CaretRight size={24} aria-hidden /></button>}
        {left === 0 ? <button className="rbtn main" disabled={busy} onClick={() => void handIn()}>{t('Hand in')}</button> : <span className="soft">{t('{{n}} still to answer', { n: left })}</span>}
      </footer>
    </div>
  );
}

function OneQuestion({ work, q, kept, said }: { work: Work; q: Question; kept: boolean; said: (next: Question | null) => void }) {
  const [choice, setChoice] = useState<number | null>(null);
  const all = q.choices.map((_, i) => i);
  // Some readers look at one choice at a time: the others are covered until they are asked for.
  const one = useSession().data?.supports?.oneChoice ?? false;
  const [covered, setCovered] = useState<number[]>(one ? all.slice(1) : []);
  const [error, setError] = useState('');
  const [sending, setSending] = useState(false);
  const seen = useRef(performance.now());
  const lastTry = q.attempts.at(-1);
  const wrong = new Set(q.attempts.filter((a) => !a.correct).map((a) => a.choice));
  const open = q.mayTry && !kept;
  const tries = work.attempts - q.attempts.length;

  const answer = async () => {
    if (choice === null || sending) return;
    setSending(true);
    setError('');
    const id = crypto.randomUUID();
    try {
      const next = await send<Question>({ id, ticketId: work.id, kind: 'answer', path: `/my/tickets/${work.id}/answers/${id}`, body: { questionId: q.id, choice, at: new Date().toISOString(), milliseconds: Math.round(performance.now() - seen.current) } });
      said(next);
      seen.current = performance.now();
      setChoice(null);
    } catch (e) { setError(sentence(e)); } finally { setSending(false); }
  };
  return (
    <form className={`page question ${letters(work.depth) === 'serif' ? 'serif' : ''}`} aria-labelledby="q" onSubmit={(e) => { e.preventDefault(); void answer(); }}>
      <h2 id="q">{q.stem}</h2>
      <p className="hint">{open ? `${t('Choose one.')} ${t('You can try {{count}} times.', { count: tries })}` : kept ? t('Your answer is kept and will be sent.') : ' '}</p>
      <div className="choices" role="radiogroup" aria-labelledby="q">
        {q.choices.map((c, i) => {
          const hidden = covered.includes(i) && open, mine = choice === i || (!open && lastTry?.choice === i);
          return (
            <div key={c} className={['choice', mine && 'mine', hidden && 'covered'].filter(Boolean).join(' ')}>
              <label><input type="radio" name="choice" disabled={!open || hidden || wrong.has(i)} checked={mine} onChange={() => setChoice(i)} />{hidden ? t('Covered by you') : c}{wrong.has(i) ? <span className="yours">{t('not this')}</span> : mine && <span className="yours">{t('My choice')}</span>}</label>
              {open && <button type="button" className="cover" onClick={() => { setCovered(!hidden ? [...covered, i] : one ? all.filter((x) => x !== i) : covered.filter((x) => x !== i)); if (choice === i) setChoice(null); }} aria-label={`${hidden ? t('Show') : t('Cover')}: ${c}`}>{hidden ? <Eye size={24} aria-hidden /> : <EyeSlash size={24} aria-hidden />}{hidden ? t('Show') : t('Cover')}</button>}
            </div>
          );
        })}
      </div>
      <div className="feedback" role="status">{lastTry && <p><b>{lastTry.correct ? t('✓ Right.') : open ? t('✗ Not yet. Look again.') : t('✗ Not this time.')}</b> {lastTry.reason}</p>}</div>
      {error && <p className="say" role="alert">{error}</p>}
      {open && <p className="row end"><button className="rbtn main" disabled={choice === null || sending}>{t('This is my answer')}</button></p>}
    </form>
  );
}
