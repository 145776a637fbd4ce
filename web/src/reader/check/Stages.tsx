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
import '../questions/questions.css';
import type { Stage, View } from './checkQueries';
import type { StageWork } from './useStage';
import { sure } from '../../shared/sure';

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
    <div className="picks" role="radiogroup" aria-labelledby={heading}>
      {shown.map(([c, i]) => (
        <label key={i} className={mine === i ? 'pickone mine' : 'pickone'}>
          <input type="radio" name={name} checked={mine === i} onChange={() => pick(i)} />
          {c}
        </label>
      ))}
      {oneAtATime && (
        <p className="row">
          <button type="button" className="rbtn" disabled={at === 0} onClick={() => setAt(at - 1)}>
            <CaretLeft size={24} aria-hidden />
            {t('The one before')}
          </button>
          <button type="button" className="rbtn" disabled={at === choices.length - 1} onClick={() => setAt(at + 1)}>
            {t('The next one')}
            <CaretRight size={24} aria-hidden />
          </button>
        </p>
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
      className="page question wordstage"
      onSubmit={(e) => {
        e.preventDefault();
        go();
      }}
    >
      <p className="hint">
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
      <p className="row end">
        <button className="rbtn main" disabled={chosen === undefined || work.waits}>
          {t('This is my answer')}
        </button>
      </p>
    </form>
  );
}

/** A text with a choice of three now and then. */
export function MazeStage({ stage, work }: Props) {
  const pieces = stage.pages[0] ?? [];
  const left = stage.items.filter((_, i) => work.picks[i] === undefined).length;
  return (
    <div className={`page mazepage ${letters(stage.depth) === 'serif' ? 'serif' : ''}`}>
      <h2>{stage.title}</h2>
      <div className="mazetext">
        {pieces.map((text, i) => (
          <Fragment key={i}>
            {text.split(/\n\n+/).map((part, k) => (
              <Fragment key={k}>
                {k > 0 && <span className="gap" />}
                {part.replace(/\*/g, '')}
              </Fragment>
            ))}
            {stage.items[i] && (
              <span className="mazechoice" role="radiogroup" aria-label={t('Word {{n}}', { n: i + 1 })}>
                {sure(stage.items[i]).choices.map((c, k) => (
                  <label key={k} className={work.picks[i]?.[0] === k ? 'mine' : undefined}>
                    <input
                      type="radio"
                      className="hide"
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
      <p className="row end">
        <span className="soft">{left === 0 ? t('All chosen.') : t('{{n}} still to choose', { n: left })}</span>
        <button className="rbtn main" disabled={work.waits} onClick={work.finish}>
          {t('I am done')}
        </button>
      </p>
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
  const serif = letters(stage.depth) === 'serif' ? 'serif' : '';
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
        <article className={`page ${serif}`}>
          {page === 0 && <h2>{stage.title}</h2>}
          <Paragraphs of={sure(stage.pages[page])} />
          <p className="row end">
            {page > 0 && (
              <button className="rbtn" onClick={() => setPage(page - 1)}>
                <CaretLeft size={24} aria-hidden />
                {t('Back')}
              </button>
            )}
            <button className="rbtn main" onClick={() => (last ? setAsks(true) : setPage(page + 1))}>
              {last ? t('To the questions') : t('Next page')}
              <CaretRight size={24} aria-hidden />
            </button>
          </p>
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
        className={`page question ${serif}`}
        answer={answer}
      />
      <aside className={peek ? 'peek open' : 'peek'} aria-label={t('The text')}>
        <button className="pull" aria-expanded={peek} onClick={() => setPeek(!peek)}>
          <BookOpen size={24} aria-hidden />
          <span>{peek ? t('Close the text') : t('Look in the text')}</span>
        </button>
        <div
          className={serif}
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
      <p className="hint">{ways[q.kind].hint(q)}</p>
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
      <p className="row end">
        <button className="rbtn main" disabled={!done || waits}>
          {t('This is my answer')}
        </button>
      </p>
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
