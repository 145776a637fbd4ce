import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ok, sentence, type Api } from '../../shared/api';
import { dayOf } from '../../shared/format';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { ErrorText } from '../../ui/Field';
import { TextArea } from '../../ui/TextField';

type Note = Api<'Note'>;

/** What a reader marked and wrote in a text, to be answered right there. */
export function ReaderNotes({ ticketId, mayAnswer }: { ticketId: string; mayAnswer: boolean }) {
  const notes = useQuery({
    queryKey: keys.ticketNotes(ticketId),
    queryFn: () => ok(api.GET('/tickets/{ticketId}/notes', { params: { path: { ticketId } } })),
  });
  if (!notes.data || notes.data.length === 0) return null;
  return (
    <section className="border-line grid gap-2.5 border-t px-4.5 py-3.5">
      <h3 className="text-base">{t('Notes in the text')}</h3>
      <ul className="grid gap-3">
        {notes.data.map((n) => (
          <li key={n.id} className="grid gap-1 text-sm">
            <p className="border-depth-5 border-l-3 pl-2.5 font-serif">{n.quote}</p>
            <p className="text-soft">
              {t('Page {{n}}', { n: n.page + 1 })} · {dayOf(n.at)}
              {!n.words && ` · ${t('marked, no note')}`}
            </p>
            {n.words && <p className="wrap-anywhere whitespace-pre-wrap">{n.words}</p>}
            {n.reply && (
              <p className="border-depth-5 border-l-3 pl-2.5 wrap-anywhere">
                {t('The reader wrote back:')} {n.reply}
              </p>
            )}
            {mayAnswer && <Answering key={n.answer} note={n} ticketId={ticketId} />}
            {!mayAnswer && n.answer && (
              <p>
                <b>{n.answeredBy}</b>: {n.answer}
              </p>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** The teacher's answer; when the reader has seen it is said. */
function Answering({ note: n, ticketId }: { note: Note; ticketId: string }) {
  const client = useQueryClient();
  const [words, setWords] = useState(n.answer);
  const [open, setOpen] = useState(false);
  const [error, setError] = useState<unknown>();
  const send = async () => {
    setError(undefined);
    try {
      const said = await ok(
        api.PUT('/notes/{noteId}/answer', { params: { path: { noteId: n.id } }, body: { words: words.trim() } }),
      );
      client.setQueryData(keys.ticketNotes(ticketId), said);
      setOpen(false);
    } catch (problem) {
      setError(problem);
    }
  };
  if (!open)
    return (
      <div className="flex flex-wrap items-center gap-x-2.5 gap-y-1">
        {n.answer && (
          <p className="border-ink bg-sand grow border-l-4 border-double px-2.5 py-1">
            <b>{n.answeredBy}</b>: {n.answer}{' '}
            <span className="text-soft">
              {n.answerSeenAt ? t('seen {{day}}', { day: dayOf(n.answerSeenAt) }) : t('not seen yet')}
            </span>
          </p>
        )}
        <Button size="sm" onClick={() => setOpen(true)}>
          {n.answer ? t('Change answer') : t('Answer')}
        </Button>
      </div>
    );
  return (
    <form
      className="grid gap-1.5"
      onSubmit={(e) => {
        e.preventDefault();
        void send();
      }}
    >
      <TextArea label={t('Answer to this note')} rows={2} maxLength={2000} value={words} set={setWords} />
      {error ? <ErrorText>{sentence(error)}</ErrorText> : null}
      <div className="flex gap-2">
        <Button size="sm" look="main" type="submit">
          {t('Send answer')}
        </Button>
        <Button size="sm" onClick={() => setOpen(false)}>
          {t('Cancel')}
        </Button>
      </div>
    </form>
  );
}
