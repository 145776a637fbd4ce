import { useState } from 'react';
import { t } from '../../shared/words';
import { sure } from '../../shared/sure';
import { Button } from '../../ui/Button';
import { Row } from '../../ui/Page';
import { Pick } from '../check/Pick';
import { ListenButton } from '../questions/Hear';
import { AtHome } from '../words/AtHome';
import { useReadAloud } from '../useReadAloud';
import { afterTry, choicesOf, joined, roundOf, type Practised } from './practice';
import { TaskError } from './TaskError';
import { replyOf, useReply, type Task } from './useTask';

/** Words to practise, and how they are asked. */
export type Practice = Pick<Task, 'words' | 'by'>;

/** Words, a few at a time: first to look at, then each until it has been right. */
export function WordsTask({ task }: { task: Task }) {
  const { keep, handIn, error, busy } = useReply(task);
  const [here, setHere] = useState<Practised[]>([]);
  const [asked, ask] = useState(0);
  // Words still to ask of this round; null while its words are looked at.
  const [queue, setQueue] = useState<number[] | null>(null);
  // What another device has done comes in between two rounds, too.
  const done = joined(here, replyOf(task).practised);
  const round = queue ?? roundOf(task.words.length, done, task.atOnce);
  const known = done.filter((d) => d.known).length;
  const word = round[0];
  const answer = (right: boolean) => {
    const next = afterTry(done, sure(word), right);
    setHere(next);
    void keep('', next);
  };
  const goOn = (right: boolean) => {
    ask(asked + 1);
    const rest = right ? round.slice(1) : [...round.slice(1), sure(word)];
    setQueue(rest.length > 0 ? rest : null);
  };
  if (word === undefined)
    return (
      <>
        <h2>{t('You know all the words')}</h2>
        <Row>
          <Button look="main" size="reader" disabled={busy} onClick={() => void handIn()}>
            {t('Hand in')}
          </Button>
        </Row>
        <TaskError>{error}</TaskError>
      </>
    );
  return (
    <>
      <p className="text-soft">{t('{{n}} of {{of}} words known', { n: known, of: task.words.length })}</p>
      {queue === null ? (
        <Look of={task} words={round} start={() => setQueue(round)} />
      ) : (
        <Ask
          key={asked}
          of={task}
          word={word}
          attempt={done.find((d) => d.word === word)?.tries ?? 0}
          answer={answer}
          goOn={goOn}
        />
      )}
      <TaskError>{error}</TaskError>
    </>
  );
}

/** The words of a round with what they mean. */
export function Look({ of, words, start }: { of: Practice; words: number[]; start: () => void }) {
  return (
    <>
      <h2>{t('Look at these words')}</h2>
      <dl className="grid gap-3">
        {words.map((i) => {
          const w = sure(of.words[i]);
          return (
            <div key={i} className="border-line border-b pb-2">
              <dt className="font-first flex flex-wrap items-center gap-3 text-2xl font-bold">
                {w.text} {of.by !== 'Meaning' && <HearWord text={w.text} />}
              </dt>
              <dd>{w.meaning}</dd>
              <dd>
                <AtHome meaning={w.atHome} />
              </dd>
              {w.example && <dd className="text-soft font-first">{w.example}</dd>}
            </div>
          );
        })}
      </dl>
      <Row>
        <Button look="main" size="reader" onClick={start}>
          {t('Practise')}
        </Button>
      </Row>
    </>
  );
}

/** Says one word, where the device has a voice. */
function HearWord({ text }: { text: string }) {
  const aloud = useReadAloud(text);
  return aloud.can ? <ListenButton aloud={aloud} /> : null;
}

/** One word, by what it means or how it sounds. */
export function Ask({
  of,
  word,
  attempt,
  answer,
  goOn,
}: {
  of: Practice;
  word: number;
  attempt: number;
  answer: (right: boolean) => void;
  goOn: (right: boolean) => void;
}) {
  const [first] = useState(attempt);
  const [picked, pick] = useState<number>();
  const [said, say] = useState<boolean>();
  const choices = choicesOf(
    of.words.map((w) => w.text),
    word,
    first,
  );
  const w = sure(of.words[word]);
  const aloud = useReadAloud(of.by === 'Sound' ? w.text : w.meaning);
  // Where the device has no voice, the meaning is read.
  const bySound = of.by === 'Sound' && aloud.can;
  return (
    <form
      className="grid gap-4"
      onSubmit={(e) => {
        e.preventDefault();
        if (said !== undefined) return goOn(said);
        if (picked === undefined) return;
        const right = choices[picked] === word;
        say(right);
        answer(right);
      }}
    >
      <h2 id="asked">
        {bySound ? t('Listen. Which word is it?') : t('Which word means “{{meaning}}”?', { meaning: w.meaning })}
      </h2>
      {of.by !== 'Meaning' && aloud.can && (
        <Row>
          <ListenButton aloud={aloud} />
        </Row>
      )}
      {said === undefined ? (
        <Pick
          name="word"
          heading="asked"
          choices={choices.map((i) => sure(of.words[i]).text)}
          mine={picked}
          oneAtATime={false}
          pick={pick}
        />
      ) : (
        <p role="status">
          {said ? t('✓ Right: {{word}}', { word: w.text }) : t('✗ It is {{word}}. It comes again.', { word: w.text })}
        </p>
      )}
      <Row end>
        <Button look="main" size="reader" type="submit" disabled={picked === undefined}>
          {said === undefined ? t('Check') : t('Next')}
        </Button>
      </Row>
    </form>
  );
}
