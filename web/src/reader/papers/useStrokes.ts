import { useEffect, useRef, useState } from 'react';
import { api, ok } from '../../shared/api';
import { joined, type Stroke } from '../../shared/papers/strokes';

const soon = 700;
const keyOf = (ticketId: string, paperId: string) => `dc-strokes-${ticketId}-${paperId}`;

function kept(key: string): Stroke[] {
  try {
    return JSON.parse(localStorage.getItem(key) ?? '[]') as Stroke[];
  } catch {
    return [];
  }
}

/** What a reader draws on one paper: on this device at once, and on the server as soon as that can be. */
export function useStrokes(ticketId: string, paperId: string, there: readonly Stroke[]) {
  const key = keyOf(ticketId, paperId);
  const [waiting, setWaiting] = useState(() => kept(key));
  const [failed, setFailed] = useState<unknown>();
  const sent = useRef(0);
  const all = joined(there, waiting);
  useEffect(() => {
    if (waiting.length === 0) return;
    localStorage.setItem(key, JSON.stringify(waiting));
    const send = async () => {
      const round = ++sent.current;
      try {
        await ok(
          api.PUT('/my/tickets/{ticketId}/papers/{paperId}/strokes', {
            params: { path: { ticketId, paperId } },
            body: { strokes: waiting },
          }),
        );
        setFailed(undefined);
        // What was drawn meanwhile still waits.
        if (round === sent.current) localStorage.removeItem(key);
      } catch (problem) {
        setFailed(problem);
      }
    };
    const timer = setTimeout(() => void send(), soon);
    const again = () => void send();
    addEventListener('online', again);
    return () => {
      clearTimeout(timer);
      removeEventListener('online', again);
    };
  }, [waiting, key, ticketId, paperId]);
  const put = (s: Stroke) => setWaiting((before) => joined(before, [s]));
  return {
    all,
    failed,
    add: put,
    rub: (id: string) => {
      const s = all.find((x) => x.id === id);
      if (s) put({ ...s, gone: true });
    },
    /** Takes the last stroke back. */
    undo: () => {
      const last = all.findLast((x) => !x.gone);
      if (last) put({ ...last, gone: true });
    },
  };
}
