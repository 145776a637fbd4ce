import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { keys } from '../../shared/keys';
import { joined, type PaperCopy, type Stroke } from '../../shared/papers/strokes';
import { keptStrokes, sendStrokes, useOutbox } from '../offline/outbox';
import { refusal } from '../refusal';

/** What a reader draws on one paper: on this device at once, and with the rest of their work on its way. */
export function useStrokes(ticketId: string, paper: PaperCopy) {
  const client = useQueryClient();
  const [error, setError] = useState('');
  useOutbox();
  const all = joined(paper.strokes, keptStrokes(ticketId, paper.id));
  const put = async (s: Stroke) => {
    // Whoever leaves and comes back finds it, also while the server does not know it yet.
    client.setQueryData<PaperCopy[]>(keys.my.papers(ticketId), (now) =>
      now?.map((p) => (p.id === paper.id ? { ...p, strokes: joined(p.strokes, [s]) } : p)),
    );
    try {
      await sendStrokes(ticketId, paper.id, joined(keptStrokes(ticketId, paper.id), [s]));
      setError('');
    } catch (e) {
      setError(refusal(e));
    }
  };
  return {
    all,
    error,
    add: (s: Stroke) => void put(s),
    rub: (id: string) => {
      const s = all.find((x) => x.id === id);
      if (s) void put({ ...s, gone: true });
    },
    /** Takes the last stroke back. */
    undo: () => {
      const last = all.findLast((x) => !x.gone);
      if (last) void put({ ...last, gone: true });
    },
  };
}
