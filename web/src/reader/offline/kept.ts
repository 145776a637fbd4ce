import type { QueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { NoNetwork } from '../../shared/api';
import { keep, recall } from './store';

/** Asks the server; without a network gives what it said last time.
 * @param path What it is kept under. */
export async function getKept<T>(path: string, asked: () => Promise<T>): Promise<T> {
  try {
    const said = await asked();
    void keep(path, said);
    return said;
  } catch (e) {
    const before = e instanceof NoNetwork ? await recall<T>(path) : undefined;
    if (before === undefined) throw e;
    return before;
  }
}

interface Ahead {
  queryKey: readonly unknown[];
  queryFn: () => Promise<unknown>;
  sounds?: (said: unknown) => string[];
}
const most = 12;

/** Fetches what a reader will need, one thing after the other, so that it is there without a network, too. */
export function useAhead(client: QueryClient, wanted: Ahead[]) {
  const key = wanted.map((w) => w.queryKey.join(' ')).join('|');
  useEffect(() => {
    let stopped = false;
    void (async () => {
      for (const w of wanted.slice(0, most)) {
        if (stopped) return;
        const said = await client
          .fetchQuery({ queryKey: w.queryKey, queryFn: w.queryFn, staleTime: 60_000 })
          .catch(() => undefined);
        // Asked for once, a sound or a picture is in the service worker's cache.
        for (const url of said === undefined ? [] : (w.sounds?.(said) ?? [])) await fetch(url).catch(() => undefined);
      }
    })();
    return () => {
      stopped = true;
    };
    // The list is new at every drawing; what is in it says whether it changed.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [client, key]);
}
