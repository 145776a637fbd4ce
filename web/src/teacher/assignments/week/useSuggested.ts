import { useQuery } from '@tanstack/react-query';
import { api, ok } from '../../../shared/api';
import { keys } from '../../../shared/keys';

/** Texts that fit each group. */
export const useSuggested = (classId: string) =>
  useQuery({
    queryKey: keys.suggestions(classId),
    queryFn: () => ok(api.GET('/classes/{classId}/week/suggestions', { params: { path: { classId } } })),
  });
