import { expect, test } from './world.mjs';
import { axe, choose, nothingToMark, place, reader, teacher } from './people.mjs';

// A quiz from its first question to the reader's result: written, checked, given, answered, marked, released.
test.describe.configure({ mode: 'serial' });

const title = `The lamp on the rock ${Date.now()}`;
const story =
  'The keeper climbed the stairs at dusk. He lit the lamp and wound the clock. ' +
  'Far out, a ship turned its bow towards the harbour.\n\n' +
  'The wind rose in the night. He sat by the window and listened to the sea. ' +
  'In the morning the ship lay safe beside the quay, and the captain came up with a basket of oranges.';

async function add(page, kind, stem, strand) {
  await page.getByRole('button', { name: 'Add question' }).click();
  await page.getByRole('menuitem', { name: kind }).click();
  await page.getByRole('textbox', { name: 'Question', exact: true }).fill(stem);
  await choose(page.getByLabel('Strand'), strand);
}

async function choices(page, texts, label = 'Choice') {
  for (const [i, text] of texts.entries())
    await page.getByLabel(new RegExp(`^${label} [${'ABCD'[i]}${i + 1}]$`)).fill(text);
}

test('a quiz of several kinds is written, checked as it is written, and kept', async ({ page }) => {
  await teacher(page);
  await nothingToMark(page);
  await place(page, 'Texts');
  await page.getByRole('link', { name: 'New text' }).click();
  await page.getByRole('heading', { name: 'New text' }).waitFor();
  await page.getByLabel('Title').fill(title);
  await page.getByLabel('Kind', { exact: true }).fill('story');
  await page.getByLabel('Topic', { exact: true }).fill('Sea');
  await page.getByLabel('The text').fill(story);
  await page.getByRole('button', { name: 'Save text' }).click();
  await page.getByRole('link', { name: 'Create quiz' }).click();

  await page.getByRole('button', { name: 'Add first question' }).click();
  await page.getByRole('textbox', { name: 'Question', exact: true }).fill('What did the keeper light?');
  await choices(page, ['the lamp', 'the stairs', 'the ship', 'all of the above']);
  await page.getByLabel('B is right').check();
  await expect(page.getByRole('status', { name: 'Remarks' })).toContainText(
    'Has “all of the above”, which is not a choice of its own.',
  );
  await page.getByRole('button', { name: 'Remove D' }).click();
  await page.getByLabel('A is right').check();
  for (const name of ['A', 'B', 'C']) await page.getByLabel(`Reason of ${name}`).fill('Look at the first lines.');
  await page.getByRole('button', { name: 'He lit the lamp and wound the clock.' }).click();
  await expect(page.getByRole('status', { name: 'Remarks' })).toBeEmpty();

  await add(page, 'pick the sentence', 'Which sentence shows it?', 'retrieve');
  await page.getByLabel('Asks for proof of the previous question').check();
  await page.getByRole('button', { name: 'He lit the lamp and wound the clock.' }).click();
  await add(page, 'put in order', 'What happened first, next and last?', 'summarise');
  await page.getByRole('button', { name: 'Save quiz' }).click();
  await expect(page.getByRole('alert')).toContainText('Question 3: has an empty choice');
  await choices(page, ['He climbed the stairs.', 'The wind rose.', 'The captain came up.']);
  await page.getByRole('button', { name: 'The wind rose in the night.' }).click();
  await add(page, 'match', 'What belongs together?', 'structure');
  await page.getByRole('button', { name: 'Remove C' }).click();
  await choices(page, ['lamp', 'clock'], 'Left');
  await choices(page, ['lit', 'wound'], 'Right');
  await page.getByRole('button', { name: 'He lit the lamp and wound the clock.' }).click();
  await add(page, 'short answer', 'Why did the captain bring oranges?', 'infer');
  for (const [i, earns] of ['Nothing.', 'Oranges only.', 'He is grateful.', 'He is grateful for the light.'].entries())
    await page.getByLabel(`What earns ${i}`).fill(earns);
  await add(page, 'choose one', 'What do you think the ship will do?', 'infer');
  await choose(page.getByRole('combobox', { name: /^Asked/ }), 'on the way, between paragraphs');
  await choices(page, ['come in', 'sink', 'wait', 'turn away']);
  // Nothing is right before somebody says so.
  await expect(page.getByRole('radio', { checked: true })).toHaveCount(0);
  await page.getByLabel('A is right').check();
  await page.getByRole('button', { name: 'Ask it after paragraph 1' }).click();
  await axe(page, 'a quiz while it is written');
  // What is written stays on this device.
  await page.reload();
  await expect(page.getByText('Restored your unsaved text from this device.')).toBeVisible();
  await page.getByRole('button', { name: 'Save quiz' }).click();
  await expect(page.getByText('Saved quiz')).toBeVisible();
  await expect(page.getByRole('heading', { name: /^Quiz 5 questions/ })).toBeVisible();
  await axe(page, 'a text with a quiz of several kinds');

  await page.getByRole('button', { name: 'Add to tray' }).click();
  await place(page, 'Readers');
  await page.getByRole('checkbox', { name: 'Select Mateo', exact: true }).click();
  await page.getByRole('button', { name: /^Assign to 1 reader/ }).click();
  await expect(page.getByRole('checkbox', { name: /^Ask questions on the way/ })).toBeChecked();
  await page.getByRole('button', { name: 'Assign to 1 reader', exact: true }).click();
  await expect(page.getByText(`Assigned “${title}” to 1 reader`)).toBeVisible();
});

const done = (page) => page.getByRole('button', { name: 'Check answer' }).click();
const next = (page) => page.getByRole('button', { name: 'Next question' }).click();

test('a reader answers every kind, also without a network, and hands in', async ({ page }) => {
  await reader(page);
  await page.getByRole('link', { name: title }).click();
  const way = page.getByRole('complementary', { name: 'A question on the way' });
  await way.getByRole('radio', { name: 'come in' }).check();
  await done(way);
  await expect(way.getByText('✓ Right.')).toBeVisible();
  await axe(page, 'a question on the way');
  await page.getByRole('button', { name: 'Go to questions' }).click();
  await page.getByRole('radio', { name: 'the lamp' }).check();
  await done(page);
  await next(page);

  await expect(page.getByText('You were asked: What did the keeper light? You said: the lamp')).toBeVisible();
  await page.getByRole('radio', { name: 'The wind rose in the night.' }).check({ force: true });
  await done(page);
  await expect(page.getByText('✗ Not yet. Look again.')).toBeVisible();
  await axe(page, 'picking a sentence');
  await page.getByRole('radio', { name: 'He lit the lamp and wound the clock.' }).check({ force: true });
  await done(page);
  await expect(page.getByText('✓ Right.')).toBeVisible();
  await next(page);

  for (const line of ['The captain came up.', 'The wind rose.', 'He climbed the stairs.'])
    await page.getByRole('button', { name: line }).click();
  await done(page);
  await expect(page.getByText('1 of 3 are right.')).toBeVisible();
  for (const line of ['He climbed the stairs.', 'The wind rose.', 'The captain came up.'])
    await page.getByRole('button', { name: line }).click();
  await axe(page, 'putting in order');
  await done(page);
  await expect(page.getByText('✓ Right.')).toBeVisible();
  await next(page);

  await page.getByRole('button', { name: 'lit to lamp' }).click();
  await axe(page, 'putting together');
  await page.getByRole('button', { name: 'wound to clock' }).click();
  await page.context().setOffline(true);
  await done(page);
  await expect(page.getByText('Your answer is saved.')).toBeVisible();
  await page.context().setOffline(false);
  await expect(page.getByText('✓ Right.')).toBeVisible();
  await next(page);

  await page.getByRole('textbox', { name: 'Why did the captain bring oranges?' }).fill('He wants to thank him.');
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'Why did the captain bring oranges?' })).toHaveValue(
    'He wants to thank him.',
  );
  await axe(page, 'writing an answer');
  await done(page);
  await page.getByRole('button', { name: 'Hand in' }).click();
  await expect(page.getByText('Your teacher is reading your answers.')).toBeVisible();
});

test('what was written is marked with its rubric and the result let go; the reader sees both', async ({
  page,
  browser,
}) => {
  await teacher(page);
  await page
    .getByRole('navigation', { name: 'Places' })
    .getByRole('link', { name: /^Marking/ })
    .click();
  await axe(page, 'marking');
  await expect(page.getByText('He wants to thank him.')).toBeVisible();
  await page.getByLabel(/^Comment to/).fill('Thank him for what?');
  await page.getByRole('button', { name: /He is grateful\./ }).click();
  await page.getByRole('button', { name: /^Mark and next/ }).click();
  await page.getByRole('button', { name: 'Release all' }).click();
  await expect(page.getByText('Released to 1 reader')).toBeVisible();

  const child = await (await browser.newContext()).newPage();
  await reader(child);
  await child.getByRole('link', { name: title }).click();
  await expect(child.getByText('Thank him for what?')).toBeVisible();
  await expect(child.getByText('3 of 5 right on the first try')).toBeVisible();
  await axe(child, 'a result with a written answer');
});
