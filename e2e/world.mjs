import { execFile, spawn } from 'node:child_process';
import { once } from 'node:events';
import { createServer } from 'node:net';
import { setTimeout as pause } from 'node:timers/promises';
import { fileURLToPath } from 'node:url';
import { promisify } from 'node:util';
import { test as base } from '@playwright/test';

export { expect } from '@playwright/test';

const run = promisify(execFile);
const given = process.env.DEEPCURRENT_URL;
const command = fileURLToPath(new URL('../deepcurrent', import.meta.url));

export async function freePort() {
  const server = createServer().listen(0, '127.0.0.1');
  await once(server, 'listening');
  const { port } = server.address();
  server.close();
  await once(server, 'close');
  return port;
}

/** A server of its own, and for each file of walks the demo's school anew: its database is exchanged under it. */
class World {
  constructor(name) {
    this.name = name;
  }

  async begin(file) {
    if (this.file === file) return;
    await (this.server ? run(command, ['world', this.name, 'anew']) : this.serve());
    await this.ready();
    this.file = file;
  }

  async serve() {
    const port = await freePort();
    this.url = `http://127.0.0.1:${port}`;
    this.server = spawn(command, ['world', this.name, String(port)], { stdio: ['ignore', 'inherit', 'inherit'] });
  }

  async ready() {
    for (;;) {
      if (this.server.exitCode !== null) throw new Error(`the server of ${this.name} stopped before it was ready`);
      const answer = await fetch(`${this.url}/health/ready`).catch(() => null);
      if (answer?.ok) return;
      await pause(100);
    }
  }

  async end() {
    if (!this.server || this.server.exitCode !== null) return;
    this.server.kill('SIGTERM');
    await once(this.server, 'exit');
  }
}

/**
 * Walks of one file share a school and follow each other; files know nothing of each other and run side by side.
 * With DEEPCURRENT_URL they walk through that application instead.
 */
export const test = base.extend({
  world: [
    // Playwright reads the names of fixtures from this pattern, also where there are none.
    // eslint-disable-next-line no-empty-pattern
    async ({}, use, worker) => {
      const world = new World(`walk_${worker.parallelIndex}`);
      await use(world);
      await world.end();
    },
    { scope: 'worker' },
  ],
  baseURL: async ({ world }, use, info) => {
    if (!given) await world.begin(info.file);
    await use(given ?? world.url);
  },
});
