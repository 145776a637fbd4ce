import { useState } from 'react';
import { t } from '../../shared/words';
import { sure } from '../../shared/sure';
import { Button } from '../../ui/Button';
import { Row } from '../../ui/Page';
import { Pick } from '../check/Pick';
import { afterTry, choicesOf, roundOf } from './practice';
import { TaskError } from './TaskError';
import { replyOf, useReply, type Task } from './useTask';

/** Words, a few at a time: first to look at, then each until it has been right. */
export function WordsTask({ task }: { task: Task }) {
  const { keep, handIn, error, busy } = useReply(task);
  const [done, setDone] = useState(() => replyOf(task).practised);
  const [queue, setQueue] = useState(() => roundOf(task.words.length, done, task.atOnce));
  const [looking, setLooking] = useState(true);
  const [asked, ask] = useState(0);
  const known = done.filter((d) => d.known).length;
  const answer = (word: number, right: boolean) => {
    const next = afterTry(done, word, right);
    setDone(next);
    void keep('', next);
  };
  const goOn = (word: number, right: boolean) => {
    ask(asked + 1);
    const rest = queue.slice(1);
    const now = right ? rest : [...rest, word];
    setQueue(now.length > 0 ? now : roundOf(task.words.length, done, task.atOnce));
    if (now.length === 0) setLooking(true);
  };
  if (queue.length === 0)
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
      {looking ? (
        <Look task={task} words={queue} start={() => setLooking(false)} />
      ) : (
        <Ask
          key={asked}
          task={task}
          word={sure(queue[0])}
          attempt={done.find((d) => d.word === queue[0])?.tries ?? 0}
          answer={answer}
          goOn={goOn}
        />
      )}
      <TaskError>{error}</TaskError>
    </>
  );
}

/** The words of a round with what they mean. */
function Look({ task, words, start }: { task: Task; words: number[]; start: () => void }) {
  return (
    <>
      <h2>{t('Look at these words')}</h2>
      <dl className="grid gap-3">
        {words.map((i) => {
          const w = sure(task.words[i]);
          return (
            <div key={i} className="border-line border-b pb-2">
              <dt className="font-first text-2xl font-bold">{w.text}</dt>
              <dd>{w.meaning}</dd>
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

/** One word, by what it means. */
function Ask({
  task,
  word,
  attempt,
  answer,
  goOn,
}: {
  task: Task;
  word: number;
  attempt: number;
  answer: (word: number, right: boolean) => void;
  goOn: (word: number, right: boolean) => void;
}) {
  const [first] = useState(attempt);
  const [picked, pick] = useState<number>();
  const [said, say] = useState<boolean>();
  const choices = choicesOf(
    task.words.map((w) => w.text),
    word,
    first,
  );
  const w = sure(task.words[word]);
  return (
    <form
      className="grid gap-4"
      onSubmit={(e) => {
        e.preventDefault();
        if (said !== undefined) return goOn(word, said);
        if (picked === undefined) return;
        const right = choices[picked] === word;
        say(right);
        answer(word, right);
      }}
    >
      <h2 id="asked">{t('Which word means “{{meaning}}”?', { meaning: w.meaning })}</h2>
      {said === undefined ? (
        <Pick
          name="word"
          heading="asked"
          choices={choices.map((i) => sure(task.words[i]).text)}
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
