import { useQuery, useQueryClient } from '@tanstack/react-query';
import { toast } from 'sonner';
import { api, ok, sentence } from '../../shared/api';
import { dayOf, minutes } from '../../shared/format';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';

/** What a reader says they read on paper; a teacher who knows of it confirms it. */
export function ReadElsewhere({ readerId, mayConfirm }: { readerId: string; mayConfirm: boolean }) {
  const client = useQueryClient();
  const key = keys.reader.elsewhere(readerId);
  const told = useQuery({
    queryKey: key,
    queryFn: () => ok(api.GET('/readers/{readerId}/own-readings', { params: { path: { readerId } } })),
  });
  if (!told.data || told.data.length === 0) return null;
  const confirm = (ownReadingId: string, confirmed: boolean) =>
    ok(
      api.PUT('/readers/{readerId}/own-readings/{ownReadingId}/confirmed', {
        params: { path: { readerId, ownReadingId } },
        body: { confirmed },
      }),
    ).then(
      (now) => client.setQueryData(key, now),
      (problem: unknown) => toast.error(sentence(problem)),
    );
  return (
    <section className="px-4 pt-3.5">
      <h2>{t('Read on paper')}</h2>
      <p className="text-soft text-sm">{t('As the reader tells it. It counts in no figure.')}</p>
      <ul className="mt-1.5">
        {told.data.map((o) => (
          <li key={o.id} className="border-line flex flex-wrap items-baseline gap-x-3 gap-y-1 border-t py-1.5">
            <b className="font-serif">{o.title}</b>
            {o.author && <span className="text-soft">{o.author}</span>}
            <span className="text-sm">
              {[
                dayOf(o.day),
                o.pages && t('{{count}} pages', { count: o.pages }),
                o.minutes && minutes(o.minutes * 60),
                !o.finished && t('not finished'),
              ]
                .filter(Boolean)
                .join(' · ')}
            </span>
            {o.said && <span className="text-sm">“{o.said}”</span>}
            <span className="grow" />
            {o.confirmedAt && (
              <span className="text-sm">{t('Confirmed by {{name}}', { name: o.confirmedBy ?? t('a teacher') })}</span>
            )}
            {mayConfirm && (
              <Button size="sm" onClick={() => void confirm(o.id, o.confirmedAt === null)}>
                {o.confirmedAt ? t('Take back') : t('Confirm')}
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
