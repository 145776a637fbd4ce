import { beforeEach, expect, test, vi } from 'vitest';
import type { Entry } from './store';

type Delivery = { body: unknown; done: (said: unknown) => void };

const deliveries: Delivery[] = [];
const kept = new Map<string, Entry>();

vi.mock('../../shared/api', async (original) => ({
  ...(await original<object>()),
  sendKept: (_method: string, _path: string, body: unknown) =>
    new Promise((done) => {
      deliveries.push({ body, done });
    }),
}));
vi.mock('./store', () => ({
  whose: () => 'reader',
  loadEntries: () => Promise.resolve([]),
  saveEntry: (k: Entry) => {
    kept.set(k.id, k);
    return Promise.resolve();
  },
  deleteEntry: (k: Entry) => {
    kept.delete(k.id);
    return Promise.resolve();
  },
}));
const { send } = await import('./outbox');

const stage = (done: boolean) =>
  send({
    id: 'stage',
    about: 'check',
    kind: 'stage',
    params: { path: { sittingId: 'check', stageId: 'stage' } },
    body: { answers: [], seconds: 1, done },
  });
const setOut = (n: number) => vi.waitFor(() => expect(deliveries).toHaveLength(n));
const arrive = (n: number, said: string) => deliveries[n]?.done(said);

beforeEach(() => {
  deliveries.length = 0;
  kept.clear();
});

test('what is sent under the same id while the first is on its way has its own answer, and is not lost', async () => {
  const answer = stage(false);
  await setOut(1);
  const finish = stage(true);
  await vi.waitFor(() => expect(kept.get('stage')?.body).toMatchObject({ done: true }));
  arrive(0, 'the same stage');
  expect(await answer).toBe('the same stage');
  await setOut(2);
  expect(kept.get('stage')?.body, 'a reload now would send it').toMatchObject({ done: true });
  arrive(1, 'the next stage');
  expect(await finish).toBe('the next stage');
  expect(kept.size).toBe(0);
});

test('what is replaced before it sets out is answered with nothing, and sent once', async () => {
  const first = stage(false);
  const second = stage(true);
  expect(await first).toBeNull();
  await setOut(1);
  expect(deliveries[0]?.body).toMatchObject({ done: true });
  arrive(0, 'the next stage');
  expect(await second).toBe('the next stage');
});
