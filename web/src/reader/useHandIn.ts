import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { keys } from '../shared/keys';
import { send } from './offline/outbox';
import { refusal } from './refusal';

/** Hands a ticket in, now or when there is a network, and goes to its result. */
export function useHandIn(ticketId: string) {
  const [error, setError] = useState('');
  const [busy, setBusy] = useState(false);
  const client = useQueryClient();
  const navigate = useNavigate();
  const handIn = async () => {
    setBusy(true);
    setError('');
    try {
      const result = await send({
        id: `${ticketId}-hand-in`,
        about: ticketId,
        kind: 'hand-in',
        params: { path: { ticketId: ticketId }, query: { at: new Date().toISOString() } },
        body: undefined,
      });
      if (result) client.setQueryData(keys.my.result(ticketId), result);
      void client.invalidateQueries({ queryKey: keys.my.tickets });
      void client.invalidateQueries({ queryKey: keys.my.ticket(ticketId) });
      await navigate(`/text/${ticketId}/result`);
    } catch (e) {
      setError(refusal(e));
    } finally {
      setBusy(false);
    }
  };
  return { handIn, error, busy };
}
