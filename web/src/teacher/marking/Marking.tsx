import { useMemo, useRef, useState } from 'react';
import { Link, useOutletContext } from 'react-router';
import { timeOf } from '../../shared/format';
import { phrase, t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { ListPage, PageHead } from '../../ui/Page';
import { Empty, Show } from '../../ui/Show';
import { calledIn } from '../classQueries';
import type { Place } from '../frame/Frame';
import { WholeText } from '../texts/ReadText';
import { AnswerSheet } from './AnswerSheet';
import { useOthers, useRecordings } from './markingQueries';
import { toMark, type Question } from './queue';
import { QueueList } from './QueueList';
import { Recommendations, useRecommendations } from './Recommendations';
import { RubricSide } from './RubricSide';
import { SendBack } from '../assignments/SendBack';
import { useKeptComments, useMarkingKeys, useMarks, useQueue } from './useMarks';

/** What waits for a person: written answers, recordings, recommendations; marked key by key. */
export default function Marking() {
  const { data } = useOutletContext<Place>();
  const queue = useQueue(data.id);
  return <Show query={queue}>{(questions) => <Queue questions={questions} />}</Show>;
}

function Queue({ questions }: { questions: Question[] }) {
  const { data } = useOutletContext<Place>();
  const recordings = useRecordings(data.id).data ?? [];
  const others = useOthers(data.id).data ?? [];
  const recommended = useRecommendations(data.id).data ?? [];
  const called = useMemo(() => calledIn(data), [data]);
  const of = useMarks(data.id, questions);
  const [wanted, look] = useState<boolean | null>(null);
  const looking = wanted ?? of.entries.length === 0;
  const [over, show] = useState<'text' | 'back' | 'keys' | null>(null);
  const field = useRef<HTMLTextAreaElement>(null);
  const kept = useKeptComments().all;
  const [keptNext, waitKept] = useState(false);
  const e = of.entry;
  const digits = Object.fromEntries(
    Array.from({ length: 10 }, (_, n) => [
      String(n),
      () => {
        if (!keptNext) return of.choose(n);
        waitKept(false);
        const words = kept[n - 1];
        if (words) of.setComment(words);
      },
    ]),
  );
  useMarkingKeys(
    {
      ...digits,
      a: of.usesProposed,
      Enter: of.markIt,
      'Ctrl enter': of.markIt,
      b: () => show('back'),
      Backspace: of.back,
      s: of.skip,
      k: () => waitKept(true),
      c: () => field.current?.focus(),
      t: () => e?.q.textId && show('text'),
      ArrowDown: () => of.step(1),
      ArrowUp: () => of.step(-1),
      'Ctrl z': of.undo,
      '?': () => show('keys'),
    },
    e !== null && !looking && data.mayAssign,
  );
  if (!e && recordings.length + recommended.length + others.length === 0) return <Nothing classId={data.id} />;
  const left = of.entries.filter(toMark).length;
  return (
    <section aria-labelledby="title" className="flex min-h-0 min-w-0 flex-col">
      <div className="grid min-h-0 grow max-lg:overflow-auto lg:grid-cols-[264px_minmax(0,1fr)_424px]">
        <QueueList
          of={of}
          called={called}
          classId={data.id}
          recordings={recordings}
          others={others}
          recommended={recommended.filter((r) => r.approval === 'Waiting').length}
          look={look}
          looking={looking}
        />
        {looking || !e ? (
          <section aria-labelledby="recommended" className="min-h-0 overflow-auto lg:col-span-2">
            <h2 id="recommended" className="px-4 pt-3 pb-1.5">
              {t('Recommendations')}
            </h2>
            {recommended.length === 0 && <p className="px-4">{t('No reader has recommended a text yet.')}</p>}
            <Recommendations classId={data.id} rows={recommended} mayMark={data.mayAssign} />
          </section>
        ) : (
          <>
            <AnswerSheet of={of} e={e} name={called(e.a.readerId, e.a.givenName)} read={() => show('text')} />
            <RubricSide
              key={e.key}
              of={of}
              e={e}
              name={called(e.a.readerId, e.a.givenName)}
              may={data.mayAssign}
              field={field}
              sendBack={() => show('back')}
              called={called}
            />
          </>
        )}
      </div>
      <footer className="border-ink bg-sand flex flex-wrap items-center gap-x-4 gap-y-1 border-t px-4 py-1.5 text-sm">
        <b role="status">{t('{{n}} of {{count}} marked', { n: of.entries.length - left, count: of.entries.length })}</b>
        {of.saved && <span className="text-soft">{t('Saved {{time}}', { time: timeOf(of.saved.toISOString()) })}</span>}
        {keptNext && <span>{t('Now the figure of the comment')}</span>}
        <span className="grow" />
        {shownKeys.map(([key, name]) => (
          <span key={key} className="max-lg:hidden">
            <kbd>{key}</kbd> {t(name)}
          </span>
        ))}
        <Button size="sm" look="plain" disabled={!of.mayUndo} onClick={of.undo}>
          {t('Undo')} <kbd>{undoKey}</kbd>
        </Button>
        <Button size="sm" look="plain" onClick={() => show('keys')}>
          {t('All keys')} <kbd>?</kbd>
        </Button>
      </footer>
      {over === 'text' && e?.q.textId && (
        <WholeText textId={e.q.textId} version={e.a.version} proof={e.a.proof} close={() => show(null)} />
      )}
      {over === 'back' && e && (
        <SendBack
          title={t('Send back to {{name}}', { name: called(e.a.readerId, e.a.givenName) })}
          first={of.comment}
          send={of.sendBack}
          close={() => show(null)}
        />
      )}
      {over === 'keys' && <Keys close={() => show(null)} />}
    </section>
  );
}

const undoKey = 'Ctrl Z';
const shownKeys = [
  ['↑ ↓', phrase('answer')],
  ['0 – 9', phrase('points, row by row')],
  ['A', phrase('use proposed mark')],
  ['Enter', phrase('mark and next')],
] as const;
const moreKeys = [
  ['Backspace', phrase('choose the row before again')],
  ['B', phrase('send back')],
  ['S', phrase('skip')],
  ['C', phrase('comment')],
  ['K 1 – 9', phrase('kept comment')],
  ['T', phrase('whole text')],
  ['Ctrl Enter', phrase('mark and next, while you type')],
  [undoKey, phrase('undo')],
] as const;

const Keys = ({ close }: { close: () => void }) => (
  <Dialog title={t('Keys')} close={close}>
    <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1.5">
      {[...shownKeys, ...moreKeys].map(([key, name]) => (
        <div key={key} className="contents">
          <dt>
            <kbd>{key}</kbd>
          </dt>
          <dd>{t(name)}</dd>
        </div>
      ))}
    </dl>
  </Dialog>
);

const Nothing = ({ classId }: { classId: string }) => (
  <ListPage>
    <PageHead title={t('Marking')} />
    <Empty title={t('Nothing to mark')}>
      <p>{t('Written answers and recordings appear here until you mark them.')}</p>
      <Button asChild>
        <Link to={`/class/${classId}/assignments`}>{t('Assignments')}</Link>
      </Button>
    </Empty>
  </ListPage>
);
