import { useQuery } from '@tanstack/react-query';
import { api, ok } from '../../shared/api';
import { keys } from '../../shared/keys';

/** What became of the feedback on a ticket. */
export const useFeedback = (ticketId: string) =>
  useQuery({
    queryKey: keys.feedback(ticketId),
    queryFn: () => ok(api.GET('/tickets/{ticketId}/feedback', { params: { path: { ticketId } } })),
  });
