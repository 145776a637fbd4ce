import { useCallback, useEffect, useRef, useState } from 'react';
import { type Api, api, NoNetwork, ok, Problem, sentence } from '../../shared/api';
import type { Mark } from './marks';
import { Sheet } from '../../ui/Sheet';

export type RecordData = Api<'RecordView'>;
export interface Sheet {
  marks: Mark[];
  seconds: number;
  lastWord: number | null;
  pauses: number;
  retelling: Record<string, number>;
  answers: { questionId: string; right: boolean }[];
  note: string;
}

const sheetOf = (r: RecordData): Sheet => ({
  ...r.sheet,
  marks: r.sheet.marks as Mark[],
  lastWord: r.sheet.lastWord ?? null,
  retelling: { ...r.sheet.retelling },
});
const wait = 500,
  again = 4000;
const keptAt = (id: string) => `dc-record-${id}`;

/** A record being marked: every change can be undone, is kept on the device at once and on the server a moment later. */
export function useSheet(first: RecordData, saved: (r: RecordData) => void) {
  const [sheet, setSheet] = useState<Sheet>(() => unsent(first) ?? sheetOf(first));
  const [past, setPast] = useState<Sheet[]>([]);
  const [state, setState] = useState<{
    said: 'saved' | 'saving' | 'away' | 'stale' | 'refused';
    at?: Date;
    why?: string;
  }>({ said: 'saved' });
  const [done, setDone] = useState(first.done);
  const latest = useRef({ sheet, done, revision: first.revision });
  const changed = useRef(unsent(first) !== null);
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  const sending = useRef<Promise<void> | null>(null);
  const sendAgain = useRef(() => {});

  const send = useCallback(async (): Promise<void> => {
    if (sending.current) {
      await sending.current;
      if (!changed.current) return;
    }
    const going = (async () => {
      changed.current = false;
      const { sheet, done, revision } = latest.current;
      setState({ said: 'saving' });
      try {
        const kept = await ok(
          api.PUT('/readers/{readerId}/records/{recordId}/sheet', {
            params: { path: { readerId: first.readerId, recordId: first.id } },
            body: { ...sheet, revision, done },
          }),
        );
        latest.current.revision = kept.revision;
        if (!changed.current) localStorage.removeItem(keptAt(first.id));
        setState({ said: 'saved', at: new Date() });
        saved(kept);
      } catch (e) {
        if (e instanceof NoNetwork || (e instanceof Problem && (e.status >= 500 || e.status === 401))) {
          changed.current = true;
          setState({ said: 'away' });
          timer.current = setTimeout(() => sendAgain.current(), again);
        } else setState({ said: e instanceof Problem && e.code === 'stale' ? 'stale' : 'refused', why: sentence(e) });
      }
    })();
    sending.current = going;
    await going;
    sending.current = null;
  }, [first.readerId, first.id, saved]);
  useEffect(() => {
    sendAgain.current = () => void send();
  }, [send]);

  const hold = useCallback(
    (next: Sheet, finished: boolean) => {
      latest.current = { ...latest.current, sheet: next, done: finished };
      changed.current = true;
      localStorage.setItem(keptAt(first.id), JSON.stringify({ revision: latest.current.revision, sheet: next }));
      clearTimeout(timer.current);
      timer.current = setTimeout(() => void send(), wait);
      setSheet(next);
      setDone(finished);
    },
    [first.id, send],
  );

  const change = useCallback(
    (to: (s: Sheet) => Partial<Sheet>, undoable = true) => {
      const before = latest.current.sheet;
      if (undoable) setPast((p) => [...p.slice(-199), before]);
      hold({ ...before, ...to(before) }, latest.current.done);
    },
    [hold],
  );
  const undo = useCallback(
    () =>
      setPast((p) => {
        const last = p.at(-1);
        if (last) hold({ ...last, seconds: latest.current.sheet.seconds }, latest.current.done);
        return p.slice(0, -1);
      }),
    [hold],
  );
  const finish = useCallback(
    async (finished: boolean) => {
      hold(latest.current.sheet, finished);
      clearTimeout(timer.current);
      await send();
    },
    [hold, send],
  );

  // A recording that was sent meanwhile has made a new revision of the same marks.
  useEffect(() => {
    if (!changed.current && first.revision > latest.current.revision) latest.current.revision = first.revision;
  }, [first.revision]);
  useEffect(() => {
    if (changed.current) timer.current = setTimeout(() => void send(), wait);
    return () => {
      clearTimeout(timer.current);
      if (changed.current) void send();
    };
  }, [send]);
  return { sheet, change, undo, canUndo: past.length > 0, done, finish, state };
}

/** Marks that were kept on this device and never reached the server. */
function unsent(r: RecordData): Sheet | null {
  try {
    const kept = JSON.parse(localStorage.getItem(keptAt(r.id)) ?? 'null') as { revision: number; sheet: Sheet } | null;
    return kept && kept.revision === r.revision ? kept.sheet : null;
  } catch {
    return null;
  }
}
