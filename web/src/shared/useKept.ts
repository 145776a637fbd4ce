import { useEffect, useState } from 'react';

/** Something that is written: it stays on this device under a name until it is let go, whatever becomes of the page. */
export function useKept<T>(name: string, from: T | (() => T)) {
  // What it began from is what it was first given: a page that is drawn anew changes nothing.
  const [start] = useState(from);
  const [before] = useState<T | null>(() => {
    try {
      return JSON.parse(localStorage.getItem(name) ?? 'null') as T | null;
    } catch {
      return null;
    }
  });
  const [value, set] = useState(before ?? start);
  useEffect(() => {
    if (value === start) localStorage.removeItem(name);
    else localStorage.setItem(name, JSON.stringify(value));
  }, [value, start, name]);
  return {
    value,
    set,
    found: before !== null && value !== start,
    again: () => set(start),
    letGo: () => localStorage.removeItem(name),
  };
}
