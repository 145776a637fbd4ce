import { api, ok, type Api } from '../shared/api';
import { useQuery } from '@tanstack/react-query';
import { keys } from '../shared/keys';
import { ofText } from '../shared/taskKinds';
import { isDone, type TicketState } from '../shared/ticketStates';
import { handInWaits } from './offline/outbox';
import { getKept } from './offline/kept';

export type Work = Api<'MyWork'>;
export type MyTicket = Api<'MyTicket'>;
export const useMine = () =>
  useQuery({ queryKey: keys.my.tickets, queryFn: () => getKept('/my/tickets', () => ok(api.GET('/my/tickets'))) });
export const workOf = (ticketId: string) => ({
  queryKey: keys.my.ticket(ticketId),
  queryFn: () =>
    getKept(`/my/tickets/${ticketId}`, () => ok(api.GET('/my/tickets/{ticketId}', { params: { path: { ticketId } } }))),
  staleTime: 60_000,
});
export const useWork = (ticketId: string) => useQuery(workOf(ticketId));
export const letters = (depth: number) => (depth < 30 ? 'first' : 'serif');
/** Handed in, here or already on the server: nothing more can be answered. */
export const finished = (of: { id: string; state: TicketState }) => isDone(of.state) || handInWaits(of.id);
/** Where a reader goes on with it. */
export function toTicket(k: MyTicket) {
  if (!ofText(k.kind)) return `/do/${k.id}`;
  return k.kind !== 'Recording' && k.page >= k.pages - 1 && k.answered > 0 ? `/text/${k.id}/quiz` : `/text/${k.id}`;
}
/** Where a reader sees what became of it. */
export const toResult = (k: MyTicket) => (ofText(k.kind) ? `/text/${k.id}/result` : `/do/${k.id}`);
export type Home = Api<'MyHome'>;
export const useHome = () =>
  useQuery({ queryKey: keys.my.home, queryFn: () => getKept('/my/home', () => ok(api.GET('/my/home'))) });
export type Choices = Api<'ChoicesView'>;
export const useChoices = () =>
  useQuery({ queryKey: keys.my.choices, queryFn: () => getKept('/my/choices', () => ok(api.GET('/my/choices'))) });
