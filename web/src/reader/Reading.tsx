import { cx } from 'class-variance-authority';
import { CaretLeft, CaretRight, DropHalf, Pause, Play, Rows, TextAa, X } from '@phosphor-icons/react';
import { useQueryClient } from '@tanstack/react-query';
import { Fragment, useEffect, useRef, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { keys } from '../shared/keys';
import { Block, plain } from '../shared/paragraphs';
import { t } from '../shared/words';
import { LeadLine } from './LeadLine';
import { Listen } from './Listen';
import { RecordMine } from './RecordMine';
import { keptAnswers, send, useOutbox } from './offline/outbox';
import { finished, letters, useWork, type Work } from './queries';
import { Asked } from './questions/Asked';
import type { Question } from './questions/draft';
import { useSpell } from './useSpell';
import { useReadAloud } from './useReadAloud';
import { sure } from '../shared/sure';
import { Button } from '../ui/Button';
import { ReaderBar, ReaderFoot, ReaderSide, Water, pageLook } from '../ui/Reader';
import { Show } from '../ui/Show';
import { ToMyReading } from './ToMyReading';
import { PageTitle } from '../ui/PageTitle';

const spokenLook = '-mx-0.75 rounded-sm bg-ink px-0.75 py-1 text-paper';

export default function Reading() {
  const { ticketId = '' } = useParams();
  const work = useWork(ticketId);
  return <Show query={work}>{(w) => <Pages key={w.id} work={w} />}</Show>;
}

/** The server hears, now or later, that the text was opened. */
const opened = (ticketId: string) =>
  send({
    id: `${ticketId}-open`,
    about: ticketId,
    kind: 'open',
    params: { path: { ticketId }, query: { at: new Date().toISOString() } },
    body: undefined,
  }).catch(() => undefined);

const tints = ['paper', 'sea', 'sand', 'plain'] as const;

/** The text, a page at a time, in the reader's own letters and page colour. */
function Pages({ work }: { work: Work }) {
  const navigate = useNavigate();
  const [page, setPage] = useState(Math.min(work.page, work.pages.length - 1));
  const [font, setFont] = useState<'first' | 'serif'>(
    () => (localStorage.getItem('dc-letters') as 'first' | 'serif' | null) ?? letters(work.depth),
  );
  const [tint, setTint] = useState<(typeof tints)[number]>(
    () => (localStorage.getItem('dc-page') as (typeof tints)[number] | null) ?? 'paper',
  );
  const [guide, setGuide] = useState(false);
  const [word, setWord] = useState<Work['words'][number] | null>(null);
  const body = useRef<HTMLElement>(null);
  const aloud = useReadAloud(sure(work.pages[page]).map(plain).join(' '));
  useSpell(work.id, page, !finished(work));
  useEffect(() => {
    if (work.state === 'Waiting') void opened(work.id);
  }, [work.id, work.state]);
  useEffect(() => {
    body.current?.focus({ preventScroll: true });
    scrollTo(0, 0);
  }, [page]);
  const before = work.pages.slice(0, page).flat().length,
    paragraphs = work.pages.flat().length;
  const last = page === work.pages.length - 1;
  const turn = (to: number) => {
    aloud.stop();
    setWord(null);
    setPage(to);
  };
  const toQuiz = () => navigate(finished(work) ? `/text/${work.id}/result` : `/text/${work.id}/quiz`);
  return (
    <ReaderSide>
      <ReaderBar>
        <ToMyReading />
        <PageTitle>{work.title}</PageTitle>
        <div className="ml-auto flex gap-2 max-md:flex-wrap">
          <Button
            size="reader"
            onClick={() => {
              const next = font === 'first' ? 'serif' : 'first';
              setFont(next);
              localStorage.setItem('dc-letters', next);
            }}
          >
            <TextAa size={24} aria-hidden />
            {t('Font')}
          </Button>
          <Button
            size="reader"
            onClick={() => {
              const next = sure(tints[(tints.indexOf(tint) + 1) % tints.length]);
              setTint(next);
              localStorage.setItem('dc-page', next);
            }}
          >
            <DropHalf size={24} aria-hidden />
            {t('Page colour')}
          </Button>
          <Button size="reader" aria-pressed={guide} onClick={() => setGuide(!guide)}>
            <Rows size={24} aria-hidden />
            {t('Line guide')}
          </Button>
        </div>
      </ReaderBar>
      <Water>
        <LeadLine
          label={t('Pages')}
          title={t('Page {{n}} of {{of}}', { n: page + 1, of: work.pages.length })}
          here={page}
          go={turn}
          knots={work.pages.map((_, i) => ({ name: t('Page {{n}}', { n: i + 1 }), done: i < page }))}
        />
        <article
          className={cx(
            pageLook({ kind: 'text', water: tint, letters: font === 'serif' ? 'serif' : 'first' }),
            guide &&
              'bg-[linear-gradient(var(--color-depth-2),var(--color-depth-2))] bg-size-[100%_42px] ' +
                'bg-[position:0_calc(var(--guide,120px)-21px)] bg-no-repeat',
          )}
          aria-label={`${work.title}, ${t('page {{n}}', { n: page + 1 })}`}
          tabIndex={-1}
          ref={body}
          onPointerMove={guide ? follow : undefined}
        >
          {sure(work.pages[page]).map((p, i) => (
            <Fragment key={i}>
              <Paragraph
                text={p}
                words={work.words}
                open={setWord}
                chosen={word?.text}
                spoken={aloud.word}
                offset={sure(work.pages[page])
                  .slice(0, i)
                  .reduce((n, x) => n + plain(x).length + 1, 0)}
              />
              <Between work={work} after={before + i + 1} last={before + i + 1 === paragraphs} />
            </Fragment>
          ))}
        </article>
        {word && (
          <aside
            className={cx(
              'border-overlay bg-paper shadow-lift [&_p]:font-first [&_h2]:font-first z-3 w-72.5 rounded-md',
              'border-2 px-5 pt-3 pb-5 max-md:relative md:absolute md:top-30 md:left-240 [&_h2]:flex',
              '[&_h2]:items-center [&_h2]:gap-2 [&_h2]:text-2xl [&_h2]:leading-11',
            )}
            aria-label={t('The word {{word}}', { word: word.text })}
          >
            <h2>{word.text}</h2>
            <button
              className="hover:bg-tint absolute top-2 right-1.5 grid size-11 place-content-center rounded-md"
              aria-label={t('Close word card')}
              onClick={() => setWord(null)}
            >
              <X size={24} aria-hidden />
            </button>
            <p>{word.meaning}</p>
            <p className="border-line mt-2 mb-3 border-t pt-2">{word.example}</p>
          </aside>
        )}
      </Water>
      <ReaderFoot>
        <Button size="reader" disabled={page === 0} onClick={() => turn(page - 1)}>
          <CaretLeft size={24} aria-hidden />
          {t('Back')}
        </Button>
        {work.aloud && !finished(work) && <RecordMine work={work} />}
        {work.sound && <Listen src={`/api/my/tickets/${work.id}/sound`} />}
        {aloud.can && !work.sound && (
          <Button size="reader" onClick={aloud.toggle}>
            {aloud.on ? <Pause size={24} aria-hidden /> : <Play size={24} aria-hidden />}
            {aloud.on ? t('Stop listening') : t('Listen')}
          </Button>
        )}
        {last ? (
          <Button look="main" size="reader" onClick={() => void toQuiz()}>
            {finished(work) ? t('See result') : t('Go to questions')}
            <CaretRight size={24} aria-hidden />
          </Button>
        ) : (
          <Button look="main" size="reader" onClick={() => turn(page + 1)}>
            {t('Next page')}
            <CaretRight size={24} aria-hidden />
          </Button>
        )}
      </ReaderFoot>
    </ReaderSide>
  );
}

/** Questions on the way: they help while reading and count for nothing. */
function Between({ work, after, last }: { work: Work; after: number; last: boolean }) {
  const client = useQueryClient();
  useOutbox();
  const here = work.onTheWay.filter((q) => q.after === after || (last && (q.after ?? 0) > after));
  if (here.length === 0) return null;
  const kept = keptAnswers(work.id);
  const patch = (next: Question) =>
    client.setQueryData<Work>(
      keys.my.ticket(work.id),
      (w) => w && { ...w, onTheWay: w.onTheWay.map((q) => (q.id === next.id ? next : q)) },
    );
  return (
    <aside
      data-between
      className="[&>p]:font-ui [&>p]:text-reader [&>p]:text-soft -mx-3 my-6 [&>p]:mb-1.5 [&>p]:font-semibold"
      aria-label={t('A question on the way')}
    >
      <p>{t('Stop and think')}</p>
      {here.map((q, i) => (
        <Asked
          key={q.id}
          aside
          work={work}
          q={q}
          before={here[i - 1]}
          kept={kept.get(q.id)}
          said={(next) => next && patch(next)}
        />
      ))}
    </aside>
  );
}

/** The line guide follows the pointer; its place is a style, so that moving it draws nothing anew. */
function follow(e: React.PointerEvent<HTMLElement>) {
  const box = e.currentTarget.getBoundingClientRect();
  e.currentTarget.style.setProperty('--guide', `${e.clientY - box.top}px`);
}

interface Tapped {
  text: string;
  words: Work['words'];
  open: (w: Work['words'][number]) => void;
  chosen: string | undefined;
  spoken: number | null;
  offset: number;
}

/** A paragraph whose words to know can be tapped, and whose spoken word is marked. */
function Paragraph({ text, words, open, chosen, spoken, offset }: Tapped) {
  const known = (part: string) => words.find((w) => [w.text, `${w.text}s`, `${w.text}ed`].includes(part.toLowerCase()));
  const shown = (said: string, from: number) => {
    let at = offset + from;
    return said.split(/([\p{L}’'-]+)/u).map((part, i) => {
      const start = at;
      at += part.length;
      const found = known(part);
      const now = spoken !== null && spoken >= start && spoken < at && /\p{L}/u.test(part);
      if (!found)
        return now ? (
          <span key={i} className={spokenLook}>
            {part}
          </span>
        ) : (
          part
        );
      return (
        <button
          key={i}
          type="button"
          className={cx(
            'decoration-depth-5 min-h-0 py-0.5 underline decoration-dotted decoration-[2.5px] underline-offset-6',
            chosen === found.text && 'bg-tint text-overlay rounded-t-sm font-bold',
            now && spokenLook,
          )}
          aria-label={t('{{word}}: what does it mean?', { word: part })}
          onClick={() => open(found)}
        >
          {part}
        </button>
      );
    });
  };
  return <Block text={text} heading="h2" words={shown} />;
}
