import { beforeEach, describe, expect, it, vi } from 'vitest';

// A page knows where it is; here addresses are given a server.
vi.stubGlobal(
  'Request',
  class extends Request {
    constructor(url: RequestInfo | URL, init?: RequestInit) {
      super(typeof url === 'string' ? new URL(url, 'http://school.example') : url, init);
    }
  },
);
const { api, fieldOf, NoNetwork, ok, onSignedOut, Problem, sendKept, sentence, sentences, setToken } =
  await import('./api');

type Answer = Response | Error;
const said = (body: unknown, status = 200) =>
  new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } });
const refused = (code: string, more: object = {}) =>
  said({ code, said: { key: 'The page is too old.', values: [] }, ...more }, 403);

/** What was sent, in turn; each is answered by the next answer. */
let sent: { path: string; method: string; token: string | null; body: string | undefined }[] = [];
function server(...answers: Answer[]) {
  const next = [...answers];
  vi.stubGlobal('fetch', async (url: string, init: RequestInit) => {
    const body = init.body as Blob | string | undefined;
    sent.push({
      path: new URL(url, 'http://school.example').pathname,
      method: init.method ?? 'GET',
      token: new Headers(init.headers).get('X-XSRF-TOKEN'),
      body: body instanceof Blob ? await body.text() : body,
    });
    const answer = next.shift();
    if (answer === undefined) throw new Error('asked once more than it should be');
    if (answer instanceof Error) throw answer;
    return answer;
  });
}
const put = () => sendKept('PUT', '/my/words/kept', { text: 'mooring' }, {});
const failed = async (asked: Promise<unknown>) => {
  try {
    await asked;
  } catch (e) {
    return e;
  }
  throw new Error('it was taken');
};

beforeEach(() => {
  sent = [];
  setToken('marit', 'first');
});

describe('what is asked of the server', () => {
  it('goes with a token where it changes something, and without where it does not', async () => {
    server(said({ taken: true }), said([]));
    expect(await put()).toEqual({ taken: true });
    await ok(api.GET('/school/checks'));
    expect(sent.map((s) => [s.method, s.token])).toEqual([
      ['PUT', 'first'],
      ['GET', null],
    ]);
  });

  it('is sent again with a new token where the page was too old, as it was', async () => {
    server(refused('stale-page'), said({ id: 'marit', token: 'second' }), said({ taken: true }));
    expect(await put()).toEqual({ taken: true });
    expect(sent.map((s) => [s.path, s.token, s.body])).toEqual([
      ['/api/my/words/kept', 'first', '{"text":"mooring"}'],
      ['/api/session', null, undefined],
      ['/api/my/words/kept', 'second', '{"text":"mooring"}'],
    ]);
  });

  it('is not sent in the name of somebody else who has signed in meanwhile', async () => {
    server(refused('stale-page'), said({ id: 'teo', token: 'other' }));
    expect(await failed(put())).toMatchObject({ code: 'stale-page' });
    expect(sent).toHaveLength(2);
  });

  it('is sent twice at most', async () => {
    server(refused('stale-page'), said({ id: 'marit', token: 'second' }), refused('stale-page'));
    expect(await failed(put())).toMatchObject({ code: 'stale-page' });
    expect(sent).toHaveLength(3);
  });

  it('gets a token first where the page was opened without a network', async () => {
    setToken('marit', '');
    server(said({ id: 'marit', token: 'late' }), said({ taken: true }));
    await put();
    expect(sent.map((s) => [s.path, s.token])).toEqual([
      ['/api/session', null],
      ['/api/my/words/kept', 'late'],
    ]);
  });

  it('carries a file as it is', async () => {
    server(said({ id: 'r1' }));
    await sendKept('PUT', '/my/tickets/k1/recording/r1', new Blob(['sound']), { 'X-Work-Of': 'mateo' });
    expect(sent[0]?.body).toBe('sound');
  });
});

describe('what goes wrong', () => {
  it('is no network where the server cannot be reached', async () => {
    server(new TypeError('fetch failed'));
    expect(await failed(put())).toBeInstanceOf(NoNetwork);
  });

  it('is told where the person is no longer signed in', async () => {
    const heard = vi.fn();
    onSignedOut(heard);
    server(refused('signed-out'));
    await failed(put());
    expect(heard).toHaveBeenCalledOnce();
  });

  it('is a sentence for people, whatever the server’s machine says', async () => {
    server(new Response('<html>502 Bad Gateway</html>', { status: 502 }));
    const e = await failed(put());
    expect(e).toMatchObject({ status: 502, code: 'failed' });
    expect(sentence(e)).toBe('Something went wrong on the server. Saved work is safe. Try again.');
    expect(sentence('no error at all')).toBe('Something went wrong. Try again.');
  });

  it('names its fields, each with its sentence', () => {
    const message = (key: string) => ({ key, values: [], count: null });
    const e = new Problem(422, 'invalid', 'Not saved yet.', {
      name: message('Enter a name.'),
      mail: message('Enter @.'),
    });
    expect(fieldOf(e, 'name')).toBe('Enter a name.');
    expect(fieldOf(e, 'grade')).toBeUndefined();
    expect(sentences(e)).toBe('Enter a name. Enter @.');
    expect(sentences(new Problem(409, 'stale', 'Someone else changed this.'))).toBe('Someone else changed this.');
  });
});
