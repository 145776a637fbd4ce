import { cx } from 'class-variance-authority';
import { Plus, X } from '@phosphor-icons/react';
import type { Api } from '../../../shared/api';
import { t } from '../../../shared/words';
import { Button } from '../../../ui/Button';
import { IconButton } from '../../../ui/IconButton';
import { TextArea, TextField } from '../../../ui/TextField';
import { blankRow } from './quizForm';

const mostRows = 6;
const mostPoints = 9;
type Rubric = Api<'Rubric'>;
type Row = { name: string; marks: string[] };

/** What earns points, row by row, and answers as readers could give them. */
export function RubricForm({ rubric, change }: { rubric: Rubric; change: (rubric: Rubric) => void }) {
  const { criteria: rows, samples } = rubric;
  const put = (next: Partial<Rubric>) => change({ ...rubric, ...next });
  const most = rows.reduce((sum, row) => sum + row.marks.length - 1, 0);
  const right = Math.ceil((2 * most) / 3);
  return (
    <fieldset
      className={cx(
        'border-line grid gap-2.5 rounded-md border px-2.5 pt-1.5 pb-2.5 [&>legend]:px-1',
        '[&>legend]:text-sm [&>legend]:font-semibold',
      )}
    >
      <legend>{t('Rubric: {{count}} marks; {{right}} or more count as right', { count: most, right })}</legend>
      {rows.map((row, at) => (
        <RowForm
          key={at}
          row={row}
          at={at}
          alone={rows.length === 1}
          change={(next) => put({ criteria: rows.map((r, i) => (i === at ? next : r)) })}
          remove={() => put({ criteria: rows.filter((_, i) => i !== at) })}
        />
      ))}
      {rows.length < mostRows && (
        <Button
          size="sm"
          look="plain"
          className="justify-self-start"
          onClick={() => put({ criteria: [...rows, blankRow()] })}
        >
          <Plus size={16} aria-hidden />
          {t('Add row')}
        </Button>
      )}
      {samples.map((sample, i) => (
        <TextArea
          key={i}
          label={t('Sample answer {{n}}', { n: i + 1 })}
          inline
          rows={2}
          value={sample}
          set={(value) => put({ samples: samples.map((s, k) => (k === i ? value : s)) })}
        />
      ))}
    </fieldset>
  );
}

/** One row: its name, where there are several, and what earns each of its points. */
function RowForm({
  row,
  at,
  alone,
  change,
  remove,
}: {
  row: Row;
  at: number;
  alone: boolean;
  change: (row: Row) => void;
  remove: () => void;
}) {
  const put = (n: number, words: string) => change({ ...row, marks: row.marks.map((m, i) => (i === n ? words : m)) });
  return (
    <div className={cx('grid gap-1.5', !alone && 'border-line border-t pt-2')}>
      {!alone && (
        <div className="grid grid-cols-[1fr_auto] items-center gap-1.5">
          <TextField
            label={t('Row {{n}} looks at', { n: at + 1 })}
            inline
            maxLength={80}
            value={row.name}
            set={(name) => change({ ...row, name })}
          />
          <IconButton look="plain" label={t('Remove row {{n}}', { n: at + 1 })} onClick={remove}>
            <X size={16} aria-hidden />
          </IconButton>
        </div>
      )}
      {row.marks.map((words, n) => (
        <div key={n} className="grid grid-cols-[24px_1fr] items-center">
          <b>{n}</b>
          <TextField
            label={alone ? t('What earns {{n}}', { n }) : t('What earns {{n}} in row {{row}}', { n, row: at + 1 })}
            bare
            value={words}
            set={(value) => put(n, value)}
          />
        </div>
      ))}
      <div className="flex flex-wrap gap-1.5 pl-6">
        {row.marks.length <= mostPoints && (
          <Button size="sm" look="plain" onClick={() => change({ ...row, marks: [...row.marks, ''] })}>
            {t('Add point')}
          </Button>
        )}
        {row.marks.length > 2 && (
          <Button size="sm" look="plain" onClick={() => change({ ...row, marks: row.marks.slice(0, -1) })}>
            {t('Remove point')}
          </Button>
        )}
      </div>
    </div>
  );
}
