import { useQuery } from '@tanstack/react-query';
import { api, ok } from '../../shared/api';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { getKept } from '../offline/kept';

/** What the others wrote, once one's own answer is there. */
export function Talk({ ticketId, questionId }: { ticketId: string; questionId: string | null }) {
  const talk = useQuery({
    queryKey: keys.my.talk(ticketId),
    queryFn: () =>
      getKept(`/my/tickets/${ticketId}/talk`, () =>
        ok(api.GET('/my/tickets/{ticketId}/talk', { params: { path: { ticketId } } })),
      ),
    // Every question opens it anew: what was asked before one's own answer says nothing of it.
    staleTime: 0,
  });
  if (!talk.data) return null;
  const said = talk.data.filter((x) => x.questionId === questionId);
  return (
    <section aria-label={t('What others wrote')} className="border-line mt-3 grid gap-2 border-t pt-3">
      <h3 className="font-ui text-xl font-semibold">{t('What others wrote')}</h3>
      {said.length === 0 && !talk.isFetching && <p className="text-soft">{t('Nobody else has answered yet.')}</p>}
      <ul className="grid gap-2">
        {said.map((x, i) => (
          <li key={i} className="border-depth-5 border-l-3 pl-3 wrap-anywhere">
            <b>{x.name}</b>: {x.words}
          </li>
        ))}
      </ul>
    </section>
  );
}
