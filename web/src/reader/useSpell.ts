import { useEffect } from 'react';
import { send } from './offline/outbox';

const every = 15_000;

/** Keeps how long a page is open and looked at: time in a hidden window does not count. */
export function useSpell(ticketId: string, page: number, counts: boolean) {
  useEffect(() => {
    if (!counts) return;
    const id = crypto.randomUUID();
    const startedAt = new Date().toISOString();
    let seconds = 0,
      since: number | null = document.hidden ? null : performance.now();
    const tally = () => {
      if (since !== null) {
        seconds += (performance.now() - since) / 1000;
        since = performance.now();
      }
    };
    const keep = () => {
      tally();
      if (seconds >= 1 || page > 0)
        void send({
          id,
          about: ticketId,
          kind: 'spell',
          params: { path: { ticketId, spellId: id } },
          body: { page, seconds, startedAt },
        }).catch(() => undefined);
    };
    const onHide = () => {
      if (document.hidden) {
        keep();
        since = null;
      } else since = performance.now();
    };
    document.addEventListener('visibilitychange', onHide);
    addEventListener('pagehide', keep);
    const timer = setInterval(keep, every);
    if (page > 0) keep();
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', onHide);
      removeEventListener('pagehide', keep);
      keep();
    };
  }, [ticketId, page, counts]);
}
