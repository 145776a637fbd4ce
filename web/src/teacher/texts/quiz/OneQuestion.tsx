import { ArrowDown, ArrowUp, Trash, WarningDiamond } from '@phosphor-icons/react';
import { say, t } from '../../../shared/words';
import { Button } from '../../../ui/Button';
import { QuestionForm } from './QuestionForm';
import type { FormQuestion, QuizData } from './quizForm';

/** A sentence that stands by itself begins with a capital. */
const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** One question as it is written, what can be done with it, and what is to be said of it. */
export function OneQuestion({
  q,
  at,
  last,
  faults,
  change,
  move,
  remove,
}: {
  q: FormQuestion;
  at: number;
  last: boolean;
  faults: QuizData['faults'];
  change: (next: FormQuestion) => void;
  move: (to: number) => void;
  remove: () => void;
}) {
  return (
    <div className="grid content-start gap-2.5 overflow-auto px-4 pt-2.5 pb-6">
      <div className="flex flex-wrap items-center gap-2">
        <h2>{t('Question {{n}}', { n: at + 1 })}</h2>
        <span className="grow" />
        <Button size="sm" disabled={at === 0} onClick={() => move(at - 1)}>
          <ArrowUp size={16} aria-hidden />
          {t('Move up')}
        </Button>
        <Button size="sm" disabled={last} onClick={() => move(at + 1)}>
          <ArrowDown size={16} aria-hidden />
          {t('Move down')}
        </Button>
        <Button size="sm" onClick={remove}>
          <Trash size={16} aria-hidden />
          {t('Remove question')}
        </Button>
      </div>
      <QuestionForm key={at} q={q} first={at === 0} change={change} />
      <div role="status" aria-label={t('Remarks')}>
        {faults.some((f) => f.at === at) && (
          <ul className="grid gap-1 [&>li]:grid [&>li]:grid-cols-[22px_1fr]">
            {faults
              .filter((f) => f.at === at)
              .map((f) => (
                <li key={say(f.sentence)} className={f.stops ? 'font-semibold' : undefined}>
                  <WarningDiamond
                    size={16}
                    weight={f.stops ? 'fill' : 'regular'}
                    color="var(--color-buoy)"
                    aria-hidden
                  />
                  {capital(say(f.sentence))}
                </li>
              ))}
          </ul>
        )}
      </div>
    </div>
  );
}
