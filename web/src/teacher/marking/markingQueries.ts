import { useQuery } from '@tanstack/react-query';
import { api, ok } from '../../shared/api';
import { keys } from '../../shared/keys';

export const useRecordings = (classId: string) =>
  useQuery({
    queryKey: keys.marking.recordings(classId),
    queryFn: () => ok(api.GET('/classes/{classId}/recordings', { params: { path: { classId } } })),
  });
export const useOthers = (classId: string) =>
  useQuery({
    queryKey: keys.marking.others(classId),
    queryFn: () => ok(api.GET('/classes/{classId}/marking/others', { params: { path: { classId } } })),
  });
export const useMarking = (classId: string) =>
  useQuery({
    queryKey: keys.marking.tickets(classId),
    queryFn: () => ok(api.GET('/classes/{classId}/marking', { params: { path: { classId } } })),
  });
