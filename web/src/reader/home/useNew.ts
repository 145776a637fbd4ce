import { useEffect, useState } from 'react';

const nameOf = (readerId: string) => `dc-seen-${readerId}`;
const most = 200;

function seenBefore(readerId: string): ReadonlySet<string> | null {
  try {
    const kept = localStorage.getItem(nameOf(readerId));
    return kept === null ? null : new Set(JSON.parse(kept) as string[]);
  } catch {
    return null;
  }
}

/** Which work was not on this page when its reader was here last, on this device; nothing is new the first time. */
export function useNew(readerId: string, ids: readonly string[]): (id: string) => boolean {
  const [before] = useState(() => seenBefore(readerId));
  const all = ids.join(' ');
  useEffect(() => {
    if (all === '') return;
    try {
      localStorage.setItem(nameOf(readerId), JSON.stringify(all.split(' ').slice(0, most)));
    } catch {
      // Without room nothing is marked as new.
    }
  }, [readerId, all]);
  return (id) => before !== null && !before.has(id);
}
