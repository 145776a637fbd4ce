import { BookOpen, CaretLeft, CaretRight } from '@phosphor-icons/react';
import { useEffect, useState } from 'react';
import { Block } from '../../shared/paragraphs';
import { t } from '../../shared/words';
import { LeadLine } from '../LeadLine';
import { letters } from '../queries';
import { ready, type Draft, type Shown } from '../questions/draft';
import { Hear } from '../questions/Hear';
import { ways } from '../questions/kinds';
import { Picking } from '../questions/Picking';
import type { Stage } from './checkQueries';
import { sure } from '../../shared/sure';
import { Button } from '../../ui/Button';
import { Row } from '../../ui/Page';
import { pageLook, sheetPull, textSheet } from '../../ui/Reader';
import type { StageProps } from './stage';

/** A text, then its questions one at a time with the text beside them. */
export function PassageStage({ check, stage, work, peek, setPeek }: StageProps) {
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
