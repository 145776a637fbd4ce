import type { components } from './schema';

type Schemas = components['schemas'];
export type Api<K extends keyof Schemas> = Schemas[K];

/** A refusal, in a sentence for people, with what is wrong by field. */
export class Problem extends Error {
  constructor(readonly status: number, readonly code: string, message: string, readonly fields: Record<string, string[]> = {}) {
    super(message);
  }
}

/** The server could not be reached at all. */
export class NoNetwork extends Error {
  constructor() {
    super('There is no connection to the server just now.');
  }
}

let token = '';
export const setToken = (next: string) => { token = next; };

export async function call<T>(method: 'GET' | 'POST' | 'PUT' | 'DELETE', path: string, body?: unknown): Promise<T> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method,
      headers: { ...(body === undefined ? {} : { 'content-type': 'application/json' }), ...(method === 'GET' ? {} : { 'X-XSRF-TOKEN': token }) },
      body: body === undefined ? undefined : JSON.stringify(body),
    });
  } catch {
    throw new NoNetwork();
  }
  return answered<T>(response);
}

async function answered<T>(response: Response): Promise<T> {
  const text = await response.text();
  if (response.ok) return (text ? JSON.parse(text) : undefined) as T;
  const problem = text.startsWith('{') ? (JSON.parse(text) as { code?: string; title?: string; fields?: Record<string, string[]> }) : {};
  throw new Problem(response.status, problem.code ?? 'failed', problem.title ?? 'Something went wrong on the server.', problem.fields);
}

/** Sends a file as it is. */
async function file<T>(method: 'POST' | 'PUT', path: string, body: Blob): Promise<T> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, { method, headers: { 'content-type': 'application/octet-stream', 'X-XSRF-TOKEN': token }, body });
  } catch {
    throw new NoNetwork();
  }
  return answered<T>(response);
}

export const send = <T>(path: string, body: Blob) => file<T>('POST', path, body);
export const putFile = <T>(path: string, body: Blob) => file<T>('PUT', path, body);
export const get = <T>(path: string) => call<T>('GET', path);
export const post = <T>(path: string, body: unknown = {}) => call<T>('POST', path, body);
export const put = <T>(path: string, body: unknown = {}) => call<T>('PUT', path, body);
export const remove = <T>(path: string) => call<T>('DELETE', path);

/** The sentence to show for whatever went wrong. */
export const sentence = (e: unknown) => (e instanceof Error ? e.message : 'Something went wrong.');
export const fieldOf = (e: unknown, name: string) => (e instanceof Problem ? e.fields[name]?.[0] : undefined);
