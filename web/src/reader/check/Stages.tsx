import { cx } from 'class-variance-authority';
import { BookOpen, CaretLeft, CaretRight } from '@phosphor-icons/react';
import { Fragment, useEffect, useState } from 'react';
import { Block } from '../../shared/paragraphs';
import { t } from '../../shared/words';
import { LeadLine } from '../LeadLine';
import { letters } from '../queries';
import { ready, type Draft, type Shown } from '../questions/draft';
import { Hear } from '../questions/Hear';
import { ways } from '../questions/kinds';
import { Picking } from '../questions/Picking';
import type { Stage, View } from './checkQueries';
import type { StageWork } from './useStage';
import { sure } from '../../shared/sure';
import { Button } from '../../ui/Button';
import { Row } from '../../ui/Page';
import { BigMark, pageLook, sheetPull, tapLook, textSheet } from '../../ui/Reader';

/** peek: whether the text is open beside a question. */
interface Props {
  check: View;
  stage: Stage;
  work: StageWork;
  peek: boolean;
  setPeek: (open: boolean) => void;
}

/** One thing to choose of a few, large enough for a finger. */
export function Pick({
  name,
  heading,
  choices,
  mine,
  oneAtATime,
  pick,
}: {
  name: string;
  heading: string;
  choices: string[];
  mine: number | undefined;
  oneAtATime: boolean;
  pick: (i: number) => void;
}) {
  const [at, setAt] = useState(0);
  const shown = oneAtATime
    ? choices.map((c, i) => [c, i] as const).filter(([, i]) => i === at)
    : choices.map((c, i) => [c, i] as const);
  return (
    <div className="grid gap-2.5" role="radiogroup" aria-labelledby={heading}>
      {shown.map(([c, i]) => (
        <label
          key={i}
          className={cx(
            tapLook({ mine: mine === i }),
            'hover:bg-depth-1 has-focus-visible:outline-overlay cursor-pointer has-focus-visible:outline-3',
          )}
        >
          <BigMark name={name} checked={mine === i} onChange={() => pick(i)} />
          {c}
        </label>
      ))}
      {oneAtATime && (
        <Row>
          <Button size="reader" disabled={at === 0} onClick={() => setAt(at - 1)}>
            <CaretLeft size={24} aria-hidden />
            {t('Previous choice')}
          </Button>
          <Button size="reader" disabled={at === choices.length - 1} onClick={() => setAt(at + 1)}>
            {t('Next choice')}
            <CaretRight size={24} aria-hidden />
          </Button>
        </Row>
      )}
    </div>
  );
}

/** Words, one after the other: the first that is not answered. */
export function WordsStage({ check, stage, work }: Props) {
  const first = stage.items.findIndex((_, i) => work.picks[i] === undefined);
  const [at, setAt] = useState(Math.max(0, first));
  const [chosen, setChosen] = useState<number>();
  const { shown } = work;
  useEffect(shown, [at, shown]);
  const item = sure(stage.items[at]);
  const reading = check.now === 'WordReading';
  const go = () => {
    if (chosen === undefined) return;
    work.answer(at, chosen);
    if (at + 1 < stage.items.length) {
      setChosen(undefined);
      setAt(at + 1);
    } else work.finish();
  };
  return (
    <form
      className={pageLook({ kind: 'question' })}
      onSubmit={(e) => {
        e.preventDefault();
        go();
      }}
    >
      <p className="text-soft">
        {t('{{n}} of {{of}}', { n: (stage.place - 1) * stage.items.length + at + 1, of: 3 * stage.items.length })}
      </p>
      <h2 id="item">
        {reading ? t('Which one is a real word?') : t('What does “{{word}}” mean?', { word: item.stem })}
      </h2>
      <Pick
        key={at}
        name="item"
        heading="item"
        choices={item.choices}
        mine={chosen}
        oneAtATime={check.oneChoice}
        pick={setChosen}
      />
      <Row end>
        <Button look="main" size="reader" type="submit" disabled={chosen === undefined || work.waits}>
          {t('Next')}
        </Button>
      </Row>
    </form>
  );
}

/** A text with a choice of three now and then. */
export function MazeStage({ stage, work }: Props) {
  const pieces = stage.pages[0] ?? [];
  const left = stage.items.filter((_, i) => work.picks[i] === undefined).length;
  return (
    <div className={pageLook({ kind: 'maze', letters: letters(stage.depth) === 'serif' ? 'serif' : 'first' })}>
      <h2>{stage.title}</h2>
      <div className="leading-[2.3]">
        {pieces.map((text, i) => (
          <Fragment key={i}>
            {text.split(/\n\n+/).map((part, k) => (
              <Fragment key={k}>
                {k > 0 && <span className="block h-[0.5em]" />}
                {part.replace(/\*/g, '')}
              </Fragment>
            ))}
            {stage.items[i] && (
              <span
                className={cx(
                  'divide-line border-ink mx-[0.25em] inline-flex divide-x overflow-clip rounded-md',
                  'border-[1.5px] align-middle text-[0.9em] leading-11',
                )}
                role="radiogroup"
                aria-label={t('Word {{n}}', { n: i + 1 })}
              >
                {sure(stage.items[i]).choices.map((c, k) => (
                  <label
                    key={k}
                    className={cx(
                      'has-focus-visible:outline-overlay min-h-11 min-w-11 cursor-pointer px-2.5 text-center ' +
                        'has-focus-visible:outline-3 has-focus-visible:-outline-offset-3',
                      work.picks[i]?.[0] === k ? 'bg-overlay text-paper font-semibold' : 'hover:bg-depth-1',
                    )}
                  >
                    <input
                      type="radio"
                      className="sr-only"
                      name={`m${i}`}
                      checked={work.picks[i]?.[0] === k}
                      onChange={() => work.answer(i, k)}
                    />
                    {c}
                  </label>
                ))}
              </span>
            )}
          </Fragment>
        ))}
      </div>
      <Row end>
        <span className="text-soft">{left === 0 ? t('All chosen.') : t('{{n}} to choose', { n: left })}</span>
        <Button look="main" size="reader" disabled={work.waits} onClick={work.finish}>
          {t('Done')}
        </Button>
      </Row>
    </div>
  );
}

/** A text, then its questions one at a time with the text beside them. */
export function PassageStage({ check, stage, work, peek, setPeek }: Props) {
  const [page, setPage] = useState(0);
  const [asks, setAsks] = useState(Object.keys(work.picks).length > 0);
  const first = stage.items.findIndex((_, i) => work.picks[i] === undefined);
  const [at, setAt] = useState(Math.max(0, first));
  const { shown } = work;
  useEffect(() => {
    if (asks) shown();
  }, [at, asks, shown]);
  const face = letters(stage.depth) === 'serif' ? 'serif' : 'first';
  const last = page >= stage.pages.length - 1;
  if (!asks)
    return (
      <>
        <LeadLine
          label={t('Pages')}
          title={t('Page {{n}} of {{of}}', { n: page + 1, of: stage.pages.length })}
          here={page}
          go={setPage}
          knots={stage.pages.map((_, i) => ({ name: t('Page {{n}}', { n: i + 1 }), done: i < page }))}
        />
        <article className={pageLook({ kind: 'text', letters: face })}>
          {page === 0 && <h2>{stage.title}</h2>}
          <Paragraphs of={sure(stage.pages[page])} />
          <Row end>
            {page > 0 && (
              <Button size="reader" onClick={() => setPage(page - 1)}>
                <CaretLeft size={24} aria-hidden />
                {t('Back')}
              </Button>
            )}
            <Button look="main" size="reader" onClick={() => (last ? setAsks(true) : setPage(page + 1))}>
              {last ? t('Go to questions') : t('Next page')}
              <CaretRight size={24} aria-hidden />
            </Button>
          </Row>
        </article>
      </>
    );
  const answer = (picks: number[]) => {
    work.answer(at, ...picks);
    if (at + 1 < stage.items.length) setAt(at + 1);
    else work.finish();
  };
  return (
    <>
      <LeadLine
        label={t('Questions')}
        title={t('Question {{n}} of {{of}}', { n: at + 1, of: stage.items.length })}
        here={at}
        go={() => undefined}
        knots={stage.items.map((_, i) => ({
          name: t('Question {{n}}', { n: i + 1 }),
          done: work.picks[i] !== undefined,
        }))}
      />
      <AskedOnce
        key={at}
        q={{ id: `${stage.id}-${at}`, attempts: [], ...sure(stage.items[at]) }}
        stage={stage}
        oneAtATime={check.oneChoice}
        waits={work.waits}
        className={pageLook({ kind: 'question', letters: face })}
        answer={answer}
      />
      <aside className={textSheet({ open: peek })} aria-label={t('The text')}>
        <button className={sheetPull} aria-expanded={peek} onClick={() => setPeek(!peek)}>
          <BookOpen size={24} aria-hidden />
          <span>{peek ? t('Close the text') : t('Look in the text')}</span>
        </button>
        <div
          className={face === 'serif' ? 'font-serif' : undefined}
          tabIndex={peek ? 0 : -1}
          aria-hidden={!peek}
          role="region"
          aria-label={t('The whole text')}
        >
          <Paragraphs of={stage.pages.flat()} />
        </div>
      </aside>
    </>
  );
}

/** A question that is answered once, without a word to the answer. */
function AskedOnce({
  q,
  stage,
  oneAtATime,
  waits,
  className,
  answer,
}: {
  q: Shown;
  stage: Stage;
  oneAtATime: boolean;
  waits: boolean;
  className: string;
  answer: (picks: number[]) => void;
}) {
  const [draft, setDraft] = useState<Draft>({ picks: [], words: '' });
  const done = ready(q, draft);
  return (
    <form
      className={className}
      aria-labelledby="item"
      onSubmit={(e) => {
        e.preventDefault();
        if (done && !waits) answer(draft.picks);
      }}
    >
      <h2 id="item">{q.stem}</h2>
      <p id="how" className="text-soft">
        {ways[q.kind].hint(q)}
      </p>
      <Hear q={q} />
      <Picking
        q={q}
        draft={draft}
        setDraft={setDraft}
        open
        heading="item"
        oneAtATime={oneAtATime}
        text={stage.sentences}
      />
      <Row end>
        <Button look="main" size="reader" type="submit" disabled={!done || waits}>
          {t('Next')}
        </Button>
      </Row>
    </form>
  );
}

function Paragraphs({ of }: { of: string[] }) {
  return (
    <>
      {of.map((p, i) => (
        <Block key={i} text={p} />
      ))}
    </>
  );
}
