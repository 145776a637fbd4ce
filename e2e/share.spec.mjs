import { expect, test } from './world.mjs';
import ICAL from 'ical.js';
import { api, assignments, axe, classOf, place, starting, teacher, throughDoor } from './people.mjs';

const title = 'The Mill That Waits';

test('what is due stands in a calendar that another parser reads, and the link can be stopped', async ({ page }) => {
  await teacher(page);
  await place(page, 'Assignments');
  await page.getByRole('button', { name: 'Share', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Due days in a calendar program…' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: 'Make a link' }).click();
  const link = await dialog.getByLabel('Link').inputValue();
  await axe(page, 'a calendar link');
  const answer = await page.request.get(new URL(link).pathname);
  const calendar = new ICAL.Component(ICAL.parse(await answer.text()));
  const events = calendar.getAllSubcomponents('vevent').map((e) => new ICAL.Event(e));
  const mill = events.find((e) => e.summary === title);
  const { plates } = await api(page, 'GET', `/classes/${classOf(page)}/week`);
  expect(mill.startDate.isDate).toBe(true);
  expect(mill.startDate.toString()).toBe(plates.find((p) => p.assignment.title === title).assignment.dueOn);
  expect(new Set(events.map((e) => e.uid)).size).toBe(events.length);
  await dialog.getByRole('button', { name: 'Stop the link' }).click();
  await expect(dialog.getByRole('button', { name: 'Make a link' })).toBeVisible();
  expect((await page.request.get(new URL(link).pathname)).status()).toBe(404);
});

test('a link leads its reader through the door to the task, and says so to whom it is not for', async ({
  page,
  browser,
}) => {
  await teacher(page);
  await place(page, 'Assignments');
  await page.getByRole('button', { name: starting(`${title} from`) }).click();
  await expect(page.getByRole('complementary').getByRole('button', { name: 'Copy link' })).toBeVisible();
  const { plates } = await api(page, 'GET', `/classes/${classOf(page)}/week`);
  const { id } = plates.find((p) => p.assignment.title === title).assignment;
  const child = await (await browser.newContext()).newPage();
  await throughDoor(child, `/task/${id}`);
  await expect(child).toHaveURL(/\/text\//);
  await expect(child.getByRole('heading', { name: title })).toBeVisible();
  await child.goto('/task/0199aaaa-0000-7000-8000-000000000000');
  await expect(child.getByText('This is not for you to read now')).toBeVisible();
  await axe(child, 'a link to what is not for one');
});

test('a teacher sees a task as its reader does, and nothing is opened by it', async ({ page }) => {
  await teacher(page);
  await assignments(page, 'Who is where');
  const cell = page.getByRole('button', { name: starting('Wren, ') }).first();
  const before = await cell.textContent();
  await cell.click();
  await page.getByRole('link', { name: 'See as reader' }).click();
  await expect(page.getByRole('heading', { name: 'As Wren sees it' })).toBeVisible();
  await expect(page.getByRole('navigation', { name: 'Home' }).getByRole('button').first()).toBeVisible();
  await expect(page.getByRole('article').first()).toBeVisible();
  await axe(page, 'a home as its reader sees it');
  await page.getByRole('link', { name: 'Who is where' }).click();
  await expect(cell).toHaveText(before);
});

test('all assignments are searched and narrowed', async ({ page }) => {
  await teacher(page);
  await assignments(page, 'All');
  await page.getByLabel('Search assignments').fill('ferry cat');
  await expect(page.getByRole('row', { name: 'The Ferry Cat' }).first()).toBeVisible();
  await expect(page.getByRole('row', { name: title })).toHaveCount(0);
  await axe(page, 'all assignments');
  await page.getByLabel('Search assignments').fill('no such text');
  await expect(page.getByText('No assignments match')).toBeVisible();
});
