import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { type Api, api, ok } from '../../shared/api';
import { keys } from '../../shared/keys';
import { getKept } from '../offline/kept';
import { keptReply, send } from '../offline/outbox';
import { joined, type Practised } from './practice';
import { refusal } from '../refusal';

export type Task = Api<'MyTask'>;

export const taskOf = (ticketId: string) => ({
  queryKey: keys.my.task(ticketId),
  queryFn: () =>
    getKept(`/my/tasks/${ticketId}`, () => ok(api.GET('/my/tasks/{ticketId}', { params: { path: { ticketId } } }))),
  staleTime: 60_000,
});
export const useTask = (ticketId: string) => useQuery(taskOf(ticketId));

/** Who can hand in the same answer, and who has. */
export const usePartners = (task: Task) =>
  useQuery({
    queryKey: keys.my.partners(task.id),
    enabled: task.together,
    queryFn: () =>
      getKept(`/my/tasks/${task.id}/partners`, () =>
        ok(api.GET('/my/tasks/{ticketId}/partners', { params: { path: { ticketId: task.id } } })),
      ),
  }).data ?? { mayJoin: [], wroteIt: [] };

/** What its reader has written and practised: from the server, or kept on this device and not yet sent. */
export function replyOf(task: Task): { words: string; practised: Practised[]; partners: string[] } {
  const kept = keptReply(task.id);
  return {
    words: kept?.words ?? task.written,
    practised: joined(task.practised, kept?.practised ?? []),
    partners: kept?.partners ?? task.partners,
  };
}

/** Keeps what is done for a task and hands it in; both go through what waits on the device. */
export function useReply(task: Task) {
  const client = useQueryClient();
  const [error, setError] = useState('');
  const [busy, setBusy] = useState(false);
  const keep = async (words: string, practised: Practised[], partners: string[] = []) => {
    // Whoever leaves and comes back finds it, also while the server does not know it yet.
    client.setQueryData<Task>(keys.my.task(task.id), (now) => now && { ...now, written: words, practised, partners });
    try {
      const next = await send({
        id: `${task.id}-reply`,
        about: task.id,
        kind: 'reply',
        params: { path: { ticketId: task.id } },
        body: { words, practised, partners, at: new Date().toISOString() },
      });
      if (next) client.setQueryData<Task>(keys.my.task(task.id), next);
      setError('');
    } catch (e) {
      setError(refusal(e));
    }
  };
  const handIn = async () => {
    setBusy(true);
    setError('');
    try {
      await send({
        id: `${task.id}-hand-in`,
        about: task.id,
        kind: 'hand-in',
        params: { path: { ticketId: task.id }, query: { at: new Date().toISOString() } },
        body: undefined,
      });
      await Promise.all([
        client.invalidateQueries({ queryKey: keys.my.tickets }),
        client.invalidateQueries({ queryKey: keys.my.task(task.id) }),
      ]);
    } catch (e) {
      setError(refusal(e));
    } finally {
      setBusy(false);
    }
  };
  return { keep, handIn, error, busy };
}
