import { expect, test } from './world.mjs';
import { api, axe, classOf, place, teacher } from './people.mjs';

// A group's week: meetings planned by need, one held with two taps a reader, and what follows from it.
test.describe.configure({ mode: 'serial' });

const meetings = async (page) => {
  await teacher(page);
  await place(page, 'Groups');
  await page.getByRole('navigation', { name: 'Views of groups' }).getByRole('link', { name: 'Meetings' }).click();
  await expect(page.getByRole('heading', { name: 'Meetings', exact: true })).toBeVisible();
};
const table = (page) => page.getByRole('table');
const later = (page) => page.getByRole('button', { name: 'Later week' }).click();

test('a week is planned in two presses, and one meeting is changed and removed', async ({ page }) => {
  await meetings(page);
  await axe(page, 'meetings');
  await later(page);
  await expect(page).toHaveURL(/monday=/);
  await page.getByRole('button', { name: 'Plan this week…' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('list', { name: 'Proposed meetings' }).getByRole('listitem')).not.toHaveCount(0);
  await axe(page, 'planning a week of meetings');
  const save = dialog.getByRole('button', { name: /^Save \d+ meetings$/ });
  const count = Number(/\d+/.exec(await save.innerText())[0]);
  await save.click();
  const changes = table(page).getByRole('button', { name: /^Change/ });
  await expect(changes).toHaveCount(count);

  await changes.first().click();
  await dialog.getByLabel('In your words').fill('Because, from the text');
  await dialog.getByLabel('Starts at').fill('99:99');
  await dialog.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(dialog.getByText('Enter a time, such as 09:20.')).toBeVisible();
  await dialog.getByLabel('Starts at').fill('09:20');
  await dialog.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(table(page).getByRole('link', { name: 'Because, from the text' })).toBeVisible();

  await changes.last().click();
  await dialog.getByRole('button', { name: 'Remove' }).click();
  await expect(changes).toHaveCount(count - 1);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(changes).toHaveCount(count);
});

test('at the meeting two taps say how it went, who is away is not counted, and the next point follows', async ({
  page,
}) => {
  await meetings(page);
  await later(page);
  await table(page).getByRole('link', { name: 'Because, from the text' }).click();
  await page.getByRole('button', { name: 'Begin meeting' }).click();
  await expect(page.getByRole('button', { name: 'End meeting' })).toBeVisible();
  await expect(page.getByRole('timer', { name: 'Time of the meeting' })).toContainText('0 of 20 min');
  const readers = page.getByRole('region', { name: 'Readers' }).getByRole('listitem');
  const tap = async (i, mark) => {
    await readers.nth(i).getByRole('button', { name: mark, exact: true }).click();
    await expect(readers.nth(i).getByRole('button', { name: mark, exact: true })).toHaveAttribute(
      'aria-pressed',
      'true',
    );
  };
  await tap(0, 'not yet');
  await tap(1, 'not yet');
  await expect(page.getByText(/^Next point: .* easier text$/)).toBeVisible();
  await tap(0, 'alone');
  await tap(1, 'with help');
  await expect(page.getByText(/^Next point: .* new text$/)).toBeVisible();
  await readers.nth(0).getByRole('button', { name: 'note' }).click();
  await readers.nth(0).getByRole('textbox').fill('A bit too lucky.');
  await readers.nth(0).getByRole('textbox').press('Tab');
  await expect(readers.nth(0)).toContainText('“A bit too lucky.”');
  await axe(page, 'a meeting');
  // A note is said, and what was heard is looked over before it is kept.
  await tap(2, 'alone');
  await readers
    .nth(2)
    .getByRole('button', { name: /^Say a note on / })
    .click();
  // What could not be sent is not said a second time.
  await page.route('**/dictation?*', (route) => route.abort(), { times: 1 });
  await readers
    .nth(2)
    .getByRole('button', { name: /^Stop, 0:0[1-9]/ })
    .click();
  await readers.nth(2).getByRole('button', { name: 'Send the note again' }).click();
  await expect(readers.nth(2).getByRole('textbox')).toHaveValue(/\w+\.$/);
  const heard = await readers.nth(2).getByRole('textbox').inputValue();
  await readers.nth(2).getByRole('textbox').press('Tab');
  await expect(readers.nth(2)).toContainText(heard);
  await tap(1, 'alone');
  await readers.nth(1).getByRole('button', { name: 'Away' }).click();
  await expect(readers.nth(1)).toContainText('away today');
  await expect(page.getByText(/\d+ of \d+ here/)).toBeVisible();
  await page.reload();
  await expect(readers.nth(0)).toContainText('“A bit too lucky.”');
  // Two change seats, and sit there the next time.
  const names = () => readers.evaluateAll((rows) => rows.slice(0, 3).map((row) => row.getAttribute('aria-label')));
  const [first, second, third] = await names();
  await page.getByRole('button', { name: 'Seats' }).click();
  await page.getByRole('button', { name: `Move ${third} up` }).click();
  await axe(page, 'seats at a meeting');
  await page.getByRole('button', { name: 'Done' }).click();
  await page.reload();
  await expect(readers.nth(1)).toHaveAttribute('aria-label', third);
  expect(await names()).toEqual([first, third, second]);
  await page.getByRole('button', { name: 'End meeting' }).click();
  await expect(page.getByRole('button', { name: 'End meeting' })).toHaveCount(0);
});

test('a meeting is asked for with what it teaches, as signals do, and left without a trace', async ({ page }) => {
  await teacher(page);
  const { groups } = await api(page, 'GET', `/classes/${classOf(page)}`);
  await page.goto(`/class/${classOf(page)}/groups/meetings?plan=${groups[0].id}&strand=Infer`);
  const dialog = page.getByRole('dialog', { name: `Meeting of ${groups[0].name}` });
  await expect(dialog.getByRole('combobox', { name: 'Teaching point' })).toContainText('infer');
  await dialog.getByRole('button', { name: 'Cancel' }).click();
  await expect(dialog).toBeHidden();
  await expect(page).not.toHaveURL(/plan=/);
});
