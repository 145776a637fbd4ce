import { cx } from 'class-variance-authority';
import { useState } from 'react';
import { sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { t } from '../../shared/words';
import { ErrorText } from '../../ui/Field';
import { TextField } from '../../ui/TextField';

/** Marks from 0 to 3 with what each means: one press marks; a comment goes with it. */
export function MarkField({
  mark,
  said,
  words,
  may,
  put,
}: {
  mark: number | null;
  said: string;
  words: readonly string[];
  may: boolean;
  put: (mark: number, comment: string) => Promise<unknown>;
}) {
  const changed = useChanged();
  const [comment, setComment] = useState(said);
  const [error, setError] = useState('');
  const give = (points: number) =>
    void put(points, comment).then(
      () => {
        setError('');
        return changed('work');
      },
      (e: unknown) => setError(sentence(e)),
    );
  return (
    <>
      <fieldset disabled={!may} className="border-line grid gap-1 rounded-md border px-2.5 pt-1 pb-2">
        <legend className="px-1 font-semibold">{mark == null ? t('Mark') : t('Marked {{n}} of 3', { n: mark })}</legend>
        {words.map((m, points) => (
          <button
            key={points}
            type="button"
            aria-pressed={mark === points}
            onClick={() => give(points)}
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
            if (mark != null && comment !== said) give(mark);
          }}
          set={setComment}
        />
      </fieldset>
      {error && <ErrorText>{error}</ErrorText>}
    </>
  );
}
