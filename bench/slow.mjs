// A reader's side on a slow tablet: processor six times slower, 400 kbit/s, 300 ms; then without a network.
import { createRequire } from 'node:module';

const { chromium } = createRequire(`${process.cwd()}/`)('playwright-core');
const url = process.env.DEEPCURRENT_URL;
const runs = 3;
const slow = { offline: false, latency: 300, downloadThroughput: 400_000 / 8, uploadThroughput: 400_000 / 8 };
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell', args: ['--no-sandbox'] });
const times = { door: [], home: [], text: [], without: [] };

async function visit() {
  const context = await browser.newContext({ baseURL: url, viewport: { width: 820, height: 1180 } });
  const page = await context.newPage();
  await page.addInitScript(() => localStorage.setItem('dc-language', 'en'));
  const cdp = await context.newCDPSession(page);
  await cdp.send('Network.enable');
  await cdp.send('Network.emulateNetworkConditions', slow);
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: 6 });
  const timed = async (what, act, there) => {
    const from = performance.now();
    await act();
    await there();
    times[what].push(performance.now() - from);
  };
  const code = page.getByRole('textbox', { name: 'Class code' });
  await timed(
    'door',
    () => page.goto('/read', { waitUntil: 'commit', timeout: 60_000 }),
    async () => {
      await code.waitFor();
      // Drawn, too, and not only there.
      await page.waitForFunction(() => performance.getEntriesByName('first-contentful-paint').length > 0);
    },
  );
  await code.fill('TERN46');
  await page.getByRole('button', { name: 'Continue' }).click();
  await page.getByRole('button', { name: 'Mateo' }).click();
  for (const picture of ['boat', 'gull']) await page.getByRole('button', { name: picture }).click();
  const next = page.getByRole('heading', { name: 'Next for you' });
  await timed(
    'home',
    () => page.getByRole('button', { name: 'shell' }).click(),
    () => next.waitFor({ timeout: 60_000 }),
  );
  await timed(
    'text',
    () =>
      page
        .getByRole('link', { name: /^(Start|Continue) reading/ })
        .first()
        .click(),
    () => page.getByRole('navigation', { name: 'Pages' }).waitFor({ timeout: 60_000 }),
  );
  // The second visit, once what ships is on the device.
  await page.evaluate(() => navigator.serviceWorker?.ready);
  await cdp.send('Network.emulateNetworkConditions', {
    ...slow,
    latency: 0,
    downloadThroughput: -1,
    uploadThroughput: -1,
  });
  await page.waitForFunction(async () => (await caches.keys()).length > 0, null, { timeout: 60_000 });
  await page.goto('/');
  await next.waitFor();
  await page.waitForLoadState('networkidle');
  await context.setOffline(true);
  await timed(
    'without',
    () => page.goto('/', { waitUntil: 'commit' }),
    () => next.waitFor({ timeout: 60_000 }),
  );
  await context.close();
}

for (let i = 0; i < runs; i++) await visit();
await browser.close();
const median = (all) => (all.sort((a, b) => a - b)[Math.floor(all.length / 2)] / 1000).toFixed(1);
const on = 'at a processor six times slower, 400 kbit/s, 300 ms';
console.log(`| First visit ${on}, until the door can be used | ${median(times.door)} s | within 4 s |`);
console.log(`| Then from the last picture of the secret to the home | ${median(times.home)} s | within 3 s |`);
console.log(`| Then from the home to the text | ${median(times.text)} s | within 2 s |`);
console.log(
  `| The home from the second visit on, without a network, same processor | ${median(times.without)} s | no figure set |`,
);
