import { expect, test } from './world.mjs';
import { assignments, axe, choose, place, reader, signIn, teacher, view } from './people.mjs';

const checks = (page) => assignments(page, 'Level checks');
const begin = async (child, title) => child.getByRole('link', { name: `Start: ${title}` }).click();
const practise = async (child, right) => {
  await child.getByRole('button', { name: 'Try one first' }).click();
  await child.getByRole('radio', { name: right, exact: true }).check();
  await child.getByRole('button', { name: 'Start' }).click();
};
const answerWords = async (child, from, to) => {
  for (let i = from; i <= to; i++) {
    await expect(child.getByText(`${i} of 15`)).toBeVisible();
    await child
      .getByRole('radio')
      .nth(i % 3)
      .check();
    await child.getByRole('button', { name: 'Next', exact: true }).click();
  }
};

test('a check is kept as a draft, given, taken with a pause and without a network, watched, and undone', async ({
  page,
  browser,
}) => {
  await teacher(page);
  await checks(page);
  await page.getByRole('link', { name: 'New level check' }).click();
  await expect(page.getByText(/about \d+ min/).first()).toBeVisible();
  const total = async () =>
    Number(
      (
        await page
          .getByRole('complementary', { name: 'What happens' })
          .getByText(/^about \d+ min$/)
          .textContent()
      ).match(/\d+/)[0],
    );
  const whole = await total();
  for (const part of ['Word meaning', 'Passages'])
    await page.getByRole('checkbox', { name: part, exact: false }).first().uncheck();
  expect(await total()).toBeLessThan(whole);
  // Its name is made of what it is; nobody types it.
  const name = /^Level check .*, grade 4, word reading and maze$/;
  await expect(page.getByRole('heading', { name })).toBeVisible();
  await axe(page, 'a new level check');
  await page.getByLabel('Readers see').fill('');
  await page.getByRole('button', { name: 'Give check' }).click();
  await expect(page.getByText('Enter a title of', { exact: false }).first()).toBeVisible();
  await page.getByLabel('Readers see').fill('Quiet morning');
  await page.getByRole('button', { name: 'Edit maze…' }).click();
  await page.getByLabel('Skip readers below (fm)').fill('5');
  await page.getByRole('dialog').getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Skips readers below 5.0 fm.')).toBeVisible();
  await page.getByRole('checkbox', { name: /^4 Tern/ }).uncheck();
  await page.getByRole('checkbox', { name: 'Mateo Rivas' }).check();
  await page.getByRole('checkbox', { name: 'Jun Ishida' }).check();
  await expect(page.getByText('2 readers take it.')).toBeVisible();
  await page.getByRole('button', { name: 'Save as draft' }).click();
  await page.getByRole('link', { name }).click();
  await page.getByRole('button', { name: 'Give check' }).click();
  await expect(page.getByRole('heading', { name })).toBeVisible();
  await expect(page.getByText('0 of 2 readers finished')).toBeVisible();

  const context = await browser.newContext();
  const child = await context.newPage();
  await reader(child);
  await begin(child, 'Quiet morning');
  await axe(child, 'the door of a check');
  await child.getByRole('button', { name: 'Try one first' }).click();
  await child.getByRole('radio', { name: 'sunn', exact: true }).check();
  await expect(child.getByText('✗ Not this one. Try another.')).toBeVisible();
  await expect(child.getByRole('button', { name: 'Start' })).toBeDisabled();
  await child.getByRole('radio', { name: 'sun', exact: true }).check();
  await child.getByRole('button', { name: 'Start' }).click();
  await answerWords(child, 1, 3);
  await axe(child, 'a word to choose');
  // A pause: the reader leaves and comes back where they were.
  await child.getByRole('link', { name: 'Stop for now' }).click();
  await child.getByRole('link', { name: 'Continue: Quiet morning' }).click();
  await answerWords(child, 4, 4);
  await context.setOffline(true);
  await answerWords(child, 5, 5);
  await expect(child.getByText('You can continue when the internet is back.', { exact: false })).toBeVisible();
  await context.setOffline(false);
  await answerWords(child, 6, 15);
  await practise(child, 'ball');
  const mazes = child.getByRole('radiogroup', { name: /^Word \d+/ });
  await expect(mazes.first()).toBeVisible();
  for (let i = 0; i < 4; i++) await mazes.nth(i).getByRole('radio').first().check({ force: true });
  await axe(child, 'a maze passage');
  await child.getByRole('button', { name: 'Done' }).click();
  await expect(child.getByRole('heading', { name: 'You are done' })).toBeVisible();
  await child.getByRole('link', { name: 'To my reading' }).click();
  await expect(child.getByRole('link', { name: /Quiet morning/ })).toHaveCount(0);
  await context.close();

  await expect(page.getByText('1 of 2 readers finished')).toBeVisible();
  const line = page.getByRole('region', { name: 'Where everyone is' });
  await expect(line.getByRole('row', { name: /^Finished 1 of 2/ }).getByRole('link', { name: 'Mateo' })).toBeVisible();
  await expect(
    line.getByRole('row', { name: /^Not started 1 reader/ }).getByRole('link', { name: 'Jun' }),
  ).toBeVisible();
  await axe(page, 'a level check on its line');
  await page.getByRole('radio', { name: 'List' }).click();
  const row = page.getByRole('row', { name: /Mateo Rivas/ });
  await expect(row.getByText(/a minute/)).toBeVisible();
  await axe(page, 'a level check');
  await page.getByRole('button', { name: 'Take back from Jun' }).click();
  await expect(page.getByRole('row', { name: /Jun Ishida/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(page.getByRole('row', { name: /Jun Ishida/ })).toHaveCount(1);
  await page.getByRole('button', { name: 'End check' }).click();
  await expect(
    page
      .getByRole('row', { name: /Jun Ishida/ })
      .getByText('missed')
      .first(),
  ).toBeVisible();
  await page.getByRole('button', { name: /^Give parts again to [12] readers?$/ }).click();
  await expect(page.getByText('given again').first()).toBeVisible();
  await page.getByRole('button', { name: 'Take back', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Assignments' })).toBeVisible();
  await expect(page.getByRole('link', { name })).toHaveCount(0);
});

/** Answers whatever is asked by what comes first: things in the order they stand in, one to each, the first to choose. */
async function answerAsked(child) {
  const done = child.getByRole('button', { name: 'Next', exact: true });
  const next = child
    .getByRole('button', { name: /^no number yet / })
    .or(child.getByRole('group').getByRole('button', { name: /^(?!.*(: empty|Remove)$).* to / }))
    .or(child.getByRole('radio'))
    .or(child.getByRole('checkbox', { checked: false }));
  for (let taps = 0; taps < 12 && (await done.isDisabled()); taps++) await next.first().click({ force: true });
  await expect(done).toBeEnabled();
}

test('a reader reads a passage of a check with the text beside the questions, and the answers become evidence', async ({
  page,
  browser,
}) => {
  await teacher(page);
  await place(page, 'Readers');
  await page.getByRole('checkbox', { name: 'Select Mateo', exact: true }).click();
  await page.getByRole('region', { name: 'Tray' }).getByRole('button', { name: 'Other…' }).click();
  await page.getByRole('menuitem', { name: 'Give a level check…' }).click();
  await expect(page.getByText('1 reader takes it.')).toBeVisible();
  for (const part of ['Word reading', 'Word meaning', 'Maze'])
    await page.getByRole('checkbox', { name: part, exact: false }).first().uncheck();
  await page.getByLabel('Readers see').fill('One text');
  await page.getByLabel('Most passages').fill('1');
  await page.getByRole('radio', { name: 'The same band for all' }).check();
  await page.getByLabel('From', { exact: true }).fill('10');
  await page.getByLabel('To', { exact: true }).fill('20');
  await page.getByRole('button', { name: 'Give check' }).click();
  await expect(page.getByText('0 of 1 reader finished')).toBeVisible();
  const child = await (await browser.newContext()).newPage();
  await reader(child);
  await begin(child, 'One text');
  await practise(child, 'It was raining.');
  await expect(child.getByRole('navigation', { name: 'Pages' })).toBeVisible();
  await axe(child, 'a passage');
  await child.getByRole('navigation', { name: 'Pages' }).getByRole('button').last().click();
  await child.getByRole('button', { name: 'Go to questions' }).click();
  await child.getByRole('button', { name: 'Look in the text' }).click();
  await expect(child.getByRole('region', { name: 'The whole text' })).toBeVisible();
  await axe(child, 'a question of a passage');
  const many = Number((await child.getByText(/^Question 1 of \d+$/).textContent()).match(/of (\d+)/)[1]);
  for (let i = 1; i <= many; i++) {
    await expect(child.getByText(`Question ${i} of ${many}`)).toBeVisible();
    await answerAsked(child);
    await child.getByRole('button', { name: 'Next', exact: true }).click();
  }
  await expect(child.getByRole('heading', { name: 'You are done' })).toBeVisible();
  await expect(page.getByText('1 of 1 reader finished')).toBeVisible();
  await page.getByRole('link', { name: 'Mateo' }).click();
  await expect(page.getByRole('rowheader', { name: /^Level check .*, passages: .* of \d+ right/ })).toBeVisible();
});

test('a fixed form asks questions of several kinds, each once, and reads them to a reader who is given that', async ({
  page,
  browser,
}) => {
  await teacher(page);
  await view(page, 'Roster');
  await page.getByRole('button', { name: 'Mateo Rivas' }).click();
  await page.getByRole('dialog').getByRole('checkbox', { name: 'Listen' }).check();
  await page.getByRole('dialog').getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('row', { name: /Mateo Rivas.*listen/ })).toBeVisible();
  await checks(page);
  await page.getByRole('link', { name: 'New level check' }).click();
  for (const part of ['Word reading', 'Word meaning', 'Maze'])
    await page.getByRole('checkbox', { name: part, exact: false }).first().uncheck();
  await page.getByLabel('Readers see').fill('Three texts');
  await page.getByRole('checkbox', { name: /^4 Tern/ }).uncheck();
  await page.getByRole('checkbox', { name: 'Mateo Rivas' }).check();
  await page.getByRole('radio', { name: 'The same passages for all' }).check();
  const titles = ['The Piano Tuner', 'Salt Letters', 'A Pump the Size of a Fist'];
  for (const [i, title] of titles.entries()) {
    if (i > 0) await page.getByRole('button', { name: 'Add passage' }).click();
    await choose(page.getByLabel(`Passage ${i + 1}`, { exact: true }), title);
  }
  await page.getByRole('button', { name: 'Give check' }).click();
  await expect(page.getByText('0 of 1 reader finished')).toBeVisible();

  const child = await (await browser.newContext()).newPage();
  // Where the school's voice is away the device's own reads; the browser of the tests has none.
  await child.route('**/api/voice', (route) => route.fulfill({ status: 503, json: { code: 'no-voice' } }));
  await child.addInitScript(() => {
    window.said = [];
    Object.defineProperty(window, 'speechSynthesis', {
      value: {
        getVoices: () => [{ lang: 'en-GB' }],
        speak: (words) => window.said.push(words.text),
        cancel() {},
        addEventListener() {},
        removeEventListener() {},
      },
    });
  });
  await reader(child);
  await begin(child, 'Three texts');
  await practise(child, 'It was raining.');
  const seen = new Set();
  for (const title of titles) {
    await expect(child.getByRole('heading', { name: title })).toBeVisible();
    await child.getByRole('navigation', { name: 'Pages' }).getByRole('button').last().click();
    await child.getByRole('button', { name: 'Go to questions' }).click();
    const many = Number((await child.getByText(/^Question 1 of \d+$/).textContent()).match(/of (\d+)/)[1]);
    for (let i = 1; i <= many; i++) {
      await expect(child.getByText(`Question ${i} of ${many}`)).toBeVisible();
      const hint = (await child.locator('#how').textContent()).trim();
      if (!seen.has(hint)) await axe(child, `a question of a check: ${hint}`);
      if (seen.size === 0) {
        await child.getByRole('button', { name: 'Listen' }).click();
        await expect(child.getByRole('button', { name: 'Stop listening' })).toBeVisible();
        // The school's voice is asked first: the device's own speaks when that one has answered.
        const asked = await child.locator('#item').textContent();
        await expect.poll(() => child.evaluate(() => window.said.join(' '))).toContain(asked);
      }
      seen.add(hint);
      await answerAsked(child);
      await child.getByRole('button', { name: 'Next', exact: true }).click();
    }
  }
  await expect(child.getByRole('heading', { name: 'You are done' })).toBeVisible();
  expect([...seen].sort()).toEqual([
    'Choose 2.',
    'Choose one.',
    'Tap the sentence.',
    'Tap them in order, from the first to the last.',
    'Tap what belongs to each.',
  ]);
  await expect(page.getByText('1 of 1 reader finished')).toBeVisible();
});

test('the school lead sees windows by grade, beside the one before', async ({ page }) => {
  await signIn(page, 'ines');
  await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Windows' }).click();
  await expect(page.getByRole('columnheader', { name: /^Change since autumn/ })).toBeVisible();
  await expect(page.getByRole('img', { name: /now: from .* before: from/ })).toBeVisible();
  await axe(page, 'windows');
  await choose(page.getByRole('combobox', { name: /^Window/ }), 1);
  await expect(page.getByRole('rowheader', { name: '2', exact: true })).toBeVisible();
});

test('the school lead gives a check to whole grades and watches it, without a class of their own', async ({ page }) => {
  await signIn(page, 'ines');
  await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Windows' }).click();
  await page.getByRole('link', { name: 'New level check' }).click();
  await page
    .getByRole('group', { name: 'Whole grades of the school' })
    .getByRole('checkbox', { name: '6', exact: true })
    .check();
  await page.getByRole('radio', { name: 'The same band for all' }).check();
  await choose(page.getByRole('combobox', { name: 'From, grade' }), '5');
  await axe(page, 'a new level check for the school');
  await page.getByRole('button', { name: 'Give check' }).click();
  await expect(page.getByRole('heading', { name: /^Level check .*, grade 6, all parts$/ })).toBeVisible();
  await expect(page.getByText('0 of 6 readers finished')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Windows' }).click();
  await page
    .getByRole('navigation', { name: 'Views of the windows' })
    .getByRole('link', { name: 'Level checks' })
    .click();
  await expect(page.getByRole('link', { name: /^Winter window/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /, grade 6, all parts$/ })).toHaveCount(0);
});

test('a check fits a narrow tablet', async ({ browser }) => {
  const child = await (await browser.newContext({ viewport: { width: 768, height: 1024 } })).newPage();
  await reader(child, { name: 'Mateo' });
  await child.getByRole('link', { name: /Winter reading/ }).click();
  await child.getByRole('button', { name: 'Try one first' }).click();
  await axe(child, 'a question to try, narrow');
  expect(await child.evaluate(() => document.documentElement.scrollWidth <= innerWidth)).toBe(true);
});
