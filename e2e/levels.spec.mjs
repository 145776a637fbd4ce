import { expect, test } from './world.mjs';
import { axe, choose, place, teacher } from './people.mjs';

// What a level is built from, and the teacher's own word.
test('evidence is left out with a reason and taken in again, a judgement is added and undone, the level is set', async ({
  page,
}) => {
  await teacher(page);
  await place(page, 'Readers');
  await page
    .getByRole('button', { name: /^Mateo/ })
    .first()
    .click();
  await page.getByRole('link', { name: 'Open profile' }).click();
  const account = page.getByRole('region', { name: 'Evidence for the level' }).first();
  await expect(account.getByText(/after one more level check/)).toBeVisible();
  // The latest are shown at first.
  const all = account.getByRole('button', { name: 'Show all' });
  if (await all.isVisible()) await all.click();
  const rows = account.getByRole('row');
  const count = await rows.count();
  expect(count).toBeGreaterThan(4);
  await page
    .getByRole('link', { name: /errors in 120 words/ })
    .first()
    .click();
  await expect(page).toHaveURL(/#piece-/);

  await account
    .getByRole('button', { name: /^Leave out: .*errors in 120 words/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Leave out' }).click();
  await expect(page.getByRole('alert')).toContainText('Enter a reason');
  await page.getByRole('textbox', { name: 'Why' }).fill('He had a cold');
  await page.getByRole('button', { name: 'Leave out' }).click();
  await expect(account.getByText('left out: He had a cold')).toBeVisible();
  await axe(page, 'evidence');
  await account
    .getByRole('button', { name: /^Include/ })
    .first()
    .click();
  await expect(account.getByText('left out: He had a cold')).toHaveCount(0);

  await page.getByRole('button', { name: 'Add judgement…' }).click();
  await choose(page.getByLabel('Written as'), 'grade');
  await page.getByRole('textbox', { name: 'Level', exact: true }).fill('6');
  await page.getByRole('textbox', { name: 'Why' }).fill('Reads to his sister every night');
  await axe(page, 'judgement');
  await page.getByRole('button', { name: 'Add judgement', exact: true }).click();
  await expect(rows).toHaveCount(count + 1);
  await expect(account.getByText(/45 fm ± 6\.6, Reads to his sister/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(rows).toHaveCount(count);

  await page.getByRole('button', { name: 'Set level…' }).click();
  await page.getByRole('textbox', { name: 'Level', exact: true }).fill('51');
  await page.getByRole('textbox', { name: 'Why' }).fill('Reads novels at home');
  await axe(page, 'set level');
  await page.getByRole('button', { name: 'Set level', exact: true }).click();
  await expect(account.getByText('Set to 51.0 fm until the next level check.')).toBeVisible();
  await expect(account.getByText(/Estimate beneath: \d/)).toBeVisible();
  await axe(page, 'level that is set');
  await account.getByRole('button', { name: 'End set level' }).click();
  await expect(account.getByText('Set to 51.0 fm')).toHaveCount(0);
  await expect(rows).toHaveCount(count);
});
