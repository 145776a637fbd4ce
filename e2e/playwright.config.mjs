import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: '.',
  testMatch: '*.spec.mjs',
  outputDir: '.out',
  fullyParallel: false,
  workers: 1,
  // The machine may be slow for a moment; a walk that needs its second try is listed as flaky.
  retries: 1,
  timeout: 120_000,
  expect: { timeout: 10_000 },
  reporter: 'list',
  use: {
    baseURL: process.env.DEEPCURRENT_URL ?? 'http://127.0.0.1:8350',
    viewport: { width: 1280, height: 800 },
    trace: 'off',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
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
