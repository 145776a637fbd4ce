import { useQuery } from '@tanstack/react-query';
import { get, type Api } from '../shared/api';

export type Work = Api<'MyWork'>;
export type MyTicket = Api<'MyTicket'>;
export const useMine = () => useQuery({ queryKey: ['my', 'tickets'], queryFn: () => get<MyTicket[]>('/my/tickets') });
export const useWork = (ticketId: string) => useQuery({ queryKey: ['my', 'ticket', ticketId], queryFn: () => get<Work>(`/my/tickets/${ticketId}`), staleTime: 60_000 });
export const letters = (depth: number) => (depth < 30 ? 'first' : 'serif');
/** Handed in: nothing more can be answered. */
export const finished = (state: string) => ['handed in', 'to mark', 'marked', 'released'].includes(state);
export type Choices = Api<'ChoicesView'>;
export const useChoices = () => useQuery({ queryKey: ['my', 'choices'], queryFn: () => get<Choices>('/my/choices') });
