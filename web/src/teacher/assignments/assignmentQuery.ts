import { useQuery } from '@tanstack/react-query';
import { api, ok } from '../../shared/api';
import { keys } from '../../shared/keys';

export const fetchAssignment = (assignmentId: string) =>
  ok(api.GET('/assignments/{assignmentId}', { params: { path: { assignmentId } } }));

/** An assignment with its tickets, and what was given in the same act. */
export const useAssignment = (assignmentId: string) =>
  useQuery({ queryKey: keys.assignment(assignmentId), queryFn: () => fetchAssignment(assignmentId) });
