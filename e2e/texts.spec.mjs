import { expect, test } from './world.mjs';
import { axe, place, teacher } from './people.mjs';

// The library as a teacher uses it: finding, looking why, bringing and changing. Copies are made, so that the texts
// that ship stay as they are.

test('a text is found in spite of a slip, by filters, and the search is kept', async ({ page }) => {
  await teacher(page);
  await place(page, 'Texts');
  await page.getByRole('searchbox', { name: 'Search texts' }).fill('barommeter');
  await expect(page.getByText('No text has “barommeter”. These have “barometer”.')).toBeVisible();
  await expect(page.getByRole('link', { name: 'How a Barometer Listens' })).toBeVisible();
  await page.getByRole('searchbox', { name: 'Search texts' }).fill('');
  await page
    .getByRole('group', { name: 'Fiction' })
    .getByLabel(/^non-fiction/)
    .click();
  await page
    .getByRole('group', { name: 'Kind' })
    .getByLabel(/^report/)
    .click();
  await expect(page.getByRole('link', { name: 'The Ferry Cat' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Saved searches' }).click();
  await page.getByRole('menuitem', { name: 'Save search…' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Reports');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Saved search Reports')).toBeVisible();
  await page.getByRole('button', { name: 'Clear', exact: true }).click();
  await expect(page.getByRole('link', { name: 'The Ferry Cat' })).toBeVisible();
  await page.getByRole('button', { name: /^Saved searches/ }).click();
  await page.getByRole('menuitem', { name: 'Reports', exact: true }).click();
  await expect(page.getByRole('group', { name: 'Fiction' }).getByLabel(/^non-fiction/)).toBeChecked();
  await expect(page.getByRole('link', { name: 'The Ferry Cat' })).toHaveCount(0);
  await axe(page, 'the library');
});

test('rows are moved through, picked up and opened by keys', async ({ page }) => {
  await teacher(page);
  await place(page, 'Texts');
  const row = page.getByRole('row').nth(1);
  await row.focus();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Space');
  await expect(page.getByRole('region', { name: 'Tray' })).toContainText('1 text');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Remove from tray', exact: true })).toBeVisible();
});

test('a text says what makes it deep, and its versions stand side by side', async ({ page }) => {
  await teacher(page);
  await place(page, 'Texts');
  await page.getByRole('link', { name: 'How a Barometer Listens' }).click();
  await page.getByRole('radio', { name: 'What makes it hard' }).click();
  await expect(page.getByRole('heading', { name: 'Sentences that add most' })).toBeVisible();
  await expect(page.getByRole('mark').first()).toBeVisible();
  await axe(page, 'what makes a text deep');
  await page.getByRole('radio', { name: 'Versions side by side' }).click();
  await expect(page.getByText('Underlined words are only in this version.')).toBeVisible();
  await axe(page, 'versions side by side');
  await page.getByRole('radio', { name: 'Maze passage' }).click();
  await expect(page.getByText(/choices\. Score: right answers minus half the wrong ones/)).toBeVisible();
  const first = await page.getByRole('article', { name: 'Maze passage' }).textContent();
  await axe(page, 'a maze passage');
  // On paper stands the passage with its title, whole, and nothing of the frame.
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  for (const part of ['banner', 'navigation']) await expect(page.getByRole(part).first()).toBeHidden();
  await expect(page.getByRole('radio').first()).toBeHidden();
  expect(await page.evaluate(() => document.documentElement.scrollHeight > innerHeight)).toBe(true);
  await page.emulateMedia({ media: 'screen' });
  await page.getByRole('button', { name: 'New draft' }).click();
  await expect(page.getByRole('article', { name: 'Maze passage' })).not.toHaveText(first);
  await page.getByRole('radio', { name: 'Use' }).click();
  await expect(
    page.getByRole('table', { name: 'Question by question' }).or(page.getByText('Not assigned here yet')),
  ).toBeVisible();
  await axe(page, 'how a text was used');
});

test('a text that is opened right after typing stays open on a slow machine', async ({ page }) => {
  await teacher(page);
  await place(page, 'Texts');
  await expect(page.getByRole('link', { name: 'Salt Letters' })).toBeVisible();
  const slow = await page.context().newCDPSession(page);
  await slow.send('Emulation.setCPUThrottlingRate', { rate: 20 });
  // The last key and the click fall into the moment before the search follows the typing.
  await page.getByRole('searchbox', { name: 'Search texts' }).evaluate((box) => {
    Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(box, 'salt');
    box.dispatchEvent(new Event('input', { bubbles: true }));
    const link = [...document.querySelectorAll('a')].find((a) => a.textContent === 'Salt Letters');
    // Half a second later nothing is still to come that could call the teacher back.
    return new Promise((done) => {
      setTimeout(() => {
        link.click();
        setTimeout(done, 500);
      }, 100);
    });
  });
  await slow.send('Emulation.setCPUThrottlingRate', { rate: 1 });
  await expect(page.getByRole('heading', { name: 'Salt Letters', level: 1 })).toBeVisible();
  await expect(page.getByRole('heading', { name: /^Depth/ })).toBeVisible();
  await expect(page).toHaveURL(/texts\/[0-9a-f-]{36}$/);
});

test('what has been taught is ticked, and the words of an early text that break it are named', async ({ page }) => {
  await teacher(page);
  await place(page, 'Texts');
  await page.getByRole('searchbox').first().fill('The Wet Hen');
  await page.getByRole('link', { name: 'The Wet Hen' }).click();
  await page.getByRole('radio', { name: 'What makes it hard' }).click();
  await page.getByText(/^Letter–sound patterns/).click();
  const ticks = page.getByRole('definition').locator('xpath=..').getByRole('checkbox');
  await ticks.first().check();
  await expect(page.getByText(/^[0-9]+ words do not fit:/)).toBeVisible();
  await axe(page, 'what has been taught');
  for (const tick of await ticks.all()) await tick.check();
  await expect(page.getByText('Every word fits what was taught.')).toBeVisible();
  await page.reload();
  await page.getByRole('radio', { name: 'What makes it hard' }).click();
  await expect(page.getByText('Every word fits what was taught.')).toBeVisible();
});

test('a text is pasted, measured while it is written, kept, changed, brought back and retired', async ({ page }) => {
  await teacher(page);
  await place(page, 'Texts');
  await page.getByRole('link', { name: 'New text' }).click();
  await page
    .getByLabel('The text')
    .fill('Der alte Mann wartete am Ufer, bis die Flut kam, und dann ruderte er über den Fluss.');
  await expect(page.getByText(/Only English can be measured/)).toBeVisible();
  const story =
    'The lamp keeper climbed the stairs at dusk and lit the lamp. Far out, a ship turned its bow towards the ' +
    'harbour. The wind rose in the night, and he listened to the sea.';
  await page.getByLabel('The text').fill(story);
  await expect(page.getByRole('heading', { name: /fm ± .*grade/ })).toBeVisible();
  await page.getByRole('button', { name: 'Heading' }).click();
  await expect(page.getByLabel('The text')).toHaveValue(`# ${story}`);
  await page.getByRole('button', { name: 'Heading' }).click();
  await page.getByRole('slider', { name: /^sentences were/ }).press('End');
  await expect(page.getByText(/^It would be/)).toBeVisible();
  // What is written is not lost with the page.
  await page.reload();
  await expect(page.getByLabel('The text')).toHaveValue(story);
  await page.getByRole('button', { name: 'Save text' }).click();
  await expect(page.getByText('Enter a title of 120 letters or fewer.')).toBeVisible();
  await page.getByLabel('Title').fill('The lamp keeper');
  await page.getByLabel('Kind', { exact: true }).fill('story');
  await page.getByLabel('Topic', { exact: true }).fill('Sea');
  await axe(page, 'a text while it is written');
  await page.getByRole('button', { name: 'Save text' }).click();
  await expect(page.getByRole('heading', { name: 'The lamp keeper' })).toBeVisible();
  await expect(page.getByText('No questions yet. Add a quiz to assign this text.')).toBeVisible();

  await page.getByRole('button', { name: 'More' }).click();
  await page.getByRole('menuitem', { name: 'Edit text…' }).click();
  await page.getByLabel('The text').fill(story.replace('lamp keeper', 'keeper of the light'));
  await page.getByLabel('What changed (for the history)').fill('A better beginning');
  await page.getByRole('button', { name: 'Save changes' }).click();
  await expect(page.getByLabel('The text', { exact: true })).toContainText('keeper of the light');
  await page.getByRole('radio', { name: 'History' }).click();
  await expect(page.getByText('A better beginning')).toBeVisible();
  await page.getByRole('button', { name: 'Restore revision 1' }).click();
  await expect(page.getByText('Restored revision 1', { exact: true })).toBeVisible();

  await page.getByRole('button', { name: 'More' }).click();
  await page.getByRole('menuitem', { name: 'Overrule depth…' }).click();
  await page.getByLabel('Depth in fathoms').fill('28');
  await page.getByRole('button', { name: 'Overrule depth' }).click();
  await expect(page.getByText('Enter a reason for colleagues.')).toBeVisible();
  await page.getByLabel('Why', { exact: true }).fill('Much is left unsaid');
  await page.getByRole('button', { name: 'Overrule depth' }).click();
  await page.getByRole('radio', { name: 'The text', exact: true }).click();
  await expect(page.getByText(/Overruled by Marit Oyelaran/)).toBeVisible();

  await page.getByRole('button', { name: 'More' }).click();
  await page.getByRole('menuitem', { name: 'Archive text' }).click();
  await expect(page.getByText(/^Archived and hidden from search/)).toBeVisible();
  await place(page, 'Texts');
  await expect(page.getByRole('link', { name: 'The lamp keeper' })).toHaveCount(0);
  await page.getByLabel('show archived texts').check();
  await expect(page.getByRole('link', { name: 'The lamp keeper' }).first()).toBeVisible();
});
