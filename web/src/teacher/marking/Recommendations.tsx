import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { toast } from 'sonner';
import { api, ok, sentence, type Api } from '../../shared/api';
import { dayOf } from '../../shared/format';
import { keys } from '../../shared/keys';
import { phrase, t, type Phrase } from '../../shared/words';
import { Button } from '../../ui/Button';

type Row = Api<'RecommendationRow'>;

export const useRecommendations = (classId: string) =>
  useQuery({
    queryKey: keys.marking.recommendations(classId),
    queryFn: () => ok(api.GET('/classes/{classId}/recommendations', { params: { path: { classId } } })),
  });

const likings: Record<Row['liking'], Phrase> = {
  NotForMe: phrase('not for me'),
  AllRight: phrase('all right'),
  Good: phrase('liked it'),
  Favourite: phrase('a favourite'),
};
const seen: Record<Row['approval'], Phrase> = {
  None: phrase('Not shown'),
  Waiting: phrase('New'),
  Approved: phrase('The class sees it'),
  Kept: phrase('Only you and the reader see it'),
};

/** What readers say of texts to their class: new ones first; each is shown or kept with one press. */
export function Recommendations({ classId, rows, mayMark }: { classId: string; rows: Row[]; mayMark: boolean }) {
  const client = useQueryClient();
  const show = (r: Row, shown: boolean) =>
    ok(
      api.PUT('/classes/{classId}/recommendations/{readerId}/{textId}', {
        params: { path: { classId, readerId: r.readerId, textId: r.textId } },
        body: { shown },
      }),
    ).then(
      (now) => client.setQueryData(keys.marking.recommendations(classId), now),
      (problem: unknown) => toast.error(sentence(problem)),
    );
  return (
    <ul>
      {rows.map((r) => (
        <li
          key={`${r.readerId} ${r.textId}`}
          className="border-line flex flex-wrap items-baseline gap-x-3 gap-y-1 border-t px-4 py-2"
        >
          <b>
            {r.givenName} {r.familyName}
          </b>
          <span>
            <Link to={`/class/${classId}/texts/${r.textId}`}>{r.title}</Link>, {t(likings[r.liking])}
          </span>
          <span className="text-soft text-sm">{dayOf(r.at)}</span>
          <q className="min-w-60 grow basis-full wrap-anywhere lg:basis-0">{r.words}</q>
          <span className="text-sm">{t(seen[r.approval])}</span>
          {mayMark && r.approval !== 'Approved' && (
            <Button size="sm" look={r.approval === 'Waiting' ? 'main' : undefined} onClick={() => void show(r, true)}>
              {t('Show to class')}
            </Button>
          )}
          {mayMark && r.approval !== 'Kept' && (
            <Button size="sm" onClick={() => void show(r, false)}>
              {t('Do not show')}
            </Button>
          )}
        </li>
      ))}
    </ul>
  );
}
