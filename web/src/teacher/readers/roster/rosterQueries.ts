import { useMutation, useQuery } from '@tanstack/react-query';
import { toast } from 'sonner';
import { type Api, api, ok, sentence } from '../../../shared/api';
import { useChanged } from '../../../shared/changed';
import { keys } from '../../../shared/keys';
import { t } from '../../../shared/words';
import { sentenceOf, useSaid, type Done } from '../../classQueries';

export type Roster = Api<'ClassRosterView'>;
export type Member = Api<'MemberView'>;

export const useRoster = (classId: string) =>
  useQuery({
    queryKey: keys.roster(classId),
    queryFn: () => ok(api.GET('/classes/{classId}/roster', { params: { path: { classId } } })),
  });

/** Does something to the roster, says what was done with an undo, and shows everything anew. */
export function useRosterChange() {
  const changed = useChanged();
  const said = useSaid();
  return useMutation({
    mutationFn: (doIt: () => Promise<Done>) => doIt(),
    onSuccess: (done) => {
      said(
        done.changeId && done.asked > 0
          ? `${sentenceOf(done)}. ${t('Requested {{count}} readers from other classes', { count: done.asked })}`
          : done.sentence,
        done.changeId,
      );
      void changed('roster');
    },
    onError: (e) => toast.error(sentence(e)),
  });
}
