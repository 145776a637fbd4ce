import { useQuery, useQueryClient } from '@tanstack/react-query';
import { api, ok } from '../../../shared/api';
import { keys } from '../../../shared/keys';

/** The class's stream and what is shared in it. What is on its way is looked at again until it is there. */
export const useStream = (classId: string) =>
  useQuery({
    queryKey: keys.stream(classId),
    queryFn: () => ok(api.GET('/classes/{classId}/stream', { params: { path: { classId } } })),
    staleTime: 60_000,
  });

/** Linking a class with its stream, and sharing in it. */
export function useStreamDeeds(classId: string) {
  const client = useQueryClient();
  const path = { classId };
  const then = async (doing: Promise<unknown>) => {
    await doing;
    await client.invalidateQueries({ queryKey: keys.stream(classId) });
  };
  const shared = (assignmentId: string) => ({ params: { path: { assignmentId } } });
  return {
    link: (course: string) => then(ok(api.PUT('/classes/{classId}/stream', { params: { path }, body: { course } }))),
    unlink: () => then(ok(api.DELETE('/classes/{classId}/stream', { params: { path } }))),
    share: (assignmentId: string) => then(ok(api.PUT('/assignments/{assignmentId}/stream', shared(assignmentId)))),
    stop: (assignmentId: string) => then(ok(api.DELETE('/assignments/{assignmentId}/stream', shared(assignmentId)))),
  };
}
