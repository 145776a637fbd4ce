import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { type Api, api, ok } from '../../shared/api';
import { keys } from '../../shared/keys';
import type { termsOfHow, TextKind } from './how';
import { useLater } from '../../shared/useLater';

interface About extends ReturnType<typeof termsOfHow> {
  readerIds: string[];
  texts: string[];
  kind?: TextKind;
  tasks?: TaskToGive[];
}

type TaskToGive = Api<'TaskToGive'>;

/** What stands out about something before it is given: days, groups that are not complete, levels in words. */
export function useNotes(classId: string, now: About) {
  const asked = useLater(JSON.stringify(now), 300);
  return useQuery({
    queryKey: keys.notes(classId, asked),
    enabled: now.readerIds.length > 0,
    placeholderData: keepPreviousData,
    queryFn: () => {
      const { texts, ...about } = JSON.parse(asked) as About;
      return ok(
        api.POST('/classes/{classId}/assignments/notes', {
          params: { path: { classId } },
          body: {
            ...about,
            attempts: 1,
            skipGiven: true,
            texts: texts.length > 0 ? texts.map((textId) => ({ id: textId, textId })) : null,
          },
        }),
      );
    },
  });
}
