import { useEffect, useRef, useState } from 'react';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Row } from '../../ui/Page';
import { TaskError } from './TaskError';
import { replyOf, useReply, type Task } from './useTask';

const longest = 4000,
  pause = 1500;

/** An answer to a prompt, kept as it is written. */
export function WrittenTask({ task }: { task: Task }) {
  const { keep, handIn, error, busy } = useReply(task);
  // Until something is typed here, what was written elsewhere stands here.
  const [typed, setTyped] = useState<string | null>(null);
  const words = typed ?? replyOf(task).words;
  const kept = useRef<string | null>(null);
  const latest = useRef({ typed, keep });
  useEffect(() => {
    latest.current = { typed, keep };
  });
  const save = () => {
    const now = latest.current.typed;
    if (now === null || now === kept.current) return Promise.resolve();
    kept.current = now;
    return latest.current.keep(now, []);
  };
  useEffect(() => {
    const timer = setTimeout(() => void save(), pause);
    return () => clearTimeout(timer);
  }, [typed]);
  // Whoever leaves the page in the middle of a sentence leaves nothing behind.
  useEffect(() => () => void save(), []);
  return (
    <form
      className="grid gap-4"
      onSubmit={(e) => {
        e.preventDefault();
        void save().then(handIn);
      }}
    >
      <h2 id="prompt" className="whitespace-pre-line">
        {task.prompt}
      </h2>
      <div className="[&_textarea]:text-[inherit]">
        <textarea
          aria-labelledby="prompt"
          rows={10}
          maxLength={longest}
          value={words}
          onChange={(e) => setTyped(e.target.value)}
        />
        <p className="text-soft">{t('{{count}} words', { count: words.split(/\s+/).filter(Boolean).length })}</p>
      </div>
      <Row end>
        <Button look="main" size="reader" type="submit" disabled={busy || words.trim() === ''}>
          {t('Hand in')}
        </Button>
      </Row>
      <TaskError>{error}</TaskError>
    </form>
  );
}
