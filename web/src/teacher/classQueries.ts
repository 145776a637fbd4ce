import { keepPreviousData, queryOptions, skipToken, useMutation, useQuery } from '@tanstack/react-query';
import { toast } from 'sonner';
import { type Api, api, ok, sentence } from '../shared/api';
import { useAllChanged } from '../shared/changed';
import { keys } from '../shared/keys';
import { type Message, say, t } from '../shared/words';

export type ClassData = Api<'ClassView'>;
export type ReaderRow = Api<'RosterView'>;
export type ReaderData = Api<'ReaderView'>;
export type TextRow = Api<'TextRow'>;

/** The groups of a class, those of guided reading first. */
export const allGroups = (data: ClassData) => [...data.groups, ...data.otherGroups];

export const useClass = (classId: string) =>
  useQuery({
    queryKey: keys.class(classId),
    queryFn: () => ok(api.GET('/classes/{classId}', { params: { path: { classId } } })),
  });
/** Some texts by their ids. */
export const useTexts = (classId: string, ids: string[]) =>
  useQuery({
    queryKey: keys.texts(classId, ids),
    enabled: ids.length > 0,
    placeholderData: keepPreviousData,
    queryFn: () => ok(api.GET('/texts', { params: { query: { classId, ids: ids.join(',') } } })),
  });
/** Texts of the library in which a word is found, as they are typed towards. */
export const libraryFor = (classId: string, word: string) =>
  queryOptions({
    queryKey: keys.library.jump(classId, word),
    queryFn: () => ok(api.GET('/library', { params: { query: { classId, q: word } } })),
  });
export const useReader = (readerId: string | undefined) =>
  useQuery({
    queryKey: keys.reader.one(readerId),
    queryFn: readerId ? () => ok(api.GET('/readers/{readerId}', { params: { path: { readerId } } })) : skipToken,
  });

/** What a reader's level rests on, piece by piece. */
export const useEvidence = (readerId: string) =>
  useQuery({
    queryKey: keys.reader.evidence(readerId),
    queryFn: () => ok(api.GET('/readers/{readerId}/evidence', { params: { path: { readerId } } })),
  });

export function useUndo() {
  const changed = useAllChanged();
  return useMutation({
    mutationFn: async (of: string | readonly string[]) => {
      const [first = '', ...rest] = typeof of === 'string' ? [of] : of;
      const undo = (changeId: string) => ok(api.POST('/changes/{changeId}/undo', { params: { path: { changeId } } }));
      const done = await undo(first);
      for (const changeId of rest) await undo(changeId);
      return done;
    },
    // A whole district's roster takes most of a minute to be taken back: the note stays and turns until then.
    onMutate: () => toast.loading(t('Undoing…')),
    onSuccess: (done, _, note) => {
      toast.success(say(done.sentence), { id: note });
      void changed();
    },
    onError: (e, _, note) => toast.error(sentence(e), { id: note }),
  });
}

/** What was done, as a page or the server says it. */
export type Done = { changeId: string | null; sentence: string | Message; asked: number };
export const sentenceOf = (done: Done) => (typeof done.sentence === 'string' ? done.sentence : say(done.sentence));

/** Says what was done, and offers to take it back. */
export function useSaid() {
  const undo = useUndo();
  return (what: string | Message, changeId: string | readonly string[] | null) =>
    toast.success(typeof what === 'string' ? what : say(what), {
      duration: 15_000,
      action: changeId ? { label: t('Undo'), onClick: () => undo.mutate(changeId) } : undefined,
    });
}

/** What readers of a class are called, by whatever ID a row has; who has left keeps the given name. */
export const calledIn = (data: ClassData | undefined) => {
  const names = new Map(data?.readers.map((r) => [r.id, r.called]));
  return (id: string, givenName: string) => names.get(id) ?? givenName;
};
