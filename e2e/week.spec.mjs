import { expect, test } from './world.mjs';
import { api, assignments, axe, choose, classOf, place, reader, teacher, starting } from './people.mjs';

// A class's reading, a week at a time: planned, given, moved, mended.

/** Presses things and counts. */
function presses() {
  let n = 0;
  return {
    press: async (what) => {
      n++;
      await what.click();
    },
    count: () => n,
  };
}

const row = (page, name) => page.getByRole('region', { name, exact: true });

test('next week is prepared from this one with three presses, given together, and undone whole', async ({ page }) => {
  await teacher(page);
  await place(page, 'Assignments');
  await expect(page.getByRole('button', { name: /^The Mill That Waits/ })).toBeVisible();
  const drafts = Number(/\d+/.exec(await page.getByRole('button', { name: /^Assign \d+ drafts…/ }).textContent())[0]);
  const shared = row(page, 'Everybody').locator('button[draggable="true"]').first();
  await expect(shared).toContainText('draft');
  const { press, count } = presses();
  await press(page.getByRole('button', { name: /^Copy to week of/ }));
  await expect(page.getByText(/^Copied \d+ assignments as drafts/)).toBeVisible();
  const assign = page.getByRole('button', { name: /^Assign \d+ drafts…/ });
  await expect(assign).not.toHaveText(`Assign ${drafts} drafts…`);
  await press(assign);
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByText(/^(\d+) of \1 have had it$/).first()).toBeVisible();
  await axe(page, 'assigning drafts');
  // What everybody has had already is left out, and stays a draft.
  const all = dialog.getByRole('button', { name: /^Assign \d+ drafts$/ });
  const given = await all.textContent();
  await press(all);
  expect(count()).toBeLessThanOrEqual(3);
  await expect(page.getByText(given.replace('Assign', 'Assigned'))).toBeVisible();
  await expect(shared).not.toContainText('draft');
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(page.getByText(/assignments are drafts again/)).toBeVisible();
  await expect(shared).toContainText('draft');
});

test('a draft is moved by keys, given new directions, and discarded; each is undone', async ({ page }) => {
  await teacher(page);
  await place(page, 'Assignments');
  await page.getByRole('button', { name: /make it wide/ }).click();
  const shared = row(page, 'Everybody');
  const title = (await shared.locator('button[draggable="true"] b').first().textContent()).trim();
  const plate = shared.getByRole('button', { name: starting(`${title} draft`) });
  const before = await plate.textContent();
  await plate.focus();
  await page.keyboard.press('Alt+Shift+ArrowLeft');
  await expect(page.getByText(`Changed “${title}”`)).toBeVisible();
  await expect(plate).not.toHaveText(before);
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(page.getByText('It is as it was.')).toBeVisible();
  await expect(plate).toHaveText(before);

  await plate.click();
  const panel = page.getByRole('complementary', { name: title });
  await panel.getByRole('button', { name: 'Change…' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Directions for readers').fill('Stop after each page.');
  await dialog.getByRole('textbox', { name: 'Due on' }).fill('1 Jan 2020');
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(dialog.getByText('It is due before readers see it. Choose a later day.')).toBeVisible();
  await axe(page, 'changing an assignment');
  await dialog.getByRole('textbox', { name: 'Due on' }).fill('');
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(panel.getByText('Stop after each page.')).toBeVisible();

  await panel.getByRole('button', { name: 'Discard' }).click();
  await expect(page.getByText(/^Discarded 1 draft/)).toBeVisible();
  await expect(plate).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(plate).toBeVisible();
});

test('who has not begun is seen with one press; work is taken back, sent back with a comment, and read by the reader', async ({
  page,
  browser,
}) => {
  await teacher(page);
  await assignments(page, 'Who is where');
  const { press, count } = presses();
  await press(page.getByRole('button', { name: /not opened$/ }));
  expect(count()).toBe(1);
  const picked = page.getByText(/^\d+ of 24 readers picked$/);
  await expect(picked).toBeVisible();
  await expect(page.getByRole('checkbox', { name: 'Select Mateo', exact: true })).toBeChecked();
  await page.getByRole('button', { name: 'Clear' }).click();

  const cell = page.getByRole('button', { name: /^Mateo, The Mill That Waits/ });
  await cell.click();
  const panel = page.getByRole('complementary');
  await expect(panel.getByRole('button', { name: 'Send back…' })).toBeDisabled();
  await panel.getByRole('button', { name: 'Take back' }).click();
  await expect(page.getByText('Took back from 1 reader')).toBeVisible();
  await expect(cell).toHaveAccessibleName(/taken back/);
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(cell).toHaveAccessibleName(/waiting/);
  await panel.getByRole('button', { name: 'Due day…' }).click();
  const day = page.getByRole('dialog');
  await day.getByRole('textbox', { name: 'Due on' }).fill('1 Jan 2020');
  await day.getByRole('button', { name: 'Save' }).click();
  await expect(day.getByText('This day has passed. Choose today or a later day.')).toBeVisible();
  await axe(page, 'a due day of one reader');
  await page.keyboard.press('Escape');
  await panel.getByRole('button', { name: 'Remind' }).click();
  await expect(page.getByText('Reminded 1 reader')).toBeVisible();
  await expect(cell).toHaveAccessibleName(/reminded/);
  await page.keyboard.press('Escape');

  // A text that Mateo finished last week comes back to him.
  await page.getByRole('button', { name: 'Week before' }).click();
  await page
    .getByRole('button', { name: /^Mateo, .*(finished|to mark)/ })
    .first()
    .click();
  await page.getByRole('complementary').getByRole('button', { name: 'Send back…' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: 'Send back' }).click();
  await expect(dialog.getByText(/^Say what the reader should do now/)).toBeVisible();
  await dialog.getByLabel('Comment to reader').fill('Look at page 2 again, Mateo.');
  await axe(page, 'sending back');
  await dialog.getByRole('button', { name: 'Send back' }).click();
  await expect(page.getByText('Sent back to 1 reader')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Mateo, .*sent back/ })).toBeVisible();

  const child = await (await browser.newContext()).newPage();
  await reader(child);
  await expect(child.getByText('Your teacher sent this back.').first()).toBeVisible();
  await expect(child.getByText('Your teacher reminds you of this.')).toBeVisible();
  await axe(child, 'home with work sent back');
});

test('a wrong text is swapped with four presses for those who have not begun', async ({ page }) => {
  await teacher(page);
  await place(page, 'Assignments');
  const { press, count } = presses();
  const title = 'The Mill That Waits';
  const plate = page.getByRole('button', { name: starting(`${title} from`) });
  await press(plate);
  await press(page.getByRole('complementary').getByRole('button', { name: 'Swap text…' }));
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Find a text').fill('barometer');
  await axe(page, 'swapping a text');
  await press(dialog.getByRole('button', { name: 'Use “How a Barometer Listens”' }));
  expect(count()).toBeLessThanOrEqual(4);
  await expect(page.getByText(`Swapped “${title}” for “How a Barometer Listens”`, { exact: false })).toBeVisible();
  await expect(page.getByRole('button', { name: /^How a Barometer Listens/ })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(page.getByText('The text they had before is back.')).toBeVisible();
  await expect(plate).toBeVisible();
});

test('a week of three texts for each group is suggested, drafted and assigned with at most twelve presses', async ({
  page,
}) => {
  await teacher(page);
  await place(page, 'Assignments');
  const { press, count } = presses();
  await press(page.getByRole('button', { name: 'Week after' }));
  await press(page.getByRole('button', { name: 'Add', exact: true }));
  await press(page.getByRole('menuitem', { name: 'Suggested texts…' }));
  const dialog = page.getByRole('dialog');
  await press(dialog.getByRole('radio', { name: '3 texts' }));
  const groups = dialog.getByRole('region');
  const kelp = groups.first();
  await expect(kelp.getByRole('checkbox')).toHaveCount(3);
  await axe(page, 'texts for each group');
  // One that is not wanted is taken out, and the next best comes.
  const unwanted = await kelp.getByRole('checkbox').first().getAttribute('id');
  await press(kelp.getByRole('checkbox').first());
  await expect(kelp.locator(`[id="${unwanted}"]`)).toHaveCount(0);
  const save = dialog.getByRole('button', { name: /^Save \d+ drafts$/ });
  const saved = await save.textContent();
  await press(save);
  await expect(page.getByText(saved.replace('Save', 'Saved'))).toBeVisible();
  await press(page.getByRole('button', { name: /^Assign \d+ drafts…/ }));
  await press(dialog.getByRole('button', { name: /^Assign \d+ drafts$/ }));
  await expect(page.getByText(/^Assigned \d+ drafts/)).toBeVisible();
  expect(count()).toBeLessThanOrEqual(12);
});

test('two weeks are saved as a plan, edited, and used again for a group as drafts, which are undone', async ({
  page,
}) => {
  await teacher(page);
  await assignments(page, 'Week');
  const add = async (item) => {
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await page.getByRole('menuitem', { name: item }).click();
    return page.getByRole('dialog');
  };
  let dialog = await add('Save weeks as plan…');
  await dialog.getByRole('button', { name: 'Save plan' }).click();
  await expect(dialog.getByText('Enter a name of 80 letters or fewer.').first()).toBeVisible();
  await dialog.getByLabel('Name').fill('Autumn on the quay');
  await axe(page, 'saving a plan');
  await dialog.getByRole('button', { name: 'Save plan' }).click();
  await expect(dialog).toBeHidden();

  await assignments(page, 'Plans');
  await page.getByRole('button', { name: 'Edit Autumn on the quay' }).click();
  dialog = page.getByRole('dialog');
  const before = await dialog.getByRole('button', { name: /^Remove / }).count();
  await dialog
    .getByRole('button', { name: /^Remove / })
    .first()
    .click();
  await axe(page, 'editing a plan');
  await dialog.getByRole('button', { name: 'Save plan' }).click();
  await expect(dialog).toBeHidden();
  await axe(page, 'plans');

  await page.getByRole('button', { name: 'Use Autumn on the quay' }).click();
  dialog = page.getByRole('dialog');
  await choose(dialog.getByRole('combobox', { name: 'For' }), 1);
  const rows = dialog.getByRole('region', { name: 'What happens' }).getByRole('rowheader');
  await expect(rows).toHaveCount(before - 1);
  await axe(page, 'using a plan');
  await dialog.getByRole('button', { name: 'Save as drafts' }).click();
  await expect(page.getByText(/^Drafted \d+ tasks? of “Autumn on the quay”/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(page.getByText(/drafts? (was|were) discarded/)).toBeVisible();

  await page.getByRole('button', { name: 'Delete Autumn on the quay' }).click();
  await expect(page.getByRole('button', { name: 'Use Autumn on the quay' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(page.getByRole('button', { name: 'Use Autumn on the quay' })).toBeVisible();
});

test('a level check lies in the week, goes into a plan, and is given with the drafts', async ({ page }) => {
  await teacher(page);
  const classId = classOf(page);
  const { today } = await api(page, 'GET', `/classes/${classId}`);
  const day = (days) => new Date(Date.parse(`${today}T12:00Z`) + days * 86_400_000).toISOString().slice(0, 10);
  const monday = 7 - ((new Date(`${today}T12:00Z`).getUTCDay() + 6) % 7);
  await api(page, 'PUT', `/checks/${crypto.randomUUID()}`, {
    revision: 0,
    readerTitle: 'Reading morning',
    directions: '',
    draft: true,
    opensOn: day(monday + 1),
    closesOn: day(monday + 3),
    colleagues: [],
    plan: {
      parts: [{ part: 'WordReading', minutes: 4, skipMastered: false, skipUndecoding: false }],
      start: 'OwnLevel',
      from: 10,
      to: 50,
      timerShown: true,
      mostPassages: 4,
      sureAt: 2.5,
      aPartADay: false,
      form: [],
    },
    for: { classIds: [classId], groupIds: [], readerIds: [], grades: [] },
  });
  await assignments(page, 'Week');
  const checks = page.getByRole('region', { name: 'Level checks' });
  await expect(checks.getByRole('link', { name: /word reading draft/ })).toBeVisible();
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Save weeks as plan…' }).click();
  let dialog = page.getByRole('dialog');
  await expect(dialog.getByText(/word reading/)).toBeVisible();
  await dialog.getByLabel('Name').fill('Weeks with a check');
  await dialog.getByRole('button', { name: 'Save plan' }).click();
  await expect(dialog).toBeHidden();

  await page.getByRole('button', { name: /^Assign \d+ drafts?…/ }).click();
  dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('row', { name: /word reading/ })).toBeVisible();
  await axe(page, 'assigning drafts with a level check');
  await dialog.getByRole('button', { name: /^Assign \d+ drafts?$/ }).click();
  await expect(checks.getByRole('link', { name: /word reading 0 of \d+ finished/ })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(checks.getByRole('link', { name: /word reading draft/ })).toBeVisible();

  await assignments(page, 'Plans');
  await page.getByRole('button', { name: 'Use Weeks with a check' }).click();
  dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('rowheader', { name: /^Reading morning/ })).toBeVisible();
});
