import { cx } from 'class-variance-authority';
import { X } from '@phosphor-icons/react';
import { useEffect, useRef, useState } from 'react';
import { api, ok } from '../../shared/api';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { TextArea } from '../../ui/TextField';
import type { Note, useNotes } from './useNotes';

/** What is being marked: a passage that may have a note already. */
export interface Marked {
  id: string;
  page: number;
  quote: string;
  words: string;
}

/** The notes of a text beside it: the passage in hand, and all that were made. */
export function NotesSheet({
  of,
  chosen,
  choose,
  goTo,
  close,
}: {
  of: ReturnType<typeof useNotes>;
  chosen: Marked | null;
  choose: (marked: Marked | null) => void;
  goTo: (page: number) => void;
  close: () => void;
}) {
  const others = of.notes.filter((n) => n.id !== chosen?.id);
  return (
    <aside
      aria-label={t('Notes')}
      className={cx(
        'border-ink bg-paper shadow-islet z-3 overflow-auto rounded-lg border-[1.5px] px-5 pt-3 pb-5',
        'max-md:w-[min(720px,100%)] md:absolute md:top-7 md:bottom-7 md:left-240 md:w-72',
        'max-xl:md:right-4 max-xl:md:left-auto',
      )}
    >
      <div className="flex items-center justify-between">
        <h2 className="text-2xl leading-11">{t('Notes')}</h2>
        <button
          type="button"
          className="hover:bg-tint grid size-11 place-content-center rounded-md"
          aria-label={t('Close notes')}
          onClick={close}
        >
          <X size={24} aria-hidden />
        </button>
      </div>
      {chosen ? (
        <Writing key={chosen.id} of={of} marked={chosen} done={() => choose(null)} />
      ) : (
        <p>{t('Tap a sentence to mark it.')}</p>
      )}
      <ul>
        {others.map((n) => (
          <li key={n.id} className="border-line mt-3 border-t pt-2">
            <button
              type="button"
              className="hover:bg-depth-1 block w-full py-1 text-left"
              onClick={() => {
                goTo(n.page);
                choose({ id: n.id, page: n.page, quote: n.quote, words: n.words });
              }}
            >
              <span className="text-soft">{t('Page {{n}}', { n: n.page + 1 })}</span>
              <span className="border-depth-5 line-clamp-3 border-l-3 pl-2.5 font-serif">{n.quote}</span>
              {n.words && <span className="block wrap-anywhere">{n.words}</span>}
            </button>
            {n.answer && <Answer note={n} reply={of.reply} />}
          </li>
        ))}
      </ul>
    </aside>
  );
}

/** The passage in hand: marked at once; a note can be written to it. */
function Writing({ of, marked, done }: { of: ReturnType<typeof useNotes>; marked: Marked; done: () => void }) {
  const [words, setWords] = useState(marked.words);
  const field = useRef<HTMLTextAreaElement>(null);
  const note = of.notes.find((n) => n.id === marked.id);
  useEffect(() => field.current?.focus({ preventScroll: true }), []);
  return (
    <form
      className="grid gap-2.5"
      onSubmit={(e) => {
        e.preventDefault();
        void of.put({ ...marked, words: words.trim() });
        done();
      }}
    >
      <p className="border-depth-5 line-clamp-4 border-l-3 pl-2.5 font-serif">{marked.quote}</p>
      {note?.answer ? (
        <>
          <p className="wrap-anywhere">{note.words}</p>
          <Answer note={note} reply={of.reply} />
        </>
      ) : (
        <>
          <TextArea
            label={t('Your note')}
            size="reader"
            ref={field}
            rows={4}
            maxLength={2000}
            value={words}
            set={setWords}
          />
          <Button look="main" size="reader" type="submit">
            {words.trim() ? t('Save note') : t('Mark only')}
          </Button>
        </>
      )}
      {note && !note.answer && (
        <Button
          size="reader"
          onClick={() => {
            void of.put(marked, true);
            done();
          }}
        >
          {t('Remove')}
        </Button>
      )}
    </form>
  );
}

/** What the teacher said to a note, which has been seen with this; the reader can say something to it. */
function Answer({ note: n, reply }: { note: Note; reply: (noteId: string, words: string) => Promise<void> }) {
  const [words, setWords] = useState<string | null>(null);
  useEffect(() => {
    if (n.answerSeenAt === null)
      void ok(api.POST('/my/notes/{noteId}/seen', { params: { path: { noteId: n.id } } })).catch(() => undefined);
  }, [n.id, n.answerSeenAt]);
  return (
    <>
      <p className="border-ink bg-sand border-l-4 border-double px-3 py-1.5 wrap-anywhere">
        <b>{n.answeredBy ?? t('Your teacher')}</b>: {n.answer}
      </p>
      {n.reply && words === null && (
        <p className="py-1.5 wrap-anywhere">
          <b>{t('You')}</b>: {n.reply}
        </p>
      )}
      {words === null ? (
        <Button size="reader" onClick={() => setWords(n.reply)}>
          {n.reply ? t('Change what you wrote back') : t('Write back')}
        </Button>
      ) : (
        <>
          <TextArea
            label={t('What you want to say back')}
            size="reader"
            rows={3}
            maxLength={2000}
            value={words}
            set={setWords}
          />
          <Button
            size="reader"
            onClick={() => {
              void reply(n.id, words.trim());
              setWords(null);
            }}
          >
            {t('Send')}
          </Button>
        </>
      )}
    </>
  );
}
