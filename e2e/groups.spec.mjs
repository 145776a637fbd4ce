import { expect, test } from './world.mjs';
import { api, axe, choose, classOf, place, teacher } from './people.mjs';

// Groups that stand: who meets them, and looking at them again.

test('a group is met by an assistant, and the week of meetings says so', async ({ page }) => {
  await teacher(page);
  await place(page, 'Groups');
  const { groups } = await api(page, 'GET', `/classes/${classOf(page)}`);
  const band = page.getByRole('region', { name: groups[0].name, exact: true });
  const saved = page.waitForResponse((r) => r.url().endsWith('/leader'));
  await choose(band.getByRole('combobox', { name: 'Met by' }), 'Bram');
  await saved;
  await expect(band.getByRole('combobox', { name: 'Met by' })).toContainText('Bram');
  await axe(page, 'groups with who meets them');
  await page.getByRole('link', { name: 'Meetings' }).click();
  await expect(page.getByText(/^met by Bram/)).toBeVisible();
});

test('groups that have stood for weeks are looked at again, and the moves worth making are shown', async ({ page }) => {
  await teacher(page);
  await place(page, 'Groups');
  const again = await api(page, 'GET', `/classes/${classOf(page)}/groups/again`);
  const notice = page.getByRole('region', { name: 'Look again' });
  await expect(notice).toContainText(`These groups have stood for ${again.weeks} weeks.`);
  await axe(page, 'looking at groups again');
  if (again.moves.length > 0) {
    await notice.getByRole('button', { name: 'Show moves' }).click();
    await expect(page.getByRole('complementary').getByRole('checkbox').first()).toBeVisible();
    await page.getByRole('button', { name: 'Discard' }).click();
  }
  await notice.getByRole('button', { name: 'Not now' }).click();
  await expect(notice).toBeHidden();
});

test('days when a reader cannot come are a rule of the class, and the week of meetings goes by them', async ({
  page,
}) => {
  await teacher(page);
  await place(page, 'Groups');
  const { groups, readers } = await api(page, 'GET', `/classes/${classOf(page)}`);
  const who = readers.find((r) => groups[0].readerIds.includes(r.id));
  await page.getByRole('button', { name: 'Add rule' }).click();
  await page.getByRole('menuitem', { name: 'Days a reader cannot come' }).click();
  const dialog = page.getByRole('dialog');
  await choose(dialog.getByRole('combobox', { name: 'Reader' }), who.called);
  await dialog.getByRole('button', { name: 'Add rule' }).click();
  await expect(dialog.getByText('Choose a reader and one or more days.')).toBeVisible();
  for (const day of ['Mon', 'Tue', 'Wed', 'Thu', 'Fri']) await dialog.getByRole('checkbox', { name: day }).click();
  await axe(page, 'days a reader cannot come');
  const saved = page.waitForResponse((r) => r.url().endsWith('/groups/rules') && r.request().method() === 'PUT');
  await dialog.getByRole('button', { name: 'Add rule' }).click();
  expect((await saved).ok()).toBe(true);
  await page.getByRole('navigation', { name: 'Views of groups' }).getByRole('link', { name: 'Meetings' }).click();
  await page.getByRole('button', { name: 'Later week' }).click();
  await page.getByRole('button', { name: 'Plan this week…' }).click();
  await expect(dialog.getByText(`without ${who.called}, who cannot come`).first()).toBeVisible();
  await dialog.getByRole('button', { name: 'Cancel' }).click();
  await page.getByRole('navigation', { name: 'Views of groups' }).getByRole('link', { name: 'Groups' }).click();
  await page.getByRole('button', { name: new RegExp(`^Remove “${who.called} cannot come`) }).click();
  await expect(page.getByText(`${who.called} cannot come`)).toHaveCount(0);
});

test('readers are grouped for something else beside guided reading, across two classes, and are given work there', async ({
  page,
}) => {
  await teacher(page);
  await place(page, 'Groups');
  await page.getByRole('button', { name: 'New grouping…' }).click();
  await page.getByLabel('What it is for').fill('Book club');
  await page.getByRole('checkbox', { name: '6 Heron' }).click();
  await axe(page, 'a new grouping');
  await page.getByRole('button', { name: 'Create grouping' }).click();
  await expect(page.getByRole('radio', { name: 'Book club' })).toBeChecked();
  await expect(page.getByText('0 groups now')).toBeVisible();
  // Thirty readers of two classes, proposed as groups.
  await page.getByRole('button', { name: 'Propose groups' }).click();
  await expect(page.getByText('Best under these rules.').or(page.getByText(/^Within \d+% of the best/))).toBeVisible();
  await expect(page.getByText(/, 6 Heron/).first()).toBeVisible();
  await axe(page, 'groups of two classes proposed');
  await page
    .getByRole('button', { name: /^(Save|Move|Create)/ })
    .last()
    .click();
  await expect(page.getByText(/Saved \d+ groups of Book club/)).toBeVisible();
  const home = await api(page, 'GET', `/classes/${classOf(page)}`);
  expect(home.otherGroups.flatMap((g) => g.readerIds).length).toBe(home.readers.length);
  // A reader's sheet opens over the grouping as it is.
  const [first] = home.otherGroups;
  await page.getByRole('region', { name: first.name, exact: true }).getByRole('link').first().click();
  await expect(page).toHaveURL(/grouping=.*reader=/);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('radio', { name: 'Book club' })).toBeChecked();
  // Guided reading stands as it was, and goes on without the other.
  await page.getByRole('radio', { name: 'Guided reading' }).click();
  await expect(page.getByText(`${home.groups.length} groups now`)).toBeVisible();
  // The week has a row for a group of the club once it has something.
  const [club] = home.otherGroups;
  const [text] = (await api(page, 'GET', `/library?classId=${home.id}&q=mill`)).rows;
  await api(page, 'POST', `/classes/${home.id}/assignments`, {
    readerIds: club.readerIds,
    textId: text.id,
    attempts: 2,
    skipGiven: false,
  });
  await page.goto(`/class/${home.id}/assignments`);
  await expect(page.getByRole('region', { name: club.name, exact: true })).toBeVisible();
  await axe(page, 'a week with a group of another grouping');
  await page.goto(`/class/${home.id}/groups?grouping=${club.grouping}`);
  await page.getByRole('button', { name: 'End grouping' }).click();
  await expect(page.getByText('Ended the groups of Book club')).toBeVisible();
  await expect(page.getByRole('radio', { name: 'Book club' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('radio', { name: 'Book club' })).toBeVisible();
});

test('a day without meetings is shut in every week that is planned after it', async ({ page }) => {
  await teacher(page);
  await page.goto(`/class/${classOf(page)}/groups/meetings`);
  const dialog = page.getByRole('dialog');
  const friday = dialog.getByRole('group', { name: 'No meetings on' }).getByRole('checkbox', { name: /^Fri/ });
  await page.getByRole('button', { name: 'Later week' }).click();
  await page.getByRole('button', { name: 'Plan this week…' }).click();
  await expect(friday).toBeEnabled();
  const saved = page.waitForResponse((r) => r.url().endsWith('/groups/rules') && r.request().method() === 'PUT');
  await friday.click();
  expect((await saved).ok()).toBe(true);
  await expect(dialog.getByRole('list', { name: 'Proposed meetings' })).not.toContainText('Fri ');
  await dialog.getByRole('button', { name: 'Cancel' }).click();
  await page.getByRole('button', { name: 'Later week' }).click();
  await page.getByRole('button', { name: 'Plan this week…' }).click();
  await expect(friday).toBeChecked();
  await friday.click();
  await expect(friday).not.toBeChecked();
});
