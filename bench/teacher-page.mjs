// A browser in which a teacher of the demo's school is signed in. Imported from e2e/, whose packages it uses.
import { existsSync } from 'node:fs';
import { createRequire } from 'node:module';

const { chromium } = createRequire(`${process.cwd()}/`)('@playwright/test');
const light = '/usr/bin/chromium-headless-shell';

export async function teacherPage(address) {
  const browser = await chromium.launch({
    executablePath: existsSync(light) ? light : '/usr/bin/chromium',
    args: ['--headless', '--no-sandbox', '--disable-gpu'],
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(address);
  await page.getByLabel('User name').fill('marit');
  await page.getByLabel('Password').fill('low water at nine');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.getByRole('navigation', { name: 'Places' }).waitFor();
  return { browser, page };
}

/** Notes the time of the next press in the page, as `window.pressed`. */
export const notePress = (page) =>
  page.evaluate(() => {
    addEventListener('pointerdown', () => (window.pressed = performance.now()), { once: true, capture: true });
  });
