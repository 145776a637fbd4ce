import { expect, test } from './world.mjs';
import { axe, choose, place, reader, teacher, view, starting } from './people.mjs';

// Reading of one's own choosing, and the words that go with reading.
test('a teacher sets what readers may choose, and a reader chooses, begins and puts it back', async ({ page }) => {
  await teacher(page);
  await view(page, 'Class');
  const rules = page.getByRole('region', { name: 'Reader choice' });
  await expect(rules.getByLabel('Readers can choose texts themselves')).toBeChecked();
  await choose(rules.getByLabel('Most open at once'), '1');
  await choose(rules.getByLabel('Depth'), 'within their reach, or easier');
  await expect(rules.getByRole('status')).toContainText('Saved.');
  await rules.getByText(/^All topics|left out/).click();
  await rules.getByLabel('Sport').uncheck();
  await expect(rules.getByText('1 topic left out')).toBeVisible();
  await axe(page, 'class rules');

  await page.context().clearCookies();
  await reader(page);
  await page.getByRole('link', { name: /^See all/ }).click();
  await expect(page.getByRole('button', { name: 'Sport' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Animals' }).click();
  await axe(page, 'choosing');
  const first = page.getByRole('article').first();
  const title = await first.getByRole('heading').textContent();
  await first.getByRole('button', { name: /^Read / }).click();
  await expect(page).toHaveURL(/\/text\//);
  await expect(page.getByRole('heading', { name: title })).toBeVisible();
  await page.goto('/');
  await expect(page.getByText('You have chosen enough for now.')).toBeVisible();
  await page.getByRole('button', { name: `Put ${title} back` }).click();
  await expect(page.getByRole('link', { name: /^See all/ })).toBeVisible();
  await axe(page, 'home with texts to choose');
});

test('a word list gathers words of texts, is practised in rounds of at most ten, and comes back when it was removed', async ({
  page,
}) => {
  const name = `Kitchen words ${Date.now()}`;
  await teacher(page);
  await place(page, 'Texts');
  await page.getByRole('button', { name: 'Other…' }).click();
  await page.getByRole('menuitem', { name: 'Word lists' }).click();
  await page.getByRole('button', { name: 'New word list' }).first().click();
  await page.getByRole('button', { name: 'Save word list' }).click();
  await expect(page.getByRole('alert')).toContainText('Enter a name of 80 letters');
  await page.getByLabel('Name').fill(name);
  for (const text of ['Why the Kettle Sings', 'Why Cats Land on Their Feet']) {
    await page.getByLabel('Add words from a text').fill(text);
    await page.getByRole('button', { name: starting(text) }).click();
    await expect(page.getByLabel('Add words from a text')).toHaveValue('');
  }
  await page.getByLabel('Word 13', { exact: true }).fill('ladle');
  await page.getByRole('button', { name: 'Save word list' }).click();
  await expect(page.getByRole('alert')).toContainText('Enter the meaning of “ladle”.');
  await page.getByLabel('Meaning of word 13').fill('a deep spoon');
  await axe(page, 'word list editor');
  await page.getByRole('button', { name: 'Save word list' }).click();
  const row = page.getByRole('row').filter({ hasText: name });
  await expect(row).toContainText(/rounds of (\d+, )+\d+/);
  await page.getByRole('button', { name: `Delete ${name}` }).click();
  await expect(row).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(row).toHaveCount(1);
  await axe(page, 'word lists');
});
