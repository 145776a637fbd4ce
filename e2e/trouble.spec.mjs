import { expect, test } from './world.mjs';
import { place, reader, teacher, toQuestions } from './people.mjs';

test('an answer given without a network is kept on the device and sent later, once', async ({ page, context }) => {
  await reader(page);
  await page.getByRole('link', { name: /The Mill That Waits/ }).click();
  await expect(page.getByRole('article', { name: /, page \d/ })).toBeVisible();
  await toQuestions(page);
  await expect(page.getByText('Question 1 of 7')).toBeVisible();
  let sent = 0;
  page.on('request', (r) => {
    if (r.method() === 'PUT' && r.url().includes('/answers/')) sent++;
  });
  await context.setOffline(true);
  await page.getByRole('radio').first().check();
  await page.getByRole('button', { name: 'Check answer' }).click();
  await expect(page.getByText('No internet now.')).toBeVisible();
  await expect(page.getByText('Your answer is saved.')).toBeVisible();
  await page.getByRole('button', { name: 'Next question' }).click();
  await context.setOffline(false);
  await expect(page.getByText('No internet now.')).toBeHidden();
  await page.reload();
  const answered = () =>
    page.evaluate(async () => {
      const all = await (await fetch('/api/my/tickets')).json();
      return all.find((k) => k.title === 'The Mill That Waits').answered;
    });
  await expect.poll(answered).toBe(1);
  // How often it was tried before is the page's own business: the answer is there once.
  expect(sent).toBeGreaterThan(0);
});

test('wrong sign-ins say so and keep what was typed', async ({ page }) => {
  await page.goto('/');
  await page.getByLabel('User name').fill('marit');
  await page.getByLabel('Password').fill('not this');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('alert')).toHaveText('Wrong user name or password.');
  await expect(page.getByLabel('User name')).toHaveValue('marit');
  await page.goto('/read');
  await page.getByRole('textbox', { name: 'Class code' }).fill('NOSUCH');
  await page.getByRole('button', { name: 'Continue' }).click();
  await expect(page.getByRole('alert')).toContainText('No class has this code.');
});

test('another teacher’s class, reader and ticket are not found', async ({ page, browser }) => {
  const marit = await (await browser.newContext()).newPage();
  await teacher(marit);
  const url = new URL(marit.url()).pathname;
  await teacher(page, 'teo');
  await page.goto(url);
  await expect(page.getByText('Page not found, or you have no access.')).toBeVisible();
  await marit.context().close();
});

test('the keyboard alone picks a reader up, opens the sheet and closes it', async ({ page }) => {
  await teacher(page);
  await place(page, 'Readers');
  await page.getByRole('row', { name: /Bjørn/ }).focus();
  await page.keyboard.press('Space');
  await expect(page.getByRole('region', { name: 'Tray' }).getByRole('heading', { name: /^1 reader/ })).toBeVisible();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('complementary', { name: 'Reader' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('complementary', { name: 'Reader' })).toBeHidden();
  await page.keyboard.press('Control+k');
  await page.keyboard.type('barometer');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'How a Barometer Listens' })).toBeVisible();
});

test('two texts are previewed reader by reader and assigned together', async ({ page }) => {
  await teacher(page);
  await place(page, 'Readers');
  for (const name of ['Priya', 'Leila'])
    await page.getByRole('checkbox', { name: `Select ${name}`, exact: true }).click();
  await place(page, 'Texts');
  for (const title of ['In Defence of Slow Bread', 'A Bun for Gus'])
    await page.getByRole('checkbox', { name: `Select ${title}` }).click();
  await page.getByRole('button', { name: 'Assign to 2 readers…' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('row', { name: /Priya .* In Defence of Slow Bread/ })).toBeVisible();
  await expect(dialog.getByRole('row', { name: /Priya .* A Bun for Gus/ })).toBeVisible();
  await expect(dialog.getByText(/appears for \d of 2 readers/)).toHaveCount(2);
  await dialog.getByRole('button', { name: 'Assign to 2 readers' }).click();
  await expect(page.getByText('Assigned 2 texts to 2 readers')).toBeVisible();
});
