import { useState } from 'react';
import { api, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { t } from '../../shared/words';
import type { Question, Try } from '../texts/quiz/keys';

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
    <div className="markanswer">
      <blockquote>{answer.words}</blockquote>
      <fieldset disabled={!mayMark}>
        <legend>{answer.mark == null ? t('Mark it') : t('Marked {{n}} of 3', { n: answer.mark })}</legend>
        {(q.rubric?.marks ?? ['', '', '', '']).map((m, points) => (
          <button key={points} type="button" aria-pressed={answer.mark === points} onClick={() => mark(points)}>
            <b>{points}</b> <span>{m}</span>
          </button>
        ))}
        <label>
          {t('A word to the reader')}{' '}
          <input
            type="text"
            maxLength={500}
            value={comment}
            onChange={(e) => setComment(e.target.value)}
            onBlur={() => {
              if (answer.mark != null && comment !== answer.comment) mark(answer.mark);
            }}
          />
        </label>
      </fieldset>
      {error && (
        <p className="error" role="alert">
          {error}
        </p>
      )}
      {q.rubric && q.rubric.samples.length > 0 && (
        <details>
          <summary>{t('Sample answers')}</summary>
          {q.rubric.samples.map((s, i) => (
            <p key={i} className="soft">
              “{s}”
            </p>
          ))}
        </details>
      )}
    </div>
  );
}
