import { api, ok } from '../../shared/api';
import { t } from '../../shared/words';
import type { Question, Try } from '../texts/quiz/keys';
import { Written } from '../../ui/Reader';
import { MarkField } from './MarkField';

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
  return (
    <div className="my-1.5 grid max-w-190 gap-1.5">
      <Written>{answer.words}</Written>
      <MarkField
        mark={answer.mark}
        said={answer.comment}
        of={q}
        may={mayMark}
        put={(points, comment) =>
          ok(
            api.PUT('/tickets/{ticketId}/marks/{answerId}', {
              params: { path: { ticketId, answerId: answer.id } },
              body: { points, comment },
            }),
          )
        }
      />
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
