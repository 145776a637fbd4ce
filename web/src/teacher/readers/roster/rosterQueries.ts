import { useMutation, useQuery } from '@tanstack/react-query';
import { toast } from 'sonner';
import { get, sentence, type Api } from '../../../shared/api';
import { t } from '../../../shared/words';
import { useRefresh, useSaid } from '../../classQueries';

export type Roster = Api<'ClassRosterView'>;
export type Member = Api<'MemberView'>;

export const useRoster = (classId: string) =>
  useQuery({ queryKey: ['roster', classId], queryFn: () => get<Roster>(`/classes/${classId}/roster`) });

/** Does something to the roster, says what was done with an undo, and shows everything anew. */
export function useRosterChange() {
  const refresh = useRefresh();
  const said = useSaid();
  return useMutation({
    mutationFn: (doIt: () => Promise<Api<'RosterChanged'>>) => doIt(),
    onSuccess: (done) => {
      said(
        done.changeId && done.asked > 0
          ? `${done.sentence}. ${t('Asked for {{count}} readers of other classes', { count: done.asked })}`
          : done.sentence,
        done.changeId,
      );
      void refresh();
    },
    onError: (e) => toast.error(sentence(e)),
  });
}
