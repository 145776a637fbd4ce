import { useEffect, useRef, useState } from 'react';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Row } from '../../ui/Page';
import { BigMark } from '../../ui/Reader';
import { HearWords } from '../questions/Hear';
import { TaskError } from './TaskError';
import { replyOf, usePartners, useReply, type Task } from './useTask';

const longest = 4000,
  pause = 1500;

/** An answer to a prompt, kept as it is written. */
export function WrittenTask({ task }: { task: Task }) {
  const { keep, handIn, error, busy } = useReply(task);
  const { mayJoin } = usePartners(task);
  // Until something is typed here, what was written elsewhere stands here.
  const [typed, setTyped] = useState<string | null>(null);
  const words = typed ?? replyOf(task).words;
  const [chosen, choose] = useState<string[] | null>(null);
  const partners = chosen ?? replyOf(task).partners;
  const kept = useRef<string | null>(null);
  const latest = useRef({ typed, keep, words, partners, chosen });
  useEffect(() => {
    latest.current = { typed, keep, words, partners, chosen };
  });
  const save = () => {
    const now = latest.current;
    if (now.typed === null && now.chosen === null) return Promise.resolve();
    const all = JSON.stringify([now.words, now.partners]);
    if (all === kept.current) return Promise.resolve();
    kept.current = all;
    return now.keep(now.words, [], now.partners);
  };
  useEffect(() => {
    const timer = setTimeout(() => void save(), pause);
    return () => clearTimeout(timer);
  }, [typed, chosen]);
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
      <HearWords words={task.prompt} />
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
      {mayJoin.length > 0 && (
        <fieldset className="grid gap-1">
          <legend className="font-semibold">{t('Who wrote this with you?')}</legend>
          <div className="flex flex-wrap gap-x-6">
            {mayJoin.map((one) => (
              <label key={one.ticketId} className="flex min-h-11 items-center gap-3">
                <BigMark
                  several
                  checked={partners.includes(one.ticketId)}
                  onChange={(e) =>
                    choose(
                      e.target.checked
                        ? [...partners, one.ticketId]
                        : partners.filter((ticketId) => ticketId !== one.ticketId),
                    )
                  }
                />
                {one.name}
              </label>
            ))}
          </div>
          {partners.length > 0 && <p className="text-soft">{t('It is handed in for all of you.')}</p>}
        </fieldset>
      )}
      <Row end>
        <Button look="main" size="reader" type="submit" disabled={busy || words.trim() === ''}>
          {t('Hand in')}
        </Button>
      </Row>
      <TaskError>{error}</TaskError>
    </form>
  );
}
