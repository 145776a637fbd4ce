import { useEffect } from 'react';
import { send } from './offline/outbox';

const every = 15_000;

/** Tells how long something is looked at, again and again until it is left: time in a hidden window does not count. */
function watch(tellsAtOnce: boolean, tell: (seconds: number) => void) {
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
    if (seconds >= 1 || tellsAtOnce) tell(seconds);
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
  if (tellsAtOnce) keep();
  return () => {
    clearInterval(timer);
    document.removeEventListener('visibilitychange', onHide);
    removeEventListener('pagehide', keep);
    keep();
  };
}

/** Keeps how long a page is open and looked at. */
export function useSpell(ticketId: string, page: number, counts: boolean) {
  useEffect(() => {
    if (!counts) return;
    const spellId = crypto.randomUUID();
    const startedAt = new Date().toISOString();
    return watch(page > 0, (seconds) => {
      void send({
        id: spellId,
        about: ticketId,
        kind: 'spell',
        params: { path: { ticketId, spellId } },
        body: { page, seconds, startedAt },
      }).catch(() => undefined);
    });
  }, [ticketId, page, counts]);
}

/** Keeps how long a result is looked at. */
export function useFeedbackTime(ticketId: string) {
  useEffect(() => {
    const spellId = crypto.randomUUID();
    const startedAt = new Date().toISOString();
    return watch(false, (seconds) => {
      void send({
        id: spellId,
        about: ticketId,
        kind: 'feedback',
        params: { path: { ticketId, spellId } },
        body: { seconds, startedAt },
      }).catch(() => undefined);
    });
  }, [ticketId]);
}
