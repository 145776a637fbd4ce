import { expect, test } from './world.mjs';
import { axe, place, teacher } from './people.mjs';

// What the data say a teacher should look at: from the bell to a step, put off, done, and taken up again.

const open = async (page) => {
  await page.getByRole('link', { name: /^Signals/ }).click();
  await expect(page.getByRole('heading', { name: 'Signals', exact: true })).toBeVisible();
};
const rows = (page) => page.getByRole('region', { name: 'Signals' }).getByRole('listitem');
/** The kind and reader of a row. */
const named = (row) => row.getAttribute('aria-label');
/** The first that has its kind and reader for itself: one reader may be unlikely to reach two goals. */
async function alone(page) {
  const names = await rows(page).evaluateAll((all) => all.map((row) => row.getAttribute('aria-label')));
  return names.find((name) => names.filter((n) => n === name).length === 1);
}

test('signals are filtered, seen, put off, done and taken up again', async ({ page }) => {
  await teacher(page);
  const bell = page.getByRole('link', { name: /^Signals/ });
  await expect(bell).toContainText(/\d+ new/);
  await open(page);
  await axe(page, 'signals');
  const all = await rows(page).count();
  expect(all).toBeGreaterThan(1);

  const kind = page.getByRole('region', { name: 'Kind' });
  const [word] = /^(.+?) \S+$/.exec(await named(rows(page).first())).slice(1);
  const ofKind = kind.getByRole('button', { name: new RegExp(`^${word} ?\\d+$`) });
  const count = Number(/\d+$/.exec(await ofKind.innerText())[0]);
  await ofKind.click();
  await expect(page).toHaveURL(/kind=/);
  await expect(rows(page)).toHaveCount(count);
  await expect(page.getByRole('region', { name: 'Signals' }).getByRole('listitem', { name: word })).toHaveCount(count);
  await kind.getByRole('button', { name: /^All kinds/ }).click();
  await page.getByRole('searchbox', { name: 'Reader' }).fill('nobody of that name');
  await expect(page.getByRole('heading', { name: 'No such signals now' })).toBeVisible();
  await page.getByRole('searchbox', { name: 'Reader' }).fill('');

  await page.getByRole('button', { name: 'Mark all as seen' }).click();
  await expect(page.getByRole('region', { name: 'New', exact: true })).toHaveCount(0);
  await expect(bell).not.toContainText('new');

  const put = await alone(page);
  const waiting = page.getByRole('listitem', { name: put, exact: true });
  await waiting.getByRole('button', { name: /^More about/ }).click();
  await page.getByRole('menuitem', { name: 'Put off until…' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Put off', exact: true }).click();
  await expect(rows(page)).toHaveCount(all - 1);
  await page.getByText(/^Put off 1, next/).click();
  await waiting.getByRole('button', { name: /^More about/ }).click();
  await page.getByRole('menuitem', { name: 'Take up again' }).click();
  // It was counted below already, where it waited: it stands above again when the list has come anew.
  const above = page
    .getByRole('region', { name: 'New', exact: true })
    .getByRole('listitem', { name: put, exact: true });
  await expect(above).toBeVisible();
  await expect(rows(page)).toHaveCount(all);
  await expect(bell).toContainText('1 new');
  await expect(page.getByRole('menu')).toHaveCount(0);

  const done = rows(page).last();
  await done.getByRole('button', { name: /^More about/ }).click();
  await page.getByRole('menuitem', { name: 'Done', exact: true }).click();
  await expect(rows(page)).toHaveCount(all - 1);
  const told = page
    .getByRole('region', { name: /^Notifications/ })
    .getByRole('listitem')
    .filter({ hasText: 'Done. ' });
  await told.getByRole('button', { name: 'Undo' }).click();
  await expect(rows(page)).toHaveCount(all);
});

test('a step leads on in one press: a goal to change, texts to find, the reader in the tray', async ({ page }) => {
  await teacher(page);
  await open(page);
  const goal = page.getByRole('button', { name: 'Change goal…' }).first();
  if (await goal.isVisible()) {
    await goal.click();
    await expect(page.getByRole('complementary', { name: /goal/i })).toBeVisible();
    await open(page);
  }
  const texts = page.getByRole('button', { name: /^Find texts for / }).first();
  if (await texts.isVisible()) {
    const who = (await texts.innerText()).replace('Find texts for ', '');
    await texts.click();
    await expect(page.getByRole('heading', { name: 'Texts', exact: true })).toBeVisible();
    await expect(page.getByRole('region', { name: 'Tray' }).getByText(who, { exact: true })).toBeVisible();
  }
});

test('the chart shows at most five signals, and leads to all of them', async ({ page }) => {
  await teacher(page);
  const look = page.getByRole('complementary', { name: 'Look here first' });
  expect(await look.getByRole('listitem').count()).toBeLessThanOrEqual(5);
  await look.getByRole('link', { name: /^All \d+ signals/ }).click();
  await expect(page.getByRole('heading', { name: 'Signals', exact: true })).toBeVisible();
  await place(page, 'Chart');
});
