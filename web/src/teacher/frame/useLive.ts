import { HubConnectionBuilder, LogLevel } from '@microsoft/signalr';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';

const shown = new Set(['class', 'assignments', 'assignment', 'ticket', 'marking', 'reader', 'goals', 'texts', 'checks', 'check', 'windows']);

/** Watches a class: when a ticket in it changes, whatever is on screen is asked for again. */
export function useLive(classId: string) {
  const client = useQueryClient();
  useEffect(() => {
    const hub = new HubConnectionBuilder().withUrl('/api/live').withAutomaticReconnect({ nextRetryDelayInMilliseconds: () => 3000 }).configureLogging(LogLevel.None).build();
    const refresh = () => client.invalidateQueries({ predicate: (q) => shown.has(String(q.queryKey[0])) });
    const watch = () => hub.invoke('Watch', classId);
    let waiting: ReturnType<typeof setTimeout> | undefined;
    // A class answers in bursts; one question covers them all.
    hub.on('tickets', () => { clearTimeout(waiting); waiting = setTimeout(() => void refresh(), 250); });
    hub.onreconnected(() => { void watch().then(refresh); });
    const started = hub.start().then(watch).catch(() => undefined);
    return () => { clearTimeout(waiting); void started.then(() => hub.stop()); };
  }, [classId, client]);
}
