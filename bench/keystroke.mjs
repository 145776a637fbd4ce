// How long the list of a school of 3,000 readers takes from a keystroke to the next picture, in the browser. Run from e2e/, whose packages it uses.
import { existsSync } from 'node:fs';
import { createRequire } from 'node:module';

const { chromium } = createRequire(`${process.cwd()}/`)('@playwright/test');
const browser = await chromium.launch({
  executablePath: existsSync('/usr/bin/chromium-headless-shell')
    ? '/usr/bin/chromium-headless-shell'
    : '/usr/bin/chromium',
  args: ['--headless', '--no-sandbox', '--disable-gpu'],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.goto(process.env.DEEPCURRENT_URL);
await page.getByLabel('User name').fill('lead');
await page.getByLabel('Password').fill('low water at nine');
await page.getByRole('button', { name: 'Sign in' }).click();
const field = page.getByRole('searchbox');
await field.waitFor();
const foot = page
  .getByText(/^3,?0\d\d of/)
  .or(page.getByText(/of 3,?0\d\d/))
  .first();
await foot.waitFor();
const counted = await foot.elementHandle();
const times = [];
for (const key of [
  'k',
  'a',
  'm',
  'Backspace',
  'Backspace',
  'Backspace',
  'l',
  'i',
  'n',
  'd',
  'Backspace',
  'Backspace',
  'Backspace',
  'Backspace',
]) {
  await field.focus();
  await page.evaluate((foot) => {
    window.took = new Promise((done) =>
      document.activeElement.addEventListener(
        'keydown',
        () => {
          const from = performance.now();
          // Two frames after the footer says another number, or after a while in which it does not: the picture is there.
          const before = foot.textContent;
          const look = (n) =>
            requestAnimationFrame(() =>
              foot.textContent !== before
                ? requestAnimationFrame(() => done(performance.now() - from))
                : n > 30
                  ? done(null)
                  : look(n + 1),
            );
          look(0);
        },
        { once: true },
      ),
    );
  }, counted);
  await page.keyboard.press(key);
  const took = await page.evaluate(() => window.took);
  if (took !== null) times.push(took);
}
times.sort((a, b) => a - b);
console.log(
  `| The same list in the browser, keystroke to picture | ${times[Math.floor(times.length / 2)].toFixed(0)} ms at the median, ${times.at(-1).toFixed(0)} ms at most | within 100 ms |`,
);
await browser.close();
