import { createContext, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';
import { held, nothing, type Held } from './picks';

type TrayValue = Held & {
  toggleReader: (id: string) => void;
  toggleText: (id: string) => void;
  pickReaders: (ids: readonly string[], on: boolean) => void;
  empty: () => void;
};

const TrayContext = createContext<TrayValue | null>(null);
function kept(key: string): Held {
  try {
    const found = JSON.parse(sessionStorage.getItem(key) ?? 'null') as Partial<Held> | null;
    return { readers: found?.readers ?? [], texts: found?.texts ?? [], picks: found?.picks ?? {} };
  } catch {
    return nothing;
  }
}

/** What has been picked up in a class. It survives moving between places and reloading the page. */
export function TrayProvider({ classId, children }: { classId: string; children: ReactNode }) {
  const key = `dc-tray-${classId}`;
  const [now, setHeld] = useState(() => kept(key));
  useEffect(() => sessionStorage.setItem(key, JSON.stringify(now)), [key, now]);
  const value = useMemo<TrayValue>(() => {
    const here = () => ({ at: Date.now(), on: location.pathname });
    const toggle = (list: 'readers' | 'texts', id: string) =>
      setHeld((h) => held(h, list, [id], !h[list].includes(id), here()));
    return {
      ...now,
      toggleReader: (id) => toggle('readers', id),
      toggleText: (id) => toggle('texts', id),
      pickReaders: (ids, on) => setHeld((h) => held(h, 'readers', ids, on, here())),
      empty: () => setHeld(nothing),
    };
  }, [now]);
  return <TrayContext value={value}>{children}</TrayContext>;
}

export function useTray() {
  const tray = useContext(TrayContext);
  if (!tray) throw new Error('There is no tray here.');
  return tray;
}

/** The tray, or null in a place that belongs to no class. */
export const useOptionalTray = () => useContext(TrayContext);
