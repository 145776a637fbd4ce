import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { setTimeout as pause } from 'node:timers/promises';
import { fileURLToPath } from 'node:url';
import { expect, test } from '@playwright/test';
import { axe } from './people.mjs';
import { freePort } from './world.mjs';

// The kit's page is there in development only, so that is what is started; it needs no server and no database.
// Unbundled it is a thousand files, so one browser's cache serves all the walks.
let vite, address, context, page;

test.beforeAll(async ({ browser }) => {
  const port = await freePort();
  address = `http://127.0.0.1:${port}`;
  const web = fileURLToPath(new URL('../web', import.meta.url));
  vite = spawn('node', ['node_modules/vite/bin/vite.js', '--host', '127.0.0.1', '--port', String(port)], {
    cwd: web,
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  while (!(await fetch(address).catch(() => null))?.ok) await pause(100);
  context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  page = await context.newPage();
});

test.beforeEach(() => page.goto(`${address}/kit`));

test.afterAll(async () => {
  await context.close();
  vite.kill('SIGTERM');
  await once(vite, 'exit');
});

test('every piece of the kit is shown in every state, and each passes the check for access', async ({}, testInfo) => {
  await expect(page.getByRole('heading', { level: 1, name: 'The kit' })).toBeVisible();
  await expect(page).toHaveTitle('The kit – Deep Current');
  for (const part of ['Buttons', 'Fields', 'Choices', 'Shapes and measures', 'States', 'Windows', 'Lists'])
    await expect(page.getByRole('region', { name: part, exact: true })).toBeVisible();
  await page.screenshot({ path: testInfo.outputPath('kit.png'), fullPage: true });
  await axe(page, 'the kit');

  await page.getByRole('button', { name: 'Menu' }).click();
  await axe(page, 'a menu');
  await page.keyboard.press('Escape');
  await page.getByRole('combobox', { name: 'Grade' }).click();
  await expect(page.getByRole('option', { name: 'grade 4' })).toHaveAttribute('aria-selected', 'true');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Toast' }).click();
  await expect(page.getByText('Assigned “The Ferry Cat” to 5 readers.')).toBeVisible();
});

test('a field says what is wrong with it, to everybody', async () => {
  const wrong = page.getByLabel('Title, wrong');
  await expect(wrong).toHaveAttribute('aria-invalid', 'true');
  await expect(wrong).toHaveAccessibleDescription('Enter a title.');
  await expect(page.getByLabel('Title', { exact: true })).toHaveAccessibleDescription('Up to 120 characters');
});

test('a number is taken as it is typed, and an emptied field has none', async () => {
  const days = page.getByRole('spinbutton', { name: 'Days' });
  await days.fill('');
  await days.pressSequentially('1.5');
  await expect(days).toHaveValue('1.5');
  await days.fill('');
  await days.blur();
  await expect(days).toHaveValue('');
});

test('a window takes the focus, keeps it, and gives it back', async () => {
  const opener = page.getByRole('button', { name: 'Open a window…' });
  await opener.click();
  const window_ = page.getByRole('dialog', { name: 'Rename group' });
  await expect(window_).toBeVisible();
  await axe(page, 'a window');
  for (let i = 0; i < 6; i++) {
    await page.keyboard.press('Tab');
    await expect(window_.locator(':focus')).toHaveCount(1);
  }
  await page.keyboard.press('Escape');
  await expect(window_).toHaveCount(0);
  await expect(opener).toBeFocused();
});

test('a long list sorts, narrows, is picked by keys, and draws only what is looked at', async () => {
  const list = page.getByRole('region', { name: 'Three hundred readers' });
  await expect(list.getByRole('row').nth(1)).toContainText('Reader 1');
  expect(await list.getByRole('row').count()).toBeLessThan(80);
  await list.getByRole('button', { name: 'Depth' }).click();
  await list.getByRole('button', { name: 'Depth' }).click();
  await expect(list.getByRole('columnheader', { name: 'Depth' })).toHaveAttribute('aria-sort', 'descending');
  await expect(list.getByRole('row').nth(1)).toContainText('47.0');
  await page.getByRole('searchbox', { name: 'Filter by name' }).fill('Reader 29');
  await expect(page.getByText('11 of 300 readers')).toBeVisible();
  await list.getByRole('row').nth(1).focus();
  await page.keyboard.press('Space');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Shift+Space');
  await expect(page.getByText('3 picked')).toBeVisible();
  await page.getByRole('searchbox', { name: 'Filter by name' }).fill('nobody');
  await expect(page.getByRole('heading', { name: 'No readers match' })).toBeVisible();
});

test('a button that is pressed can be read', async () => {
  const [back, ink] = await page
    .getByRole('button', { name: 'pressed' })
    .first()
    .evaluate((e) => [getComputedStyle(e).backgroundColor, getComputedStyle(e).color]);
  expect(back).not.toBe(ink);
});
