import { existsSync } from 'node:fs';
import { defineConfig } from '@playwright/test';

const light = '/usr/bin/chromium-headless-shell';

export default defineConfig({
  testDir: '.',
  testMatch: '*.spec.mjs',
  outputDir: '.out',
  fullyParallel: false,
  // Each file of walks has a school of its own (world.mjs), unless one application is named for all.
  workers: process.env.DEEPCURRENT_URL ? 1 : 2,
  retries: 0,
  timeout: 180_000,
  // Nothing takes as long; on a busy machine a slow page is still no wrong one.
  expect: { timeout: 20_000 },
  reporter: 'list',
  use: {
    viewport: { width: 1280, height: 800 },
    trace: 'off',
    // Kept pages and work without a network have walks of their own.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: existsSync(light) ? light : '/usr/bin/chromium',
      args: [
        '--headless',
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--use-fake-device-for-media-stream',
        '--use-fake-ui-for-media-stream',
      ],
    },
  },
});
