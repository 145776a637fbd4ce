import { openDB, type IDBPDatabase } from 'idb';
import { useSyncExternalStore } from 'react';
import { call, NoNetwork, Problem, putFile } from '../shared/api';

type Kept = { id: string; path: string; body: unknown; ticketId: string; kind: 'answer' | 'spell' | 'recording'; at: number };

// What a reader does is kept on the device first and sent after. Ids are made here, so sending twice changes nothing.
let opened: Promise<IDBPDatabase> | undefined;
const db = () => (opened ??= openDB('deep-current', 1, { upgrade: (d) => { d.createObjectStore('outbox', { keyPath: 'id' }); } }));

let waiting: Kept[] = [];
let away = false;
const listeners = new Set<() => void>();
let state = { answers: 0, away: false };
const tell = () => {
  state = { answers: waiting.filter((k) => k.kind === 'answer').length, away };
  listeners.forEach((l) => l());
};

export const useOutbox = () => useSyncExternalStore((l) => { listeners.add(l); return () => listeners.delete(l); }, () => state);
export const waitingFor = (ticketId: string) => waiting.filter((k) => k.ticketId === ticketId && k.kind === 'answer');

/** A recording of a ticket that is kept here and not yet sent. */
export const keptRecording = (ticketId: string) => waiting.some((k) => k.ticketId === ticketId && k.kind === 'recording');

/** Questions of a ticket whose answer is kept here and not yet sent. */
export const keptQuestions = (ticketId: string) => new Set(waitingFor(ticketId).map((k) => (k.body as { questionId: string }).questionId));

async function load() {
  try { waiting = ((await (await db()).getAll('outbox')) as Kept[]).sort((a, b) => a.at - b.at); } catch { waiting = []; }
  tell();
}

const put = (k: Kept) => (k.body instanceof Blob ? putFile<unknown>(k.path, k.body) : call<unknown>('PUT', k.path, k.body));

async function forget(k: Kept) {
  waiting = waiting.filter((x) => x.id !== k.id);
  try { await (await db()).delete('outbox', k.id); } catch { /* a device without storage forgets by itself */ }
  tell();
}

/** Keeps something, tries to send it at once, and gives back what the server said; null while there is no network. */
export async function send<T>(k: Omit<Kept, 'at'>): Promise<T | null> {
  const kept: Kept = { ...k, at: Date.now() };
  waiting = [...waiting.filter((x) => x.id !== kept.id), kept];
  try { await (await db()).put('outbox', kept); } catch { /* kept in the page at least */ }
  if (waiting.some((x) => x.kind === 'answer' && x.id !== kept.id)) void flush();
  try {
    const said = (await put(kept)) as T;
    away = false;
    await forget(kept);
    return said;
  } catch (e) {
    if (e instanceof NoNetwork || (e instanceof Problem && e.status >= 500)) { away = true; tell(); return null; }
    await forget(kept);
    throw e;
  }
}

let flushing = false;
/** Sends what is kept, oldest first. True when nothing is left. */
export async function flush(): Promise<boolean> {
  if (flushing) return false;
  flushing = true;
  try {
    for (const k of [...waiting]) {
      try {
        await put(k);
        away = false;
        await forget(k);
      } catch (e) {
        if (e instanceof NoNetwork || (e instanceof Problem && (e.status >= 500 || e.status === 401))) { away = true; tell(); return false; }
        await forget(k);
      }
    }
    return waiting.length === 0;
  } finally {
    flushing = false;
  }
}

const every = 4000;
export function startOutbox(onSent: () => void) {
  const tryNow = async () => { const had = waiting.length > 0; if (had && (await flush())) onSent(); };
  void load().then(tryNow);
  const timer = setInterval(() => void tryNow(), every);
  addEventListener('online', tryNow);
  return () => { clearInterval(timer); removeEventListener('online', tryNow); };
}
