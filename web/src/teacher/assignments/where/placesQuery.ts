import { queryOptions } from '@tanstack/react-query';
import { api, ok } from '../../../shared/api';
import { addDays } from '../../../shared/days';
import { keys } from '../../../shared/keys';
import { daysOfWeek } from '../week/weekLayout';

/** Where a class's readers are with the assignments of a week. */
export const placesOfWeek = (classId: string, monday: string) => {
  const to = addDays(monday, daysOfWeek - 1);
  return queryOptions({
    queryKey: keys.places(classId, monday, to),
    queryFn: () =>
      ok(api.GET('/classes/{classId}/places', { params: { path: { classId }, query: { from: monday, to } } })),
  });
};
