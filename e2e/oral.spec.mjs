import { expect, test } from './world.mjs';
import { axe, choose, place, reader, teacher, starting } from './people.mjs';

const profile = async (page, name) => {
  await place(page, 'Readers');
  await page
    .getByRole('button', { name: starting(name) })
    .first()
    .click();
  await page.getByRole('link', { name: 'Open profile' }).click();
};
/** A new record of Mateo reading the crab's shallow version. */
const beginRecord = async (page) => {
  await teacher(page);
  await profile(page, 'Mateo');
  await page.getByRole('button', { name: 'Take a running record' }).click();
  await page.getByLabel('Find texts').fill('crab');
  await page
    .getByRole('row', { name: /^Crab on the Steps .* 126 / })
    .getByRole('button', { name: /^Start with/ })
    .click();
  await expect(page.getByRole('heading', { name: 'Running record' })).toBeVisible();
};
const figure = (page, name) =>
  page
    .getByRole('region', { name: 'Figures' })
    .locator('div', { has: page.getByText(name, { exact: true }) })
    .last();

test('a running record is marked with keys, undone, finished, printed, and counts in the level', async ({ page }) => {
  await beginRecord(page);
  await page.getByRole('button', { name: /^The/ }).first().focus();
  for (const key of ['ArrowRight', 's', 'o', 't', 'ArrowDown', 'c', 'r', 'i']) await page.keyboard.press(key);
  await expect(figure(page, 'Errors')).toContainText('4 in 126 words');
  await expect(figure(page, 'Self-corrections')).toContainText('1, 1 : 5');
  await page.keyboard.press('z');
  await expect(figure(page, 'Errors')).toContainText('3 in 126 words');
  await page.keyboard.press('p');
  await expect(page.getByRole('timer', { name: 'Time' })).toHaveText(/0:0[1-9]/);
  await page.keyboard.press('p');
  await page.getByLabel('seconds').fill('63');
  await expect(figure(page, 'Words correct per minute')).toContainText('117');
  await page
    .getByRole('textbox', { name: /^What was said for/ })
    .first()
    .fill('sees');
  await page.getByRole('button', { name: 'meaning', exact: true }).first().click();
  await page.getByRole('radio', { name: 'Retelling', exact: true }).click();
  await page.getByRole('radio', { name: 'told', exact: true }).first().click();
  await page.getByRole('radio', { name: 'Questions', exact: true }).click();
  await axe(page, 'a running record');
  await expect(page.getByText(/^Saved \d\d:\d\d/)).toBeVisible();
  await page.getByRole('button', { name: 'Finish and count in level' }).click();
  await expect(page.getByText(/counts in the level/)).toBeVisible();
  const printed = await page.request.get(await page.getByRole('link', { name: 'PDF' }).getAttribute('href'));
  expect(printed.headers()['content-type']).toBe('application/pdf');
  expect((await printed.body()).subarray(0, 5).toString()).toBe('%PDF-');
  await page.getByRole('main').getByRole('link', { name: 'Mateo Rivas' }).click();
  await expect(page.getByRole('rowheader', { name: /“Crab on the Steps”: 3 errors in 126 words, 98%/ })).toBeVisible();
  await expect(
    page
      .getByRole('region', { name: 'Words to practise' })
      .or(page.getByRole('heading', { name: 'Words to practise' }))
      .first(),
  ).toBeVisible();
  await page
    .getByRole('region', { name: 'Reading aloud' })
    .last()
    .getByRole('link', { name: 'Crab on the Steps' })
    .first()
    .click();
  await page.getByRole('button', { name: 'Delete' }).click();
  await expect(page.getByRole('rowheader', { name: /“Crab on the Steps”: 3 errors/ })).toHaveCount(0);
});

test('marks are kept while there is no network, and by touch', async ({ page, context }) => {
  await beginRecord(page);
  await page
    .getByRole('group', { name: 'A tap marks' })
    .getByRole('button', { name: /^omission/ })
    .click();
  await context.setOffline(true);
  await page.getByRole('button', { name: /^sea/ }).first().click();
  await page.getByRole('button', { name: /^goes/ }).first().click();
  await expect(page.getByText('No internet: saved on this device, will be sent')).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByText(/^Saved \d\d:\d\d/)).toBeVisible();
  await page.reload();
  await expect(figure(page, 'Errors')).toContainText('2 in 126 words');
  await page.getByRole('button', { name: 'Delete' }).click();
});

test('a reader records a text, the listening device drafts a record, the teacher takes it and finishes', async ({
  page,
  browser,
}) => {
  await teacher(page);
  await place(page, 'Texts');
  await page.getByRole('searchbox').first().fill('Crab on the Steps');
  await page.getByRole('checkbox', { name: 'Select Crab on the Steps' }).click();
  await place(page, 'Readers');
  await page.getByRole('checkbox', { name: 'Select Mateo', exact: true }).click();
  await page.getByRole('button', { name: /^Assign to/ }).click();
  await page.getByLabel('Read aloud', { exact: false }).check();
  const skip = page.getByLabel('Skip readers who have had it');
  if (await skip.count()) await skip.uncheck();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^Assign to/ })
    .click();
  const context = await browser.newContext();
  const child = await context.newPage();
  await reader(child);
  await child
    .getByRole('link', { name: /Crab on the Steps/ })
    .first()
    .click();
  await child.getByRole('button', { name: 'Record my reading' }).click();
  await expect(child.getByRole('button', { name: /^Stop, 0:0[2-9]/ })).toBeVisible();
  await axe(child, 'recording');
  await child.getByRole('button', { name: /^Stop/ }).click();
  await child.getByRole('button', { name: 'Send' }).click();
  await expect(child.getByText('Your teacher can hear it now.')).toBeVisible();
  await context.close();

  await place(page, 'Chart');
  await page
    .getByRole('navigation', { name: 'Places' })
    .getByRole('link', { name: /^Marking/ })
    .click();
  await page
    .getByRole('listitem')
    .filter({ hasText: 'Crab on the Steps' })
    .getByRole('link', { name: /^Recording of/ })
    .click();
  await page.getByRole('button', { name: /^Use draft/ }).click();
  await expect(page.getByLabel('The recording', { exact: true })).toBeVisible();
  await choose(page.getByLabel('Speed'), '0.75');
  await axe(page, 'a recording to mark');
  await page.getByRole('button', { name: 'Finish and count in level' }).click();
  await expect(page.getByText(/counts in the level/)).toBeVisible();
  await page.getByRole('button', { name: 'Delete' }).click();
});
