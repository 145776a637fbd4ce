import { cx } from 'class-variance-authority';
import { Link } from 'react-router';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { MeasuredSide } from './MeasuredSide';
import { PictureSide } from './PictureSide';
import { QuestionKey, Tags } from './quiz/QuestionKey';
import type { TextData, Version } from './TextPage';

/** What stands beside a text: how it was measured, its quiz, its words. */
export function TextSide({ x, version, classId }: { x: TextData; version: Version; classId: string }) {
  return (
    <div
      className={cx(
        'border-line [&>section]:border-line lg:border-l [&>section]:grid [&>section]:gap-1.5',
        '[&>section]:border-b [&>section]:px-4.5 [&>section]:py-3.5',
      )}
    >
      <PictureSide x={x} />
      <MeasuredSide v={version} />
      <QuizSide x={x} version={version} classId={classId} />
      {x.words.length > 0 && (
        <section aria-labelledby="wordsto">
          <h2 id="wordsto">{t('Words to know')}</h2>
          <dl className="[&_i]:text-soft grid gap-1 [&_dt]:font-semibold [&_i]:text-sm [&_i]:font-normal">
            {x.words.map((w) => (
              <div key={w.text}>
                <dt>
                  {w.text} <i>{w.part}</i>
                </dt>
                <dd>{w.meaning}</dd>
              </div>
            ))}
          </dl>
        </section>
      )}
    </div>
  );
}

function QuizSide({ x, version, classId }: { x: TextData; version: Version; classId: string }) {
  return (
    <section aria-labelledby="quiz">
      <h2 id="quiz">
        {t('Quiz')}{' '}
        <span className="font-ui text-soft text-sm font-normal">
          {t('{{count}} questions', { count: x.questions.filter((q) => !q.after).length })}
        </span>
      </h2>
      {x.questions.length === 0 && (
        <p className="text-soft">{t('No questions yet. Add a quiz to assign this text.')}</p>
      )}
      <ol
        className={cx(
          '[&>li]:border-line [&_summary]:cursor-pointer [&_summary]:leading-6 [&_ul]:grid [&_ul]:gap-1',
          '[&_ul]:pt-1.5 [&_ul]:pb-1 [&_ul]:pl-3.5 [&>li]:border-t [&>li]:py-1',
        )}
      >
        {x.questions.map((q) => (
          <li key={q.id}>
            <details>
              <summary>
                <Tags q={q} /> {q.stem}
              </summary>
              <QuestionKey q={q} version={version.label} reasons />
            </details>
          </li>
        ))}
      </ol>
      {x.mayChange && (
        <p>
          <Button asChild size="sm">
            <Link to={`/class/${classId}/texts/${x.id}/quiz`}>
              {x.questions.length === 0 ? t('Create quiz') : t('Edit quiz')}
            </Link>
          </Button>
        </p>
      )}
    </section>
  );
}
