import { expect, test } from './world.mjs';
import { api, axe, classOf, paste, place, signIn, teacher } from './people.mjs';

// From answers to what to teach tomorrow: results of an assignment, and reports over days.

/** The assignment with a quiz that most readers of the class have handed in. */
async function mostDone(page) {
  const { rows } = await api(page, 'GET', `/classes/${classOf(page)}/assignments`);
  return rows.filter((a) => a.kind === 'Text').sort((a, b) => b.done - a.done)[0];
}

const notYet = (c) => c.mark === 'NotYet' && !c.toMark;

/** An assignment whose readers have not got everything right in the end. */
async function withMissed(page) {
  const { rows } = await api(page, 'GET', `/classes/${classOf(page)}/assignments`);
  for (const given of rows.filter((a) => a.kind === 'Text' && a.done > 0)) {
    const results = await api(page, 'GET', `/assignments/${given.id}/results`);
    if (results.rows.some((r) => r.cells.some(notYet))) return { given, results };
  }
  throw new Error('Nobody has missed anything.');
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
  // What a teacher writes for the family is kept, and stands on the conference page.
  await panel.getByRole('radio', { name: 'Conference' }).click();
  const words = panel.getByRole('textbox', { name: /^Your words for/ });
  await words.fill('Asks good questions, and helps a friend.');
  await axe(page, 'words for a conference');
  await panel.getByRole('button', { name: 'Save' }).click();
  await expect(panel.getByRole('status').filter({ hasText: /^Saved .*Marit/ })).toBeVisible();
  await page.reload();
  await panel.getByRole('radio', { name: 'Conference' }).click();
  await expect(words).toHaveValue('Asks good questions, and helps a friend.');
  await panel.getByRole('button', { name: 'Close' }).click();

  // A figure opens the lines it is made of.
  const row = table.getByRole('row').filter({ has: page.getByRole('button', { name: called, exact: true }) });
  await row
    .getByRole('link', { name: String(busiest.sums.readings), exact: true })
    .first()
    .click();
  await expect(page.getByText(`Only ${called}, full readings`)).toBeVisible();
  await expect(page.getByText(`${busiest.sums.readings} lines`)).toBeVisible();
  await page.getByRole('button', { name: 'Show all lines' }).click();
  await expect(page.getByText(`Only ${called}, full readings`)).toBeHidden();

  // What moved a level opens from its change, here over four weeks.
  const since = new Date(Date.now() - 28 * 86_400_000).toISOString().slice(0, 10);
  const weeks = await api(page, 'GET', `/classes/${classId}/reports/readers?kind=Any&from=${since}`);
  const moved = readers.find((r) => r.id === weeks.rows.find((x) => x.change !== null && x.sums.quizzes > 0).readerId);
  await page.goto(`/class/${classId}/reports?days=Any&from=${since}`);
  await table
    .getByRole('row')
    .filter({ has: page.getByRole('button', { name: moved.called, exact: true }) })
    .getByRole('link', { name: /^[+−]?\d+\.\d$/ })
    .click();
  const level = page.getByRole('complementary', { name: `${moved.givenName} ${moved.familyName}` });
  await expect(level.getByRole('radio', { name: 'Level' })).toHaveAttribute('aria-checked', 'true');
  await expect(level.getByRole('list', { name: 'What moved the level' }).getByRole('listitem')).not.toHaveCount(0);
  await axe(page, 'what moved a level');
  await days.getByRole('radio', { name: 'Term' }).click();
  await expect(page).toHaveURL(/days=Term/);

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
  // Days that were chosen can be chosen anew.
  await days.getByRole('radio', { name: 'Any…' }).click();
  await expect(dialog.getByRole('textbox', { name: 'First day' })).toHaveValue(/28 Sept? 2020/);
  await dialog.getByRole('textbox', { name: 'First day' }).fill('2 Oct 2020');
  await dialog.getByRole('textbox', { name: 'Last day' }).fill('2 Oct 2020');
  await dialog.getByRole('button', { name: 'Show report' }).click();
  await expect(page).toHaveURL(/from=2020-10-02/);
});

test('a lead sees grades, classes and the library over a term, and what is told of each', async ({ page }) => {
  await signIn(page, 'ines');
  await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Reports' }).click();
  const table = page.getByRole('region', { name: 'Grades' }).getByRole('table');
  const report = await api(page, 'GET', '/school/reports?by=Grade');
  await expect(table.getByRole('row')).toHaveCount(report.groups.length + 2);
  const all = report.all.measures.find((m) => m.measure === 'Words').now;
  await expect(table.getByRole('row').nth(1)).toContainText(Math.round(all.mean).toLocaleString('en-GB'));
  await expect(table.getByRole('img', { name: /^now .* ± / }).first()).toBeVisible();
  await axe(page, 'a school by grade');
  await page.getByRole('radio', { name: 'Against typical growth' }).click();
  await expect(page.getByText(/^Growth less what the level chart calls typical/)).toBeVisible();
  await page.getByRole('link', { name: 'By class' }).click();
  await expect(page.getByRole('region', { name: 'Classes' }).getByText('4 Tern')).toBeVisible();
  await page.getByRole('link', { name: 'Library' }).click();
  await expect(page.getByText('Whole library')).toBeVisible();
  await axe(page, 'use of the library');
  await page.getByRole('radio', { name: 'Week' }).click();
  await expect(page).toHaveURL(/library\?.*days=Week/);
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
  await page.getByRole('button', { name: 'Export' }).click();
  await page.getByRole('menuitem', { name: 'All readers, in one language…' }).click();
  await axe(page, 'conference pages');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Export' }).click();
  const [pages] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'All readers, in each home’s language (PDF)' }).click(),
  ]);
  expect(pages.suggestedFilename()).toBe('4 Tern conferences.pdf');
  expect(await pages.failure()).toBeNull();
});

test('a faulty question is taken out after it was answered, shown before it is done, and brought back', async ({
  page,
}) => {
  await teacher(page);
  const given = await mostDone(page);
  await page.goto(`/class/${classOf(page)}/assignments/${given.id}/results`);
  await page.getByRole('button', { name: 'Correct question…' }).click();
  const dialog = page.getByRole('dialog', { name: /^Correct question \d+$/ });
  await expect(dialog.getByText(/^(Changes for \d+ of \d+ readers|No score or level changes)/)).toBeVisible();
  await axe(page, 'correcting a question');
  await dialog.getByRole('button', { name: 'Take question out' }).click();
  const corrected = page.getByRole('list', { name: 'Corrected questions' });
  await expect(corrected).toContainText('Taken out by Marit');
  const results = await api(page, 'GET', `/assignments/${given.id}/results`);
  expect(results.corrections).toHaveLength(1);
  await corrected.getByRole('button', { name: 'Undo' }).click();
  await expect(corrected).toBeHidden();
});

test('the key of a question is changed, its passage shows what is hard, and undo brings both back', async ({
  page,
}) => {
  await teacher(page);
  const given = await mostDone(page);
  const { questions } = await api(page, 'GET', `/assignments/${given.id}/results`);
  const { question } = questions.find((q) => q.question.kind === 'Single');
  await page.goto(`/class/${classOf(page)}/assignments/${given.id}/results?question=${question.id}`);
  await page.getByRole('button', { name: 'Show passage' }).click();
  const passage = page.getByRole('dialog');
  await expect(passage.getByText('Longest sentences')).toBeVisible();
  await axe(page, 'a passage with what is hard in it');
  await passage.getByRole('button', { name: 'Close' }).click();
  await page.getByRole('button', { name: 'Correct question…' }).click();
  const dialog = page.getByRole('dialog', { name: /^Correct question \d+$/ });
  await dialog.getByRole('radio', { name: 'Change right answer' }).click();
  await expect(dialog.getByText('Change what is right to see whose scores change.')).toBeVisible();
  const wrong = question.choices.find((c) => !c.right).text;
  await dialog.getByRole('checkbox', { name: wrong, exact: true }).click();
  await expect(dialog.getByText(/^(Changes for \d+ of \d+ readers|No score or level changes)/)).toBeVisible();
  await axe(page, 'changing a key');
  await dialog.getByRole('button', { name: 'Change right answer' }).click();
  const corrected = page.getByRole('list', { name: 'Corrected questions' });
  await expect(corrected).toContainText('Right answer changed by Marit');
  await corrected.getByRole('button', { name: 'Undo' }).click();
  await expect(corrected).toBeHidden();
});

test('results from elsewhere are pasted by name, and undone', async ({ page }) => {
  await teacher(page);
  const classId = classOf(page);
  const { readers } = await api(page, 'GET', `/classes/${classId}`);
  const [first, second] = readers;
  const { assignmentId } = await api(page, 'POST', `/classes/${classId}/assignments`, {
    readerIds: [first.id, second.id],
    attempts: 1,
    skipGiven: false,
    tasks: [{ id: crypto.randomUUID(), kind: 'Link', title: 'A quiz elsewhere', url: 'https://tides.example/quiz' }],
  });
  await page.goto(`/class/${classId}/assignments/${assignmentId}/results`);
  await page.getByRole('button', { name: 'Enter results…' }).click();
  const dialog = page.getByRole('dialog', { name: 'Enter results' });
  await dialog
    .getByLabel(/^Points of /)
    .first()
    .focus();
  await paste(
    page,
    `Name\tPoints\n${first.givenName} ${first.familyName}\t7/8\n${second.givenName} ${second.familyName}\t3,5\nZed Nobody\t1\n`,
  );
  await expect(dialog.getByLabel('Points for a full result')).toHaveValue('8');
  await expect(dialog.getByText('Left out, because no one reader is called this: Zed Nobody')).toBeVisible();
  await axe(page, 'entering results');
  await dialog.getByRole('button', { name: 'Save 2 results' }).click();
  await expect(page.getByRole('cell', { name: '7 of 8' })).toBeVisible();
  await expect(page.getByRole('cell', { name: '3.5 of 8' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByRole('cell', { name: '7 of 8' })).toBeHidden();
});

test('a term is seen week by week, and a strand opens the first tries it is made of', async ({ page }) => {
  await teacher(page);
  const classId = classOf(page);
  await page.goto(`/class/${classId}/reports/over-time?days=Term`);
  await expect(page.getByRole('img', { name: /words,/ })).toBeVisible();
  await axe(page, 'a report over time');
  const time = await api(page, 'GET', `/classes/${classId}/reports/over-time?kind=Term`);
  const words = time.days.reduce((sum, d) => sum + d.words, 0).toLocaleString('en-GB');
  await expect(page.getByText(`${words} words of full readings`)).toBeVisible();
  await page.getByRole('link', { name: 'Readers', exact: true }).last().click();
  const report = await api(page, 'GET', `/classes/${classId}/reports/readers?kind=Term`);
  const tried = report.sum.strands.reduce((sum, s) => sum + s.atOnce + s.later + s.notYet, 0);
  await page
    .getByRole('row', { name: /^14 Sept|^\d+ \w+ to/ })
    .first()
    .getByRole('link')
    .filter({ has: page.getByRole('img', { name: /\d+ of \d+/ }) })
    .first()
    .click();
  await expect(page).toHaveURL(/reports\/answers/);
  await expect(page.getByText(`${tried.toLocaleString('en-GB')} first tries`)).toBeVisible();
  await axe(page, 'first tries one by one');
});

test('missed questions go back to those who are picked, and an adult goes through them with a reader', async ({
  page,
}) => {
  await teacher(page);
  const classId = classOf(page);
  const { given, results } = await withMissed(page);
  await page.goto(`/class/${classId}/assignments/${given.id}/results`);
  await page.getByRole('button', { name: 'Ask missed questions again…' }).click();
  const dialog = page.getByRole('dialog', { name: 'Ask missed questions again' });
  await dialog.getByRole('checkbox', { name: 'All' }).click();
  await dialog.getByRole('checkbox').nth(1).click();
  await axe(page, 'asking missed questions again');
  await dialog.getByRole('button', { name: 'Send back to 1 reader' }).click();
  await expect(page.getByText('Sent back to 1 reader').first()).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();

  const { rows, readers } = results;
  const weak = rows.find((r) => r.cells.some(notYet));
  const ticket = readers.find((r) => r.readerId === weak.readerId).ticketId;
  await page.goto(`/class/${classId}/tickets/${ticket}`);
  await page.getByRole('link', { name: 'Go through missed questions' }).click();
  await expect(page.getByRole('list', { name: 'Missed questions' }).getByRole('button').first()).toBeVisible();
  await page.getByRole('checkbox', { name: 'Talked over' }).click();
  await expect(page.getByRole('checkbox', { name: 'Talked over' })).toBeChecked();
  await axe(page, 'going through missed questions');
  await page.setViewportSize({ width: 820, height: 1180 });
  await axe(page, 'going through missed questions on a tablet');
});
