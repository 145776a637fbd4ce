import { Trash } from '@phosphor-icons/react';
import { useState } from 'react';
import { Link } from 'react-router';
import { dayOf } from '../../shared/format';
import { useSession } from '../../shared/session';
import { sure } from '../../shared/sure';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Row } from '../../ui/Page';
import { PageTitle } from '../../ui/PageTitle';
import { pageLook, ReaderBar, ReaderSide, Water } from '../../ui/Reader';
import { Show } from '../../ui/Show';
import { KeptNote } from '../KeptNote';
import { Ask, Look, type Practice } from '../task/WordsTask';
import { ToMyReading } from '../ToMyReading';
import { useKept, type KeptWord } from './useKept';
import { AtHome } from './AtHome';

/** The words a reader keeps, and practising a few that are due. */
export default function KeptWords() {
  const kept = useKept();
  const [practising, practise] = useState<KeptWord[] | null>(null);
  const name = useSession().data?.name ?? '';
  const due = kept.words.filter((w) => w.due);
  return (
    <ReaderSide footless>
      <ReaderBar>
        <ToMyReading />
        <PageTitle>{t('Kept words')}</PageTitle>
        <KeptNote />
        <span className="grow" />
        <b>{name}</b>
      </ReaderBar>
      <Water>
        <article className={pageLook({ kind: 'door', letters: 'ui' })}>
          {practising ? (
            <Round
              words={practising}
              all={kept.words}
              attempt={kept.attempt}
              done={() => {
                practise(null);
                void kept.changed();
              }}
            />
          ) : (
            <Show query={kept.asked}>
              {() => (
                <>
                  {kept.words.length === 0 && (
                    <p>{t('Tap a word with a dotted line in a text, then Keep this word. It appears here.')}</p>
                  )}
                  {due.length > 0 && (
                    <Row>
                      <Button look="main" size="reader" onClick={() => practise(due.slice(0, kept.atOnce))}>
                        {t('Practise {{n}}', { n: Math.min(due.length, kept.atOnce) })}
                      </Button>
                      {due.length > kept.atOnce && (
                        <span>{t('{{count}} words are due today.', { count: due.length })}</span>
                      )}
                    </Row>
                  )}
                  {due.length === 0 && kept.words.length > 0 && <p>{t('No word is due today.')}</p>}
                  <List words={kept.words} steps={kept.steps} letGo={(text) => void kept.letGo(text)} />
                </>
              )}
            </Show>
          )}
        </article>
      </Water>
    </ReaderSide>
  );
}

/** Every word with what it means and how far it is. */
function List({ words, steps, letGo }: { words: KeptWord[]; steps: number; letGo: (text: string) => void }) {
  return (
    <ul>
      {words.map((w) => (
        <li key={w.text} className="border-line flex items-center gap-3 border-t py-2.5">
          <div className="grow">
            <b className="font-first text-2xl">{w.text}</b>
            {w.title && <span className="text-soft"> {t('from {{title}}', { title: w.title })}</span>}
            <span className="block">{w.meaning}</span>
            <AtHome meaning={w.atHome} />
            <span className="text-soft flex flex-wrap items-center gap-x-3">
              <span aria-hidden className="flex gap-1">
                {Array.from({ length: steps }, (_, i) => (
                  <i
                    key={i}
                    className={i < w.steps ? 'bg-ink size-3 rounded-full' : 'border-ink size-3 rounded-full border'}
                  />
                ))}
              </span>
              {w.known && t('You know it.')}
              {!w.known && (w.due ? t('to practise today') : w.dueOn && t('again {{day}}', { day: dayOf(w.dueOn) }))}
            </span>
          </div>
          <Button
            size="reader"
            look="plain"
            aria-label={t('Remove {{word}}', { word: w.text })}
            onClick={() => letGo(w.text)}
          >
            <Trash size={24} aria-hidden />
          </Button>
        </li>
      ))}
    </ul>
  );
}

const fewestToChoose = 3;

/** A few words: looked at, then asked until each was right. */
function Round({
  words,
  all,
  attempt,
  done,
}: {
  words: KeptWord[];
  all: KeptWord[];
  attempt: (text: string, right: boolean) => Promise<unknown>;
  done: () => void;
}) {
  // Where few are due, others of the reader's words are there to choose from.
  const [of] = useState<Practice>(() => ({
    by: 'Meaning',
    words: [...words, ...all.filter((w) => !words.some((x) => x.text === w.text)).slice(0, fewestToChoose)].map(
      (w) => ({
        text: w.text,
        part: '',
        meaning: w.meaning,
        example: w.example,
        atHome: w.atHome,
      }),
    ),
  }));
  const [queue, setQueue] = useState<number[] | null>(null);
  const [asked, ask] = useState(0);
  const [missed, miss] = useState<ReadonlySet<number>>(new Set());
  const every = words.map((_, i) => i);
  if (queue === null) return <Look of={of} words={every} start={() => setQueue(every)} />;
  const [word] = queue;
  if (word === undefined)
    return (
      <>
        <h2>{t('{{n}} of {{of}} right at once', { n: words.length - missed.size, of: words.length })}</h2>
        {missed.size > 0 && (
          <p>
            {t('These come again tomorrow: {{words}}.', {
              words: [...missed].map((i) => sure(words[i]).text).join(', '),
            })}
          </p>
        )}
        <Row>
          <Button size="reader" onClick={done}>
            {t('All my words')}
          </Button>
          <Button asChild look="main" size="reader">
            <Link to="/">{t('My reading')}</Link>
          </Button>
        </Row>
      </>
    );
  return (
    <Ask
      key={asked}
      of={of}
      word={word}
      attempt={missed.has(word) ? 1 : 0}
      answer={(right) => {
        // Only the first time says whether it was known.
        if (!missed.has(word)) void attempt(sure(words[word]).text, right);
        if (!right) miss(new Set([...missed, word]));
      }}
      goOn={(right) => {
        ask(asked + 1);
        setQueue(right ? queue.slice(1) : [...queue.slice(1), word]);
      }}
    />
  );
}
