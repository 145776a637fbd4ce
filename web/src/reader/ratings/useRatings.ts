import { useQuery, useQueryClient } from '@tanstack/react-query';
import { api, ok, type Api } from '../../shared/api';
import { keys } from '../../shared/keys';
import { getKept } from '../offline/kept';
import { keptRatings, sendRating, useOutbox } from '../offline/outbox';

export type Liking = Api<'Liking'>;

/** What the reader thinks of texts: from the server, or kept on this device and not yet sent. */
export function useRatings() {
  useOutbox();
  const client = useQueryClient();
  const all = useQuery({
    queryKey: keys.my.ratings,
    queryFn: () => getKept('/my/ratings', () => ok(api.GET('/my/ratings'))),
  });
  const waiting = keptRatings();
  return {
    of: (textId: string) => {
      const kept = waiting.get(textId);
      const known = all.data?.find((r) => r.textId === textId);
      return kept ? { textId, ...kept, words: kept.words ?? '', approval: 'Waiting' as const } : known;
    },
    put: async (textId: string, liking: Liking, words: string) => {
      const now = await sendRating(textId, { liking, words, at: new Date().toISOString() });
      if (now) client.setQueryData(keys.my.ratings, now);
    },
  };
}
