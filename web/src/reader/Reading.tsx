import { cx } from 'class-variance-authority';
import { ArrowLeft, CaretLeft, CaretRight, NotePencil } from '@phosphor-icons/react';
import { Fragment, useEffect, useRef, useState, type PointerEvent } from 'react';
import { Link, Navigate, useNavigate, useParams, useSearchParams } from 'react-router';
import { aloudOf, plain } from '../shared/paragraphs';
import { t } from '../shared/words';
import { Between } from './Between';
import { LeadLine } from './LeadLine';
import { Listen } from './Listen';
import { RecordMine } from './RecordMine';
import { sendOpened } from './offline/outbox';
import { OtherVersions } from './OtherVersions';
import { PapersLink } from './papers/PapersLink';
import { Paragraph } from './Paragraph';
import { NotesSheet, type Marked } from './notes/NotesSheet';
import { placesOf } from './notes/sentences';
import { Sentences } from './notes/Sentences';
import { useNotes } from './notes/useNotes';
import { ListenButton } from './questions/Hear';
import { PageLook, usePageLook } from './PageLook';
import { finished, useWork, type Work } from './queries';
import { useSupportsOf } from './supports';
import { WordCard } from './words/WordCard';
import { useHandIn } from './useHandIn';
import { useSpell } from './useSpell';
import { TextDrawing } from '../shared/TextDrawing';
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
  useSupportsOf(work.data?.supports);
  return (
    <Show query={work}>
      {(w) => (w.kind === 'Quiz' ? <Navigate to={`/text/${w.id}/quiz`} replace /> : <Pages key={w.id} work={w} />)}
    </Show>
  );
}

/** The text, a page at a time, in the reader's own letters and page colour. */
function Pages({ work }: { work: Work }) {
  const navigate = useNavigate();
  const [asked] = useSearchParams();
  const look = asked.get('look');
  const [page, setPage] = useState(() => firstPage(work, asked));
  const pageOf = usePageLook(work.depth);
  const [word, setWord] = useState<Work['words'][number] | null>(null);
  const body = useRef<HTMLElement>(null);
  const notes = useNotes(work.id);
  const [writing, write] = useState(asked.has('note'));
  const [marked, mark] = useState<Marked | null>(null);
  const said = aloudOf(sure(work.pages[page]));
  const aloud = useReadAloud(said);
  useSpell(work.id, page, !finished(work));
  useEffect(() => {
    if (work.state === 'Waiting') void sendOpened(work.id);
  }, [work.id, work.state]);
  useEffect(() => {
    body.current?.focus({ preventScroll: true });
    scrollTo(0, 0);
  }, [page]);
  const before = work.pages.slice(0, page).flat().length;
  const last = page === work.pages.length - 1;
  const turn = (to: number) => {
    aloud.stop();
    setWord(null);
    mark(null);
    setPage(to);
  };
  const marks = placesOf(said, [
    ...notes.notes.filter((n) => n.page === page).map((n) => n.quote),
    ...(look ? [bareOf(look)] : []),
  ]);
  const toggleNotes = () => {
    aloud.stop();
    setWord(null);
    mark(null);
    write(!writing);
  };
  const { handIn, error } = useHandIn(work.id);
  const goOn = () => {
    if (finished(work)) return navigate(`/text/${work.id}/result`);
    return work.kind === 'Recording' ? handIn() : navigate(`/text/${work.id}/quiz`);
  };
  return (
    <ReaderSide>
      <ReaderBar>
        <WayOut work={work} look={look} />
        <PageTitle>{work.title}</PageTitle>
        <PapersLink ticketId={work.id} />
        <NotesButton on={writing} count={notes.notes.length} toggle={toggleNotes} />
        <PageLook of={pageOf} />
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
            pageLook({ kind: 'text', water: pageOf.tint, letters: pageOf.font }),
            pageOf.guide &&
              'bg-[linear-gradient(var(--color-depth-2),var(--color-depth-2))] bg-size-[100%_42px] ' +
                'bg-[position:0_calc(var(--guide,120px)-21px)] bg-no-repeat',
          )}
          aria-label={`${work.title}, ${t('page {{n}}', { n: page + 1 })}`}
          tabIndex={-1}
          ref={body}
          onPointerMove={pageOf.guide ? follow : undefined}
        >
          {page === 0 && <FirstPicture work={work} />}
          {writing && (
            <Sentences page={page} paragraphs={sure(work.pages[page])} of={notes} chosen={marked} choose={mark} />
          )}
          {(writing ? [] : sure(work.pages[page])).map((p, i) => (
            <Fragment key={i}>
              <Paragraph
                text={p}
                words={work.words}
                open={setWord}
                chosen={word?.text}
                spoken={aloud.word}
                marks={marks}
                offset={sure(work.pages[page])
                  .slice(0, i)
                  .reduce((n, x) => n + plain(x).length + 1, 0)}
              />
              <Between work={work} after={before + i + 1} last={before + i + 1 === work.pages.flat().length} />
            </Fragment>
          ))}
        </article>
        {word && <WordCard word={word} ticketId={work.id} close={() => setWord(null)} />}
        {writing && (
          <NotesSheet
            of={notes}
            chosen={marked}
            choose={mark}
            goTo={(to) => to !== page && turn(to)}
            close={() => write(false)}
          />
        )}
      </Water>
      <ReaderFoot>
        <Button size="reader" disabled={page === 0} onClick={() => turn(page - 1)}>
          <CaretLeft size={24} aria-hidden />
          {t('Back')}
        </Button>
        {work.aloud && !finished(work) && <RecordMine work={work} />}
        {work.sound && <Listen src={`/api/my/tickets/${work.id}/sound`} />}
        {aloud.can && !work.sound && <Aloud aloud={aloud} />}
        {work.mayChange && page === 0 && <OtherVersions work={work} />}
        {error && <Say role="alert">{error}</Say>}
        <GoOn work={work} last={last} next={() => turn(page + 1)} done={() => void goOn()} />
      </ReaderFoot>
    </ReaderSide>
  );
}

/** The voice, and while it reads how fast. */
const Aloud = ({ aloud }: { aloud: ReturnType<typeof useReadAloud> }) => (
  <>
    <ListenButton aloud={aloud} />
    {aloud.on && (
      <>
        <Button size="reader" onClick={() => aloud.faster(-0.1)}>
          {t('Slower')}
        </Button>
        <Button size="reader" onClick={() => aloud.faster(0.1)}>
          {t('Faster')}
        </Button>
      </>
    )}
  </>
);

/** The picture that stands for the text, above its first page. */
const FirstPicture = ({ work }: { work: Work }) =>
  work.picture && (
    <TextDrawing
      textId={work.textId}
      shows={work.picture}
      className="border-ink mb-5 block aspect-[5/2] w-full rounded-md border object-cover object-[50%_70%]"
    />
  );

/** Opens and closes the notes. */
const NotesButton = ({ on, count, toggle }: { on: boolean; count: number; toggle: () => void }) => (
  <Button size="reader" className="ml-auto" aria-pressed={on} onClick={toggle}>
    <NotePencil size={24} aria-hidden />
    {count > 0 ? t('Notes, {{n}}', { n: count }) : t('Notes')}
  </Button>
);

/** The next page; after the last the questions, or what else comes of it. */
function GoOn({ work, last, next, done }: { work: Work; last: boolean; next: () => void; done: () => void }) {
  const ends = () => {
    if (finished(work)) return t('See result');
    return work.kind === 'Recording' ? t('Hand in') : t('Go to questions');
  };
  return (
    <Button look="main" size="reader" onClick={last ? done : next}>
      {last ? ends() : t('Next page')}
      <CaretRight size={24} aria-hidden />
    </Button>
  );
}

/** Out of the text: to one's own page, or back to the result that led here. */
function WayOut({ work, look }: { work: Work; look: string | null }) {
  if (!look) return <ToMyReading />;
  return (
    <Button asChild look="plain" size="reader">
      <Link to={`/text/${work.id}/result`}>
        <ArrowLeft size={24} aria-hidden />
        {t('Back to result')}
      </Link>
    </Button>
  );
}

/** A sentence of the text without the marks of speech around it. */
const bareOf = (sentence: string) => sentence.replace(/^["“]|["”]$/g, '');

/** The page somebody was sent to, else the one they had come to. */
function firstPage(work: Work, asked: URLSearchParams) {
  const wanted = Number(asked.get('page') ?? 0) - 1;
  const there = Number.isInteger(wanted) && wanted >= 0;
  return Math.min(there ? wanted : work.page, work.pages.length - 1);
}

/** The line guide follows the pointer; its place is a style, so that moving it draws nothing anew. */
function follow(e: PointerEvent<HTMLElement>) {
  const box = e.currentTarget.getBoundingClientRect();
  e.currentTarget.style.setProperty('--guide', `${e.clientY - box.top}px`);
}
