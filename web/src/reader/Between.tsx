import { useQueryClient } from '@tanstack/react-query';
import { keys } from '../shared/keys';
import { t } from '../shared/words';
import { keptAnswers, useOutbox } from './offline/outbox';
import type { Work } from './queries';
import { Asked } from './questions/Asked';
import type { Question } from './questions/draft';

/** Questions on the way: they help while reading and count for nothing. */
export function Between({ work, after, last }: { work: Work; after: number; last: boolean }) {
  const client = useQueryClient();
  useOutbox();
  const here = work.onTheWay.filter((q) => q.after === after || (last && (q.after ?? 0) > after));
  if (here.length === 0) return null;
  const kept = keptAnswers(work.id);
  const patch = (next: Question) =>
    client.setQueryData<Work>(
      keys.my.ticket(work.id),
      (w) => w && { ...w, onTheWay: w.onTheWay.map((q) => (q.id === next.id ? next : q)) },
    );
  return (
    <aside
      data-between
      className="[&>p]:font-ui [&>p]:text-reader [&>p]:text-soft -mx-3 my-6 [&>p]:mb-1.5 [&>p]:font-semibold"
      aria-label={t('A question on the way')}
    >
      <p>{t('Stop and think')}</p>
      {here.map((q, i) => (
        <Asked
          key={q.id}
          aside
          work={work}
          q={q}
          before={here[i - 1]}
          kept={kept.get(q.id)}
          said={(next) => next && patch(next)}
        />
      ))}
    </aside>
  );
}
