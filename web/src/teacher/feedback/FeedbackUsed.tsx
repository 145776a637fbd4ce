import { useMutation } from '@tanstack/react-query';
import { api, ok, type Api } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { clock, dayOf } from '../../shared/format';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { useFeedback } from './useFeedback';

type Used = Api<'FeedbackUse'>;

/** Whether the reader looked at the result, for how long, and what they say to comments. */
export function FeedbackUsed({ ticketId, name, may }: { ticketId: string; name: string; may: boolean }) {
  const used = useFeedback(ticketId).data;
  if (!used) return null;
  return (
    <section aria-label={t('Feedback')} className="border-line grid gap-1 border-t px-4 py-2">
      <p className="text-sm">{lookedAt(used, name)}</p>
      {used.replies.length > 0 && <Replies ticketId={ticketId} used={used} name={name} may={may} />}
    </section>
  );
}

const lookedAt = (used: Used, name: string) =>
  used.lastAt
    ? t('{{name}} looked at the result for {{time}} min, last {{day}}.', {
        name,
        time: clock(used.seconds),
        day: dayOf(used.lastAt),
      })
    : t('{{name}} has not looked at the result yet.', { name });

function Replies({ ticketId, used, name, may }: { ticketId: string; used: Used; name: string; may: boolean }) {
  const changed = useChanged();
  const seen = useMutation({
    mutationFn: () => ok(api.POST('/tickets/{ticketId}/feedback/seen', { params: { path: { ticketId } } })),
    onSuccess: () => changed('work'),
  });
  const unseen = used.replies.some((r) => r.seenAt === null);
  return (
    <ul aria-label={t('What {{name}} says to comments', { name })} className="grid gap-1">
      {used.replies.map((r) => (
        <li key={r.answerId ?? ''} className="border-depth-5 border-l-3 pl-3 wrap-anywhere">
          {r.words} <span className="text-soft text-sm">{dayOf(r.at)}</span>
        </li>
      ))}
      {unseen && may && (
        <li>
          <Button size="sm" aria-busy={seen.isPending} onClick={() => seen.mutate()}>
            {t('Mark as seen')}
          </Button>
        </li>
      )}
    </ul>
  );
}
