import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Kind } from './routes';

/** What is done by one reader and waits to be taken by the server. */
export interface Entry {
  id: string;
  /** Whose it is: it is sent as theirs or not at all. */
  readerId: string;
  /** The ticket, or the sitting of a level check, it was done for. */
  about: string;
  kind: Kind;
  method: 'PUT' | 'POST';
  path: string;
  body: unknown;
  at: number;
  /** How often the server failed on it. */
  tries: number;
  /** The server will not take it: it stays until its reader has seen that, and the teacher is told, by an id of its own. */
  refused?: { id: string; code: string; sentence: string; told: boolean };
}

interface Kept {
  key: string;
  readerId: string;
  value: unknown;
  at: number;
}

interface Schema extends DBSchema {
  outbox: { key: string; value: Entry };
  kept: { key: string; value: Kept; indexes: { reader: string } };
}

let opened: Promise<IDBPDatabase<Schema>> | undefined;
const db = () =>
  (opened ??= openDB<Schema>('deep-current', 3, {
    upgrade(d, from) {
      if (from < 1) d.createObjectStore('outbox', { keyPath: 'id' });
      // What the server said has another shape in each version: it is asked again.
      if (d.objectStoreNames.contains('kept')) d.deleteObjectStore('kept');
      d.createObjectStore('kept', { keyPath: 'key' }).createIndex('reader', 'readerId');
    },
    // Another tab brings a newer page: its database must not wait for this one.
    blocking: (_now, _next, event) => {
      (event.target as IDBDatabase).close();
      opened = undefined;
    },
  }));

/** A device without storage keeps things in the page only. */
async function orNothing<T>(doIt: () => Promise<T>): Promise<T | undefined> {
  try {
    return await doIt();
  } catch {
    return undefined;
  }
}

let me = '';
/** Whose page this is. Set before anything is shown. */
export const belongTo = (readerId: string) => {
  me = readerId;
};
export const whose = () => me;

/** Entries of the reader whose page this is. Those of others stay unseen. */
export const loadEntries = async (): Promise<Entry[]> =>
  ((await orNothing(async () => (await db()).getAll('outbox'))) ?? []).filter((k) => k.readerId === me);
/** Puts an entry on the device. Where there is no room, what the server said before makes room: it can be asked again,
 * what a reader did cannot.
 * @returns False where it could not be put there. */
export async function saveEntry(k: Entry): Promise<boolean> {
  const put = () => orNothing(async () => (await db()).put('outbox', k));
  if ((await put()) !== undefined) return true;
  await orNothing(async () => (await db()).clear('kept'));
  return (await put()) !== undefined;
}
/** Deletes an entry unless a newer one has taken its place. */
export const deleteEntry = (k: Entry) =>
  orNothing(async () => {
    const t = (await db()).transaction('outbox', 'readwrite');
    if ((await t.store.get(k.id))?.at === k.at) await t.store.delete(k.id);
    await t.done;
  });

const keyOf = (path: string) => `${me} ${path}`;
export const keep = (path: string, value: unknown) =>
  orNothing(async () => (await db()).put('kept', { key: keyOf(path), readerId: me, value, at: Date.now() }));
export const recall = async <T>(path: string) =>
  (await orNothing(async () => (await db()).get('kept', keyOf(path))))?.value as T | undefined;
/** What the reader has read and done leaves a shared device when they sign out; what is not sent yet stays. */
export const forgetKept = (readerId: string) =>
  orNothing(async () => {
    const t = (await db()).transaction('kept', 'readwrite');
    for (const key of await t.store.index('reader').getAllKeys(readerId)) await t.store.delete(key);
    await t.done;
  });
