import { cx } from 'class-variance-authority';
import { CaretLeft, CaretRight, DropHalf, Rows, TextAa, X } from '@phosphor-icons/react';
import { Fragment, useEffect, useRef, useState, type PointerEvent } from 'react';
import { Navigate, useNavigate, useParams } from 'react-router';
import { plain } from '../shared/paragraphs';
import { t } from '../shared/words';
import { Between } from './Between';
import { LeadLine } from './LeadLine';
import { Listen } from './Listen';
import { RecordMine } from './RecordMine';
import { sendOpened } from './offline/outbox';
import { OtherVersions } from './OtherVersions';
import { PapersLink } from './papers/PapersLink';
import { Paragraph } from './Paragraph';
import { ListenButton } from './questions/Hear';
import { finished, letters, useWork, type Work } from './queries';
import { useHandIn } from './useHandIn';
import { useSpell } from './useSpell';
import { useReadAloud } from './useReadAloud';
import { sure } from '../shared/sure';
import { Button } from '../ui/Button';
import { ReaderBar, ReaderFoot, ReaderSide, Say, Water, pageLook } from '../ui/Reader';
import { Show } from '../ui/Show';
import { ToMyReading } from './ToMyReading';
import { PageTitle } from '../ui/PageTitle';

export default function Reading() {
  const { ticketId = '' } = useParams();
  const work = useWork(ticketId);
  return (
    <Show query={work}>
      {(w) => (w.kind === 'Quiz' ? <Navigate to={`/text/${w.id}/quiz`} replace /> : <Pages key={w.id} work={w} />)}
    </Show>
  );
}

const tints = ['paper', 'sea', 'sand', 'plain'] as const;
type Tint = (typeof tints)[number];

/** The text, a page at a time, in the reader's own letters and page colour. */
function Pages({ work }: { work: Work }) {
  const navigate = useNavigate();
  const [page, setPage] = useState(Math.min(work.page, work.pages.length - 1));
  const [font, setFont] = useState<'first' | 'serif'>(
    () => (localStorage.getItem('dc-letters') as 'first' | 'serif' | null) ?? letters(work.depth),
  );
  const [tint, setTint] = useState<Tint>(() => (localStorage.getItem('dc-page') as Tint | null) ?? 'paper');
  const [guide, setGuide] = useState(false);
  const [word, setWord] = useState<Work['words'][number] | null>(null);
  const body = useRef<HTMLElement>(null);
  const aloud = useReadAloud(sure(work.pages[page]).map(plain).join(' '));
  useSpell(work.id, page, !finished(work));
  useEffect(() => {
    if (work.state === 'Waiting') void sendOpened(work.id);
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
  const { handIn, error } = useHandIn(work.id);
  const goOn = () => {
    if (finished(work)) return navigate(`/text/${work.id}/result`);
    return work.kind === 'Recording' ? handIn() : navigate(`/text/${work.id}/quiz`);
  };
  return (
    <ReaderSide>
      <ReaderBar>
        <ToMyReading />
        <PageTitle>{work.title}</PageTitle>
        <PapersLink ticketId={work.id} />
        <Settings font={font} setFont={setFont} tint={tint} setTint={setTint} guide={guide} setGuide={setGuide} />
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
        {word && <WordCard word={word} close={() => setWord(null)} />}
      </Water>
      <ReaderFoot>
        <Button size="reader" disabled={page === 0} onClick={() => turn(page - 1)}>
          <CaretLeft size={24} aria-hidden />
          {t('Back')}
        </Button>
        {work.aloud && !finished(work) && <RecordMine work={work} />}
        {work.sound && <Listen src={`/api/my/tickets/${work.id}/sound`} />}
        {aloud.can && !work.sound && <ListenButton aloud={aloud} />}
        {work.mayChange && page === 0 && <OtherVersions work={work} />}
        {error && <Say role="alert">{error}</Say>}
        {last ? (
          <Button look="main" size="reader" onClick={() => void goOn()}>
            {finished(work) && t('See result')}
            {!finished(work) && (work.kind === 'Recording' ? t('Hand in') : t('Go to questions'))}
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

/** The line guide follows the pointer; its place is a style, so that moving it draws nothing anew. */
function follow(e: PointerEvent<HTMLElement>) {
  const box = e.currentTarget.getBoundingClientRect();
  e.currentTarget.style.setProperty('--guide', `${e.clientY - box.top}px`);
}

/** What a tapped word means, with a sentence that has it. */
function WordCard({ word, close }: { word: Work['words'][number]; close: () => void }) {
  return (
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
        onClick={close}
      >
        <X size={24} aria-hidden />
      </button>
      <p>{word.meaning}</p>
      <p className="border-line mt-2 mb-3 border-t pt-2">{word.example}</p>
    </aside>
  );
}

/** How the reader wants the page: its letters, its colour, a guide along the lines. */
function Settings({
  font,
  setFont,
  tint,
  setTint,
  guide,
  setGuide,
}: {
  font: string;
  setFont: (font: 'first' | 'serif') => void;
  tint: Tint;
  setTint: (tint: Tint) => void;
  guide: boolean;
  setGuide: (on: boolean) => void;
}) {
  return (
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
  );
}
