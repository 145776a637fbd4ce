import { Plus, WarningDiamond } from '@phosphor-icons/react';
import { cx } from 'class-variance-authority';
import type { ReactNode } from 'react';
import { strandName } from '../../../shared/format';
import { say, t } from '../../../shared/words';
import { FileButton } from '../../../ui/FileButton';
import { Menu, MenuItem } from '../../../ui/Menu';
import { kindName, kinds } from './kinds';
import type { FormQuestion, QuizData } from './quizForm';

/** The questions of a quiz in their order, what is to be said of the whole of it, and another question. */
export function QuestionList({
  questions,
  faults,
  at,
  setAt,
  add,
  importFile,
  children,
}: {
  questions: FormQuestion[];
  faults: QuizData['faults'];
  at: number;
  setAt: (at: number) => void;
  add: (kind: FormQuestion['kind']) => void;
  importFile: (file: File) => void;
  children: ReactNode;
}) {
  return (
    <aside
      className={cx(
        'border-line bg-sand [&_small]:text-soft overflow-auto px-2 pt-2 pb-4 text-sm lg:border-r',
        '[&_ol]:mb-2 [&_ol]:grid [&_ol]:gap-0.5 [&_small]:block',
      )}
      aria-label={t('Questions')}
    >
      {children}
      <ol>
        {questions.map((x, i) => (
          <li key={i}>
            <Line
              question={x}
              n={i + 1}
              faults={faults.filter((f) => f.at === i)}
              current={i === at}
              choose={() => setAt(i)}
            />
          </li>
        ))}
      </ol>
      <Menu label={t('Add question')}>
        {kinds.map((k) => (
          <MenuItem key={k} onSelect={() => add(k)}>
            <Plus size={16} aria-hidden /> {kindName(k)}
          </MenuItem>
        ))}
      </Menu>
      <FileButton size="sm" label={t('Import questions (QTI)')} accept=".zip" take={importFile} />
      {questions.length > 0 && (
        <ul
          className="border-buoy bg-paper mt-3 grid gap-1 border-l-3 px-2.5 py-2"
          aria-label={t('About the whole quiz')}
        >
          {faults
            .filter((f) => f.at == null)
            .map((f) => (
              <li key={say(f.sentence)}>{say(f.sentence)}</li>
            ))}
        </ul>
      )}
    </aside>
  );
}

function Line({
  question: x,
  n,
  faults,
  current,
  choose,
}: {
  question: FormQuestion;
  n: number;
  faults: QuizData['faults'];
  current: boolean;
  choose: () => void;
}) {
  return (
    <button
      type="button"
      aria-current={current ? 'true' : undefined}
      onClick={choose}
      className={cx(
        'hover:bg-paper aria-[current]:border-overlay aria-[current]:bg-tint grid w-full',
        'grid-cols-[20px_1fr_auto] items-start gap-1.5 rounded-md border border-transparent px-2',
        'py-1.5 text-left',
      )}
    >
      <b>{n}</b>
      <span>
        {x.stem || t('(no question yet)')}
        <small>
          {strandName(x.strand)} · {kindName(x.kind)}
          {x.after && ` · ${t('on the way')}`}
          {x.evidence && ` · ${t('proof')}`}
        </small>
      </span>
      {faults.length > 0 && (
        <WarningDiamond
          size={18}
          weight={faults.some((f) => f.stops) ? 'fill' : 'regular'}
          color="var(--color-buoy)"
          aria-label={t('{{count}} remarks', { count: faults.length })}
        />
      )}
    </button>
  );
}
