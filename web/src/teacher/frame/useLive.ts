import { HttpTransportType, HubConnectionBuilder, HubConnectionState, LogLevel } from '@microsoft/signalr';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { changed } from '../../shared/changed';

/** A page that is told of a class many times asks again at most so often; the first time at once. */
const askEvery = 2000;
/** Where no live connection can be made, the page asks by itself. */
const askAlone = 15_000;

/** Watches a class: when a ticket in it changes, whatever is on screen is asked for again. */
export function useLive(classId: string) {
  const client = useQueryClient();
  useEffect(() => {
    // A WebSocket at once: negotiating first would need the same server twice, and a balancer may choose another.
    const address = { skipNegotiation: true, transport: HttpTransportType.WebSockets };
    const hub = new HubConnectionBuilder()
      .withUrl('/api/live', address)
      .withAutomaticReconnect({ nextRetryDelayInMilliseconds: () => 3000 })
      .configureLogging(LogLevel.None)
      .build();
    const refresh = () => changed(client, 'live');
    const watch = () => hub.invoke('Watch', classId);
    let waiting: ReturnType<typeof setTimeout> | undefined;
    let asked = 0;
    const soon = () => {
      waiting ??= setTimeout(
        () => {
          waiting = undefined;
          asked = Date.now();
          void refresh();
        },
        Math.max(0, asked + askEvery - Date.now()),
      );
    };
    hub.on('tickets', soon);
    hub.onreconnected(() => {
      void watch().then(refresh);
    });
    const start = () =>
      hub
        .start()
        .then(watch)
        .catch(() => undefined);
    const started = start();
    const alone = setInterval(() => {
      if (hub.state !== HubConnectionState.Connected) soon();
      if (hub.state === HubConnectionState.Disconnected) void start();
    }, askAlone);
    return () => {
      clearTimeout(waiting);
      clearInterval(alone);
      void started.then(() => hub.stop());
    };
  }, [classId, client]);
}
