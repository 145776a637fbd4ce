import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { toast } from 'sonner';
import { get, post, sentence, type Api } from '../shared/api';
import { t } from '../shared/words';

export type ClassData = Api<'ClassView'>;
export type ReaderRow = Api<'RosterView'>;
export type TextRow = Api<'TextRow'>;

export const useClass = (classId: string) =>
  useQuery({ queryKey: ['class', classId], queryFn: () => get<ClassData>(`/classes/${classId}`) });
/** Some texts by their ids. */
export const useTexts = (classId: string, ids: string[]) =>
  useQuery({
    queryKey: ['texts', classId, ids],
    enabled: ids.length > 0,
    placeholderData: keepPreviousData,
    queryFn: () => get<TextRow[]>(`/texts?classId=${classId}&ids=${ids.join(',')}`),
  });
export const useReader = (readerId: string | undefined) =>
  useQuery({
    queryKey: ['reader', readerId],
    enabled: !!readerId,
    queryFn: () => get<Api<'ReaderView'>>(`/readers/${readerId}`),
  });

/** Everything a class shows may depend on what was changed, so all of it is asked for again. */
export function useRefresh() {
  const client = useQueryClient();
  return () => client.invalidateQueries({ predicate: (q) => q.queryKey[0] !== 'session' });
}

export function useUndo() {
  const refresh = useRefresh();
  return useMutation({
    mutationFn: (changeId: string) => post<Api<'UndoneView'>>(`/changes/${changeId}/undo`),
    // A whole district's roster takes most of a minute to be taken back: the note stays and turns until then.
    onMutate: () => toast.loading(t('Taking it back…')),
    onSuccess: (done, _, note) => {
      toast.success(done.sentence, { id: note });
      void refresh();
    },
    onError: (e, _, note) => toast.error(sentence(e), { id: note }),
  });
}

/** Says what was done, and offers to take it back. */
export function useSaid() {
  const undo = useUndo();
  return (what: string, changeId: string | null) =>
    toast.success(what, {
      duration: 15_000,
      action: changeId ? { label: t('Undo'), onClick: () => undo.mutate(changeId) } : undefined,
    });
}
