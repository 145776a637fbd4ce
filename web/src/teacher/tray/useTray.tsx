import { createContext, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';

type Held = { readers: string[]; texts: string[] };
type TrayValue = Held & {
  toggleReader: (id: string) => void;
  toggleText: (id: string) => void;
  pickReaders: (ids: readonly string[], on: boolean) => void;
  empty: () => void;
};

const TrayContext = createContext<TrayValue | null>(null);
const nothing: Held = { readers: [], texts: [] };
const flip = (list: string[], id: string) => (list.includes(id) ? list.filter((x) => x !== id) : [...list, id]);

function kept(key: string): Held {
  try {
    const found = JSON.parse(sessionStorage.getItem(key) ?? 'null') as Partial<Held> | null;
    return { readers: found?.readers ?? [], texts: found?.texts ?? [] };
  } catch {
    return nothing;
  }
}

/** What has been picked up in a class. It survives moving between places and reloading the page. */
export function TrayProvider({ classId, children }: { classId: string; children: ReactNode }) {
  const key = `dc-tray-${classId}`;
  const [held, setHeld] = useState(() => kept(key));
  useEffect(() => sessionStorage.setItem(key, JSON.stringify(held)), [key, held]);
  const value = useMemo<TrayValue>(
    () => ({
      ...held,
      toggleReader: (id) => setHeld((h) => ({ ...h, readers: flip(h.readers, id) })),
      toggleText: (id) => setHeld((h) => ({ ...h, texts: flip(h.texts, id) })),
      pickReaders: (ids, on) =>
        setHeld((h) => ({
          ...h,
          readers: on
            ? [...h.readers, ...ids.filter((id) => !h.readers.includes(id))]
            : h.readers.filter((id) => !ids.includes(id)),
        })),
      empty: () => setHeld(nothing),
    }),
    [held],
  );
  return <TrayContext value={value}>{children}</TrayContext>;
}

export function useTray() {
  const tray = useContext(TrayContext);
  if (!tray) throw new Error('There is no tray here.');
  return tray;
}

/** The tray, or null in a place that belongs to no class. */
export const useOptionalTray = () => useContext(TrayContext);
