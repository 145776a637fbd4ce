import { useQuery } from '@tanstack/react-query';
import { api, ok } from '../../shared/api';
import { dayOf } from '../../shared/format';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { Show } from '../../ui/Show';

/** The classes a reader is and was in. */
export function Stays({ readerId }: { readerId: string }) {
  const stays = useQuery({
    queryKey: keys.stays(readerId),
    queryFn: () => ok(api.GET('/readers/{readerId}/stays', { params: { path: { readerId } } })),
  });
  return (
    <section aria-labelledby="stays">
      <h3 id="stays">{t('Classes')}</h3>
      <Show query={stays}>
        {(rows) => (
          <>
            {rows.length === 0 && <p className="text-soft text-sm">{t('Not in a class yet.')}</p>}
            <ul className="[&>li]:py-0.75">
              {rows.map((s, i) => (
                <li key={i}>
                  <b>{s.className}</b>{' '}
                  <span className="text-soft">
                    {s.yearName}, {s.schoolName},{' '}
                    {s.to
                      ? t('{{from}} to {{to}}', { from: dayOf(s.from), to: dayOf(s.to) })
                      : t('since {{day}}', { day: dayOf(s.from) })}
                  </span>
                </li>
              ))}
            </ul>
          </>
        )}
      </Show>
    </section>
  );
}
