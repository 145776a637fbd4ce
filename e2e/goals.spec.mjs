import { expect, test } from './world.mjs';
import { api, axe, choose, classOf, place, signIn, teacher } from './people.mjs';

// What goals start from and go by: the school's aims, a level check, and the days a reader was there.

test('a school aims by grade, and its teacher sets what it aims at with a tick', async ({ page, browser }) => {
  await signIn(page, 'ines');
  await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Choices' }).click();
  const aims = page.getByRole('region', { name: 'Comprehension aims' });
  await aims.getByRole('spinbutton', { name: 'Grade 4' }).fill('78');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Saved')).toBeVisible();
  await page.reload();
  await expect(aims.getByRole('spinbutton', { name: 'Grade 4' })).toHaveValue('78');
  await axe(page, 'choices with aims');

  const marit = await (await browser.newContext()).newPage();
  await teacher(marit);
  await place(marit, 'Goals');
  await marit.getByRole('button', { name: 'Set goals for all…' }).click();
  const [first] = (await api(marit, 'GET', `/classes/${classOf(marit)}`)).readers;
  const goal = marit.getByRole('spinbutton', { name: `Comprehension goal for ${first.called}` });
  await expect(goal).not.toHaveValue('78');
  await marit.getByRole('checkbox', { name: 'Comprehension: the school’s aim for the grade' }).check();
  await expect(goal).toHaveValue('78');

  // A level goal can start from a check instead of today's estimate.
  await choose(marit.getByRole('combobox', { name: 'Level goals start from' }), 1);
  await expect(marit.getByText(/^Check: .* fm today\./).first()).toBeVisible();
  await axe(marit, 'goals from aims and a check');
  await marit.getByRole('button', { name: 'Discard' }).click();

  await aims.getByRole('spinbutton', { name: 'Grade 4' }).fill('');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('button', { name: 'Save' })).toBeDisabled();
});

test('days away are written down, removed and put back, and goals go by them', async ({ page }) => {
  await teacher(page);
  const classId = classOf(page);
  const [first] = (await api(page, 'GET', `/classes/${classId}`)).readers;
  const left = async () =>
    (await api(page, 'GET', `/classes/${classId}/goals`)).lines.find((l) => l.readerId === first.id).schoolDaysLeft;
  const before = await left();
  await page.goto(`/class/${classId}/readers/${first.id}`);
  const away = page.getByRole('region', { name: 'Days away' });
  await away.getByRole('button', { name: 'Add days away…' }).click();
  const dialog = page.getByRole('dialog', { name: 'Add days away' });
  await dialog.getByRole('textbox', { name: 'Last day' }).fill('1 Jan 2020');
  await dialog.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(dialog.getByText('Choose a last day that is not before the first.')).toBeVisible();
  await axe(page, 'adding days away');
  const day = (n) => new Date(Date.now() + n * 86_400_000).toISOString().slice(0, 10);
  await dialog.getByRole('textbox', { name: 'First day' }).fill(day(1));
  await dialog.getByRole('textbox', { name: 'Last day' }).fill(day(7));
  await dialog.getByRole('textbox', { name: 'Reason, optional' }).fill('A wedding');
  await dialog.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(away.getByText('A wedding')).toBeVisible();
  expect(before - (await left())).toBeGreaterThan(0);
  await away.getByRole('button', { name: /^Remove / }).click();
  await expect(away.getByText('A wedding')).toBeHidden();
  expect(await left()).toBe(before);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(away.getByText('A wedding')).toBeVisible();
  await axe(page, 'a profile with days away');
  await away.getByRole('button', { name: /^Remove / }).click();
  await expect(away.getByText('A wedding')).toBeHidden();
});

test('a class chooses whether reading elsewhere counts for word goals, and the goals say so', async ({ page }) => {
  await teacher(page);
  await place(page, 'Goals');
  await expect(page.getByText('words: of full readings here', { exact: true })).toBeVisible();
  await page.goto(`/class/${classOf(page)}/readers/class`);
  const saved = page.waitForResponse((r) => r.url().endsWith('/outside'));
  await choose(page.getByRole('combobox', { name: 'Reading elsewhere counts' }), 'once a teacher has confirmed it');
  await saved;
  await axe(page, 'settings of a class');
  await place(page, 'Goals');
  await expect(page.getByText(/and minutes elsewhere that are confirmed$/)).toBeVisible();
});

test('goals are seen for the class and its groups together', async ({ page }) => {
  await teacher(page);
  await place(page, 'Goals');
  await page.getByRole('radio', { name: 'Class and groups' }).click();
  const { groups } = await api(page, 'GET', `/classes/${classOf(page)}`);
  const { lines } = await api(page, 'GET', `/classes/${classOf(page)}/goals`);
  const words = lines.flatMap((l) => l.kinds.find((k) => k.kind === 'Words').goal ?? []);
  const done = Math.round(words.reduce((sum, g) => sum + g.done, 0)).toLocaleString('en-GB');
  await expect(page.getByRole('row', { name: /^Whole class/ })).toContainText(done);
  await expect(page.getByRole('row', { name: new RegExp(`^${groups[0].name}`) })).toBeVisible();
  await axe(page, 'goals of class and groups');
  // Those of one group are set by themselves.
  await page.getByRole('button', { name: `Set goals of ${groups[0].name}…` }).click();
  const many = groups[0].readerIds.length;
  await expect(page.getByRole('heading', { name: `Set goals for ${many} readers` })).toBeVisible();
  await page.getByRole('button', { name: 'Discard' }).click();
});
