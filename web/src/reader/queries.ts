import { useQuery } from '@tanstack/react-query';
import { isDone, type TicketState } from '../shared/ticketStates';
import type { Api } from '../shared/api';
import { handInWaits } from './offline/outbox';
import { getKept } from './offline/kept';

export type Work = Api<'MyWork'>;
export type MyTicket = Api<'MyTicket'>;
export const useMine = () =>
  useQuery({ queryKey: ['my', 'tickets'], queryFn: () => getKept<MyTicket[]>('/my/tickets') });
export const workOf = (ticketId: string) => ({
  queryKey: ['my', 'ticket', ticketId],
  queryFn: () => getKept<Work>(`/my/tickets/${ticketId}`),
  staleTime: 60_000,
});
export const useWork = (ticketId: string) => useQuery(workOf(ticketId));
export const letters = (depth: number) => (depth < 30 ? 'first' : 'serif');
/** Handed in, here or already on the server: nothing more can be answered. */
export const finished = (of: { id: string; state: TicketState }) => isDone(of.state) || handInWaits(of.id);
export type Choices = Api<'ChoicesView'>;
export const useChoices = () =>
  useQuery({ queryKey: ['my', 'choices'], queryFn: () => getKept<Choices>('/my/choices') });
