import { expect, test } from './world.mjs';
import { axe, place, teacher } from './people.mjs';

// Texts from files and back: a document of two chapters, a book that was saved here, and what is no text.

const chapter = (name) =>
  [
    `# ${name}`,
    'The estuary was quiet. A heron stood in the shallow water and waited for the ferry to go by. ' +
      'Then it spread its wings and flew over the mill.',
    'Nobody saw it but the ferryman, who waved.',
  ].join('\n\n');

test('a document is looked into, its chapters are named and taken in', async ({ page }) => {
  await teacher(page);
  await place(page, 'Texts');
  await page.getByRole('button', { name: 'Other…' }).click();
  await page.getByRole('menuitem', { name: 'Import texts' }).click();
  await axe(page, 'bringing texts in, empty');
  const file = page.getByLabel(/Choose a file|Choose another file/);
  await file.setInputFiles({
    name: 'virus.zip',
    mimeType: 'application/zip',
    buffer: Buffer.from('PK\u0003\u0004nonsense'),
  });
  await expect(page.getByRole('alert')).toHaveText('This archive is damaged or incomplete.');
  await file.setInputFiles({
    name: 'herons.md',
    mimeType: 'text/markdown',
    buffer: Buffer.from(
      [
        chapter('Low water'),
        chapter('High water'),
        '# Deutsch',
        'Der Reiher stand lange im flachen Wasser und wartete, bis die Fähre vorbei war und niemand ihn sah.',
      ].join('\n\n'),
    ),
  });
  await expect(page.getByText('herons.md contains 3 texts.')).toBeVisible();
  await expect(page.getByText(/Only English can be measured/)).toBeVisible();
  await expect(page.getByRole('checkbox', { name: 'Import Deutsch' })).toBeDisabled();
  await page.getByRole('checkbox', { name: 'Import High water' }).uncheck();
  await page.getByLabel('Title').first().fill('The heron and the ferry');
  await page.getByLabel('Topic').first().fill('');
  await axe(page, 'the texts of a file');
  await page.getByRole('button', { name: 'Import 1 text' }).click();
  await expect(page.getByRole('alert')).toContainText('for “The heron and the ferry”');
  await page.getByLabel('Topic').first().fill('Birds');
  await page.getByRole('button', { name: 'Import 1 text' }).click();
  await expect(page.getByRole('heading', { name: 'Imported 1 text' })).toBeVisible();
  await page.getByRole('link', { name: 'The heron and the ferry' }).click();
  await expect(page.getByLabel('The text', { exact: true })).toContainText('Nobody saw it but the ferryman');
});

test('a text is saved as a book and as a content folder, and both come back', async ({ page }) => {
  await teacher(page);
  for (const [format, name, says] of [
    ['EPUB', 'The Ferry Cat', /contains 1 text/],
    ['Content folder (ZIP)', 'The Ferry Cat', /questions/],
  ]) {
    await place(page, 'Texts');
    await page.getByRole('link', { name, exact: true }).first().click();
    await page.getByRole('button', { name: 'More' }).click();
    await page.getByRole('menuitem', { name: 'Export…' }).click();
    const window_ = page.getByRole('dialog', { name: `Export “${name}”` });
    await axe(page, 'the formats of a text');
    const saved = page.waitForEvent('download');
    await window_.getByRole('link', { name: format }).click();
    const path = await (await saved).path();
    await page.keyboard.press('Escape');
    await place(page, 'Texts');
    await page.getByRole('button', { name: 'Other…' }).click();
    await page.getByRole('menuitem', { name: 'Import texts' }).click();
    await page.getByLabel('Choose a file').setInputFiles({
      name: (await saved).suggestedFilename(),
      mimeType: 'application/zip',
      buffer: await (await import('node:fs/promises')).readFile(path),
    });
    await expect(page.getByText(says).first()).toBeVisible();
    await expect(page.getByLabel('Title')).toHaveValue(name);
    await page.getByLabel('Title').fill(`A cat aboard, ${format}`);
    await page.getByLabel('Topic').fill('Ferry');
    await page.getByRole('button', { name: 'Import 1 text' }).click();
    await expect(page.getByRole('link', { name: `A cat aboard, ${format}` })).toBeVisible();
  }
  await page.getByRole('link', { name: 'A cat aboard, Content folder (ZIP)' }).click();
  await expect(page.getByRole('heading', { name: /^Quiz [0-9]+ questions/ })).toBeVisible();
});

test('a copy on paper is lent with a user name and its code, and taken back with the code', async ({ page }) => {
  const code = `FC-${Date.now() % 100000}`;
  await teacher(page);
  await place(page, 'Texts');
  await page.getByRole('button', { name: 'Other…' }).click();
  await page.getByRole('menuitem', { name: 'Paper copies' }).click();
  await page.getByRole('button', { name: 'Add copies' }).first().click();
  await page.getByLabel('Title').fill('The Ferry Cat');
  await page.getByLabel('Codes, one per line').fill(`${code}\n${code}b`);
  await expect(page.getByText('In the library, so copies link to it.')).toBeVisible();
  await page.getByRole('button', { name: 'Add copies' }).click();
  await expect(page.getByText('2 copies added')).toBeVisible();
  const field = page.getByLabel('User name or copy');
  await field.fill('nobody');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toHaveText('No copy or reader matches “nobody”.');
  await field.fill('mateo.r');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Mateo Rivas borrows the next copy.')).toBeVisible();
  await page.getByLabel('Copy for Mateo Rivas').fill(code.toLowerCase());
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^Mateo Rivas has “The Ferry Cat” until/)).toBeVisible();
  await expect(page.getByRole('row', { name: `${code} The Ferry Cat Mateo Rivas` })).toBeVisible();
  await axe(page, 'copies on paper');
  await field.fill(code);
  await page.keyboard.press('Enter');
  await expect(page.getByText('Returned “The Ferry Cat”.')).toBeVisible();
});
