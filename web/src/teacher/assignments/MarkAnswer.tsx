import { cx } from 'class-variance-authority';
import { useState } from 'react';
import { api, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { t } from '../../shared/words';
import type { Question, Try } from '../texts/quiz/keys';
import { ErrorText } from '../../ui/Field';
import { TextField } from '../../ui/TextField';

/** A written answer with its rubric in view: one press marks it. */
export function MarkAnswer({
  ticketId,
  q,
  answer,
  mayMark,
}: {
  ticketId: string;
  q: Question;
  answer: Try;
  mayMark: boolean;
}) {
  const changed = useChanged();
  const [comment, setComment] = useState(answer.comment);
  const [error, setError] = useState('');
  const mark = (points: number) =>
    void ok(
      api.PUT('/tickets/{ticketId}/marks/{answerId}', {
        params: { path: { ticketId, answerId: answer.id } },
        body: { mark: points, comment },
      }),
    ).then(
      () => {
        setError('');
        return changed('work');
      },
      (e: unknown) => setError(sentence(e)),
    );
  return (
    <div className="my-1.5 grid max-w-190 gap-1.5">
      <blockquote
        className={cx(
          'border-ink bg-sand border-l-4 border-double px-3.5 py-2 font-serif text-lg wrap-anywhere',
          'whitespace-pre-wrap',
        )}
      >
        {answer.words}
      </blockquote>
      <fieldset disabled={!mayMark} className="border-line grid gap-1 rounded-md border px-2.5 pt-1 pb-2">
        <legend className="px-1 font-semibold">
          {answer.mark == null ? t('Mark') : t('Marked {{n}} of 3', { n: answer.mark })}
        </legend>
        {(q.rubric?.marks ?? ['', '', '', '']).map((m, points) => (
          <button
            key={points}
            type="button"
            aria-pressed={answer.mark === points}
            onClick={() => mark(points)}
            className={cx(
              'border-line enabled:hover:bg-depth-1 aria-pressed:border-overlay aria-pressed:bg-tint grid',
              'min-h-7 grid-cols-[22px_1fr] rounded-md border px-2 py-1 text-left',
            )}
          >
            <b>{points}</b> <span>{m}</span>
          </button>
        ))}
        <TextField
          label={t('Comment to reader')}
          maxLength={500}
          value={comment}
          onBlur={() => {
            if (answer.mark != null && comment !== answer.comment) mark(answer.mark);
          }}
          set={setComment}
        />
      </fieldset>
      {error && <ErrorText>{error}</ErrorText>}
      {q.rubric && q.rubric.samples.length > 0 && (
        <details>
          <summary className="min-h-6 cursor-pointer text-sm">{t('Sample answers')}</summary>
          {q.rubric.samples.map((s, i) => (
            <p key={i} className="text-soft">
              “{s}”
            </p>
          ))}
        </details>
      )}
    </div>
  );
}
