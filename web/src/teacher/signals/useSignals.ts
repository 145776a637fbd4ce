import { useMutation, useQuery } from '@tanstack/react-query';
import { toast } from 'sonner';
import { api, ok, sentence, type Api } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { dayOf } from '../../shared/format';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';

export const useSignals = (classId: string) =>
  useQuery({
    queryKey: keys.signals(classId),
    queryFn: () => ok(api.GET('/classes/{classId}/signals', { params: { path: { classId } } })),
  });

type Deed = { ids: string[]; deed: Api<'SignalDeed'>; until?: string };

/** What a teacher does about signals; each can be taken back. */
export function useSignalDeeds(classId: string) {
  const changed = useChanged();
  const send = useMutation({
    mutationFn: (body: Deed) =>
      ok(api.POST('/classes/{classId}/signals', { params: { path: { classId } }, body: { until: null, ...body } })),
    onSuccess: () => changed('signals'),
    onError: (e) => toast.error(sentence(e)),
  });
  const reopen = (ids: string[]) => ({ label: t('Undo'), onClick: () => send.mutate({ ids, deed: 'Reopen' }) });
  return {
    see: (ids: string[]) => send.mutate({ ids, deed: 'See' }),
    done: (ids: string[]) =>
      send.mutate(
        { ids, deed: 'Done' },
        { onSuccess: () => toast.success(t('Done. It comes back only with new evidence.'), { action: reopen(ids) }) },
      ),
    putOff: (ids: string[], until: string) =>
      send.mutate(
        { ids, deed: 'PutOff', until },
        { onSuccess: () => toast.success(t('Put off until {{day}}', { day: dayOf(until) }), { action: reopen(ids) }) },
      ),
    stepped: (ids: string[]) => send.mutate({ ids, deed: 'Step' }),
    reopen: (ids: string[]) => send.mutate({ ids, deed: 'Reopen' }),
  };
}
