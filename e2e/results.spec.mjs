import { expect, test } from './world.mjs';
import { api, axe, classOf, place, teacher } from './people.mjs';

// From answers to what to teach tomorrow: results of an assignment, and reports over days.

/** The assignment with a quiz that most readers of the class have handed in. */
async function mostDone(page) {
  const { rows } = await api(page, 'GET', `/classes/${classOf(page)}/assignments`);
  return rows.filter((a) => a.kind === 'Text').sort((a, b) => b.done - a.done)[0];
}

const head = (page, n) => page.getByRole('columnheader').getByRole('button', { name: new RegExp(`^Question ${n} `) });

test('results show who did how, question by question, and fill the tray with what next', async ({ page }) => {
  await teacher(page);
  const given = await mostDone(page);
  await page.goto(`/class/${classOf(page)}/assignments/${given.id}`);
  await page.getByRole('link', { name: 'Results' }).click();
  await expect(page.getByRole('heading', { name: given.title, level: 1 })).toBeVisible();
  const results = await api(page, 'GET', `/assignments/${given.id}/results`);
  const figures = page.getByRole('list', { name: 'Figures' });
  await expect(figures).toContainText(`${results.figures.handedIn}handed in`);
  const matrix = page.getByRole('region', { name: 'Readers by question' }).getByRole('table');
  await expect(matrix.getByRole('row')).toHaveCount(results.rows.length + 1);
  await axe(page, 'results');

  // Each question opens below its column, by its head or one after the other.
  const first = results.questions[0];
  await head(page, 1).click();
  await expect(page.getByRole('heading', { name: /^Question 1/ })).toBeVisible();
  await expect(page.getByText(first.question.stem)).toBeVisible();
  await page.getByRole('button', { name: 'Show passage' }).click();
  await expect(page.getByRole('dialog', { name: given.title })).toBeVisible();
  await page.keyboard.press('Escape');
  for (const way of ['Next column', 'Previous column']) {
    const button = page.getByRole('button', { name: way });
    if (await button.isEnabled()) await button.click();
  }
  await expect(head(page, 1)).toHaveAttribute('aria-pressed', 'true');

  const add = page.getByRole('button', { name: /^Add \d+ .*to tray$/ }).first();
  if (await add.isVisible()) {
    await add.click();
    await expect(page.getByRole('region', { name: 'Tray' })).toBeVisible();
  }
  await page.setViewportSize({ width: 820, height: 1180 });
  await axe(page, 'results on a tablet');
});

test('results of what nobody has handed in say what will stand there', async ({ page }) => {
  await teacher(page);
  const classId = classOf(page);
  const [one] = (await api(page, 'GET', `/classes/${classId}`)).readers;
  const found = await api(page, 'GET', `/library?classId=${classId}&q=${encodeURIComponent('Night Crossing')}`);
  const made = await api(page, 'POST', `/classes/${classId}/assignments`, {
    readerIds: [one.id],
    textId: found.rows[0].id,
    attempts: 1,
    skipGiven: false,
  });
  await page.goto(`/class/${classId}/assignments/${made.assignmentId}/results`);
  await expect(page.getByRole('heading', { name: 'No one has handed in yet' })).toBeVisible();
});

test('a class over a month, a term and any days: by reader, beside others, by question, by text, line by line', async ({
  page,
}) => {
  await teacher(page);
  await place(page, 'Reports');
  const days = page.getByRole('radiogroup', { name: 'Days of the report' });
  await days.getByRole('radio', { name: 'Term' }).click();
  await expect(page).toHaveURL(/days=Term/);
  const classId = classOf(page);
  const report = await api(page, 'GET', `/classes/${classId}/reports/readers?kind=Term`);
  const table = page.getByRole('region', { name: 'Readers' }).getByRole('table');
  const sum = table.getByRole('row').nth(1);
  await expect(sum).toContainText(report.sum.words.toLocaleString('en-GB'));
  await axe(page, 'report by reader');

  // The panel of one reader: lines, then beside others.
  const busiest = [...report.rows].sort((a, b) => b.sums.readings - a.sums.readings)[0];
  const { readers, groups } = await api(page, 'GET', `/classes/${classId}`);
  const { called, givenName, familyName } = readers.find((r) => r.id === busiest.readerId);
  await table.getByRole('button', { name: called, exact: true }).click();
  const panel = page.getByRole('complementary', { name: `${givenName} ${familyName}` });
  await expect(panel.getByText('full readings')).toBeVisible();
  await expect(panel.getByRole('listitem').first()).toBeVisible();
  await axe(page, 'report with a log');
  await panel.getByRole('radio', { name: 'Side by side' }).click();
  await expect(panel.getByRole('list', { name: 'Readers side by side' }).getByRole('listitem')).toHaveCount(4);
  await axe(page, 'readers side by side');
  await panel.getByRole('button', { name: 'Close' }).click();

  // The question most missed is one press away, and so is who missed it.
  await page.getByRole('link', { name: 'Questions' }).click();
  await expect(page.getByRole('columnheader', { name: /^Missed at first/ })).toHaveAttribute('aria-sort', 'descending');
  await axe(page, 'questions missed');
  await page.getByRole('link', { name: 'Texts' }).last().click();
  await expect(page.getByRole('columnheader', { name: /^Depth in fm/ })).toBeVisible();
  await axe(page, 'texts read');
  await page.getByRole('link', { name: 'Log' }).click();
  await expect(page.getByText(/full readings, \d+ openings/)).toBeVisible();
  await axe(page, 'the log');

  await page.getByRole('button', { name: 'Filter' }).click();
  await page.getByRole('menuitemcheckbox', { name: groups[0].name }).click();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: `Remove filter ${groups[0].name}` })).toBeVisible();
  await expect(page).toHaveURL(new RegExp(`group=${groups[0].id}`));

  await days.getByRole('radio', { name: 'Any…' }).click();
  const dialog = page.getByRole('dialog', { name: 'Days of the report' });
  await dialog.getByRole('textbox', { name: 'First day' }).fill('1 Dec 2026');
  await dialog.getByRole('textbox', { name: 'Last day' }).fill('1 Oct 2026');
  await dialog.getByRole('button', { name: 'Show report' }).click();
  await expect(dialog.getByText('Choose a first day that is not after the last.')).toBeVisible();
  await dialog.getByRole('textbox', { name: 'First day' }).fill('1 Oct 2020');
  await dialog.getByRole('textbox', { name: 'Last day' }).fill('3 Oct 2020');
  await dialog.getByRole('button', { name: 'Show report' }).click();
  await expect(page.getByText('Nothing read in these days')).toBeVisible();
  await page.getByRole('button', { name: 'Earlier' }).click();
  await expect(page).toHaveURL(/from=2020-09-28/);
});

test('the gradebook comes as a file, and conference pages with two presses', async ({ page }) => {
  await teacher(page);
  await place(page, 'Reports');
  await page.getByRole('button', { name: 'Export' }).click();
  const [book] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'Spreadsheet (XLSX)' }).click(),
  ]);
  expect(book.suggestedFilename()).toMatch(/^Gradebook 4 Tern .*\.xlsx$/);
  await page.getByRole('button', { name: 'Conference pages…' }).click();
  await axe(page, 'conference pages');
  const [pages] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Download PDF' }).click(),
  ]);
  expect(pages.suggestedFilename()).toBe('4 Tern conferences.pdf');
  expect(await pages.failure()).toBeNull();
});
