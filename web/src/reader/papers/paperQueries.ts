import { useQuery } from '@tanstack/react-query';
import { api, ok } from '../../shared/api';
import { keys } from '../../shared/keys';

export const useMyPapers = (ticketId: string) =>
  useQuery({
    queryKey: keys.my.papers(ticketId),
    queryFn: () => ok(api.GET('/my/tickets/{ticketId}/papers', { params: { path: { ticketId } } })),
    retry: false,
  });
