import { signalName } from '../signals/signals';
import type { ReaderRow } from '../classQueries';

/** Whether a reader's name, group or signals have the words asked for. */
export function readerMatches(r: ReaderRow, asked: string) {
  const words = asked.trim().toLowerCase();
  return [`${r.givenName} ${r.familyName}`, r.group ?? '', ...r.signals.map((s) => signalName(s.kind))].some((x) =>
    x.toLowerCase().includes(words),
  );
}
