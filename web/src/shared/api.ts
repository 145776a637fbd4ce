import { takeSession } from './early';
import createClient from 'openapi-fetch';
import type { components, paths } from './schema';
import { type Message, say, t } from './words';

type Schemas = components['schemas'];
/** What the server answers, as the pages write it: without the /api that every path begins with. */
export type Paths = { [P in keyof paths as P extends `/api${infer Rest}` ? Rest : never]: paths[P] };

export type Api<K extends keyof Schemas> = Schemas[K];

/** A refusal, in a sentence for people, with what is wrong by field. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly fields: Record<string, Message> = {},
  ) {
    super(message);
  }
}

/** The server could not be reached at all. */
export class NoNetwork extends Error {
  constructor() {
    super(t('No connection to the server. What you did is safe. Try again.'));
  }
}

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

async function reach(url: string, init: RequestInit): Promise<Response> {
  try {
    return await (takeSession(url, init.method) ?? fetch(url, init));
  } catch {
    throw new NoNetwork();
  }
}

/** A new token for the same person; null if somebody else is signed in by now. */
async function freshToken(): Promise<string | null> {
  const response = await reach('/api/session', {});
  if (!response.ok) return null;
  const now = (await response.json()) as Api<'SessionView'>;
  const before = known?.whose;
  if (before !== undefined && before !== (now.id ?? null)) return null;
  setToken(now.id, now.token);
  return now.token;
}

async function problemOf(response: Response): Promise<Problem> {
  const text = await response.text();
  const said = text.startsWith('{')
    ? (JSON.parse(text) as { code?: string; said?: Message; fields?: Record<string, Message> })
    : {};
  if (said.code === 'signed-out') signedOut();
  return new Problem(
    response.status,
    said.code ?? 'failed',
    say(said.said) || t('Something went wrong on the server. Saved work is safe. Try again.'),
    said.fields,
  );
}

const isJson = 'application/json';

/** Sends a request with the token of whoever is signed in; what is refused is thrown as a problem. */
async function carry(request: Request): Promise<Response> {
  const { method, url, headers } = request;
  const type = headers.get('content-type');
  // Read once: it may have to be sent twice, where the token turns out to be old.
  const body = type === null ? undefined : await (type === isJson ? request.text() : request.blob());
  const send = async (token: string | null) => {
    if (token !== null) headers.set('X-XSRF-TOKEN', token);
    const response = await reach(url, { method, headers, body });
    return response.ok ? response : problemOf(response);
  };
  // A page that was opened without a network has no token yet.
  const first = await send(method === 'GET' ? null : known?.token || ((await freshToken()) ?? ''));
  if (first instanceof Response) return first;
  const next = first.code === 'stale-page' ? await freshToken() : null;
  if (next === null) throw first;
  const second = await send(next);
  if (second instanceof Response) return second;
  throw second;
}

/** The server, typed by what it says of itself. */
export const api = createClient<Paths>({ baseUrl: '/api', fetch: carry });

/** What was answered; what was refused is thrown before it comes here. */
export async function ok<R extends { data?: unknown }>(asked: Promise<R>): Promise<Exclude<R['data'], undefined>> {
  return (await asked).data as Exclude<R['data'], undefined>;
}

/** Goes with a request whose body is one file, as it is. */
export const asFile = {
  bodySerializer: (file: Blob) => file,
  headers: { 'content-type': 'application/octet-stream' },
};

/** Goes with work that is sent from a device: whose it is, and what the device's clock shows. */
export const fromDevice = (workOf: string): Record<string, string> => ({
  'X-Work-Of': workOf,
  'X-Sent-At': new Date().toISOString(),
});

/** Sends what was kept as it was kept, and gives back what was said to it. */
export async function sendKept(
  method: 'PUT' | 'POST',
  path: string,
  body: unknown,
  headers: Record<string, string>,
): Promise<unknown> {
  const file = body instanceof Blob;
  const type = file ? 'application/octet-stream' : isJson;
  const response = await carry(
    new Request(`/api${path}`, {
      method,
      headers: body === undefined ? headers : { ...headers, 'content-type': type },
      body: body === undefined ? undefined : file ? body : JSON.stringify(body),
    }),
  );
  const text = await response.text();
  return text ? (JSON.parse(text) as unknown) : undefined;
}

/** The sentence to show for whatever went wrong. */
export const sentence = (e: unknown) => (e instanceof Error ? e.message : t('Something went wrong. Try again.'));
/** What is wrong by field, in sentences; else the sentence to show. */
export const sentences = (e: unknown) =>
  (e instanceof Problem && Object.values(e.fields).map(say).join(' ')) || sentence(e);
/** Whether fields say themselves what is wrong with them. */
export const namesFields = (e: unknown) => e instanceof Problem && Object.keys(e.fields).length > 0;
export const fieldOf = (e: unknown, name: string) => {
  const field = e instanceof Problem ? e.fields[name] : undefined;
  return field && say(field);
};
