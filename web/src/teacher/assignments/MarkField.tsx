import { useState } from 'react';
import { sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { markSum } from '../../shared/scores';
import { t } from '../../shared/words';
import { ErrorText } from '../../ui/Field';
import { TextField } from '../../ui/TextField';
import { Criteria } from '../marking/Criteria';
import { rowsOf, whole, withPoint, type GivenMark, type Points, type Rubric } from '../marking/rubric';

/** An answer's rubric where the answer shows: one press a row, and with the last of them it is marked. */
export function MarkField({
  mark,
  said,
  of,
  may,
  put,
}: {
  mark: GivenMark | null;
  said: string;
  of: { rubric: Rubric | null };
  may: boolean;
  put: (points: number[], comment: string) => Promise<unknown>;
}) {
  const changed = useChanged();
  const [comment, setComment] = useState(said);
  const rows = rowsOf(of).length;
  const [points, choose] = useState<Points>(
    mark?.points.length === rows ? mark.points : Array.from({ length: rows }, () => null),
  );
  const [error, setError] = useState('');
  const give = (next: Points) => {
    choose(next);
    const given = whole(next);
    if (given)
      void put(given, comment).then(
        () => {
          setError('');
          return changed('work');
        },
        (e: unknown) => setError(sentence(e)),
      );
  };
  return (
    <>
      <fieldset disabled={!may} className="border-line grid gap-1.5 rounded-md border px-2.5 pt-1 pb-2">
        <legend className="px-1 font-semibold">
          {mark == null ? t('Mark') : t('Marked {{n}} of {{of}}', { n: markSum(mark), of: mark.of })}
        </legend>
        <Criteria of={of} points={points} may={may} choose={(n, at) => give(withPoint(points, at, n))} />
        <TextField
          label={t('Comment to reader')}
          maxLength={500}
          value={comment}
          onBlur={() => {
            if (mark != null && comment !== said) give(points);
          }}
          set={setComment}
        />
      </fieldset>
      {error && <ErrorText>{error}</ErrorText>}
    </>
  );
}
