import type { components } from './schema';

type Schemas = components['schemas'];
export type Api<K extends keyof Schemas> = Schemas[K];

/** A refusal, in a sentence for people, with what is wrong by field. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly fields: Record<string, string[]> = {},
  ) {
    super(message);
  }
}

/** The server could not be reached at all. */
export class NoNetwork extends Error {
  constructor() {
    super('There is no connection to the server just now.');
  }
}

/** What goes with work that is sent from a device: whose it is, and what the device's clock shows. */
export interface Sending {
  workOf?: string;
  sentAt?: boolean;
}

type Method = 'GET' | 'POST' | 'PUT' | 'DELETE';
interface Token {
  whose: string | null;
  token: string;
}

// A token belongs to whoever is signed in; who that was when this page began is kept beside it.
let known: Token | undefined;
export const setToken = (whose: string | null | undefined, token: string) => {
  known = { whose: whose ?? null, token };
};

/** Hears that the person of this page is no longer signed in. */
let signedOut = () => {};
export const onSignedOut = (then: () => void) => {
  signedOut = then;
};

async function reach(path: string, init: RequestInit): Promise<Response> {
  try {
    return await fetch(`/api${path}`, init);
  } catch {
    throw new NoNetwork();
  }
}

/** A new token for the same person; null if somebody else is signed in by now. */
async function freshToken(): Promise<string | null> {
  const response = await reach('/session', {});
  if (!response.ok) return null;
  const now = (await response.json()) as Api<'SessionView'>;
  const before = known?.whose;
  if (before !== undefined && before !== (now.id ?? null)) return null;
  setToken(now.id, now.token);
  return now.token;
}

async function ask<T>(
  method: Method,
  path: string,
  type: string | undefined,
  body: BodyInit | undefined,
  how: Sending = {},
): Promise<T> {
  const headers = (token: string): Record<string, string> => ({
    ...(type ? { 'content-type': type } : {}),
    ...(method === 'GET' ? {} : { 'X-XSRF-TOKEN': token }),
    ...(how.workOf ? { 'X-Work-Of': how.workOf } : {}),
    ...(how.sentAt ? { 'X-Sent-At': new Date().toISOString() } : {}),
  });
  // A page that was opened without a network has no token yet.
  const token = method === 'GET' ? '' : known?.token || ((await freshToken()) ?? '');
  const response = await reach(path, { method, headers: headers(token), body });
  try {
    return await answered<T>(response);
  } catch (e) {
    if (!(e instanceof Problem) || e.code !== 'stale-page') throw e;
    const next = await freshToken();
    if (next === null) throw e;
    return answered<T>(await reach(path, { method, headers: headers(next), body }));
  }
}

async function answered<T>(response: Response): Promise<T> {
  const text = await response.text();
  if (response.ok) return (text ? JSON.parse(text) : undefined) as T;
  const problem = text.startsWith('{')
    ? (JSON.parse(text) as { code?: string; title?: string; fields?: Record<string, string[]> })
    : {};
  if (problem.code === 'signed-out') signedOut();
  throw new Problem(
    response.status,
    problem.code ?? 'failed',
    problem.title ?? 'Something went wrong on the server.',
    problem.fields,
  );
}

export const call = <T>(method: Method, path: string, body?: unknown, how?: Sending) =>
  ask<T>(
    method,
    path,
    body === undefined ? undefined : 'application/json',
    body === undefined ? undefined : JSON.stringify(body),
    how,
  );

/** Sends a file as it is. */
export const send = <T>(path: string, body: Blob) => ask<T>('POST', path, 'application/octet-stream', body);
export const putFile = <T>(path: string, body: Blob, how?: Sending) =>
  ask<T>('PUT', path, 'application/octet-stream', body, how);
export const get = <T>(path: string) => call<T>('GET', path);
export const post = <T>(path: string, body: unknown = {}) => call<T>('POST', path, body);
export const put = <T>(path: string, body: unknown = {}) => call<T>('PUT', path, body);
export const remove = <T>(path: string) => call<T>('DELETE', path);

/** The sentence to show for whatever went wrong. */
export const sentence = (e: unknown) => (e instanceof Error ? e.message : 'Something went wrong.');
export const fieldOf = (e: unknown, name: string) => (e instanceof Problem ? e.fields[name]?.[0] : undefined);
