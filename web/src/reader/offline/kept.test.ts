import { beforeEach, describe, expect, it, vi } from 'vitest';

const device = new Map<string, unknown>();
vi.mock('./store', () => ({
  keep: (path: string, value: unknown) => Promise.resolve(device.set(path, value)),
  recall: (path: string) => Promise.resolve(device.get(path)),
}));
const { NoNetwork, Problem } = await import('../../shared/api');
const { getKept } = await import('./kept');

beforeEach(() => device.clear());
const tickets = () => Promise.resolve(['The Ferry Cat']);
const down = () => Promise.reject(new NoNetwork());

describe('what a device keeps of what the server says', () => {
  it('is there when the network is not', async () => {
    expect(await getKept('/my/tickets', tickets)).toEqual(['The Ferry Cat']);
    expect(await getKept('/my/tickets', down)).toEqual(['The Ferry Cat']);
  });

  it('is what was said last', async () => {
    await getKept('/my/tickets', tickets);
    await getKept('/my/tickets', () => Promise.resolve([]));
    expect(await getKept('/my/tickets', down)).toEqual([]);
  });

  it('is not made up where nothing was said yet', async () =>
    expect(getKept('/my/tickets', down)).rejects.toBeInstanceOf(NoNetwork));

  it('is not shown to whom the server refuses', async () => {
    await getKept('/my/tickets', tickets);
    const refused = new Problem(404, 'not-found', 'Page not found, or you have no access.');
    await expect(getKept('/my/tickets', () => Promise.reject(refused))).rejects.toBe(refused);
  });
});
