import { expect, test } from './world.mjs';
import {
  api,
  assignments,
  axe,
  choose,
  classOf,
  give,
  held,
  place,
  reader,
  readerAt,
  signIn,
  teacher,
  view,
} from './people.mjs';

// What is a reader's own, at six, at ten and at forty.

const tablet = { width: 820, height: 1180 };

/** Titles and blurbs, wherever they stand in what the server says. */
const said = (found) =>
  new Set(
    Object.entries(found ?? {}).flatMap(([name, value]) => {
      if (value !== null && typeof value === 'object') return [...said(value)];
      return name === 'title' || name === 'blurb' ? [value] : [];
    }),
  );

/** A reader of a class of the colleague who teaches the youngest. */
async function youngest(browser) {
  const desk = await (await browser.newContext()).newPage();
  await signIn(desk, 'teo');
  await expect(desk.getByRole('navigation', { name: 'Places' })).toBeVisible();
  const room = await api(desk, 'GET', `/classes/${classOf(desk)}`);
  const [one] = room.readers;
  // Whatever else there is for this reader, there is something with a picture.
  await give(desk, [one.givenName], 'A Bun for Gus');
  const { secret } = await api(desk, 'GET', `/readers/${one.id}/sign-in`);
  await desk.context().close();
  return { code: room.code, name: one.givenName, pictures: secret.split(' ') };
}

test('at six: a picture and a voice for every line, no figures, and into the text with one tap', async ({
  browser,
}) => {
  const who = await youngest(browser);
  const child = await (await browser.newContext({ viewport: tablet, hasTouch: true })).newPage();
  await readerAt(child, '/read', who);
  await expect(child.getByRole('heading', { name: `Hello, ${who.name}` })).toBeVisible();
  const next = child.getByRole('article').first();
  await expect(next.getByRole('img')).toHaveAccessibleName(/\w+ \w+/);
  await expect(next.getByRole('img')).toHaveJSProperty('complete', true);
  const title = await next.getByRole('heading').textContent();
  // A text may have a figure in its own words; the page has none.
  const texts = said([await api(child, 'GET', '/my/tickets'), await api(child, 'GET', '/my/choices')]);
  const lines = (await child.getByRole('main').innerText()).split('\n').filter((line) => !texts.has(line));
  expect(lines.join('\n')).not.toMatch(/\d/);
  const say = next.getByRole('button', { name: `Say “${title}”` });
  await say.tap();
  await expect(say).toHaveAttribute('aria-pressed', 'true');
  await expect(say).toHaveAttribute('aria-pressed', 'false');
  await axe(child, 'the home of the youngest');
  await next.getByRole('link', { name: `Read: ${title}` }).tap();
  await expect(child.getByRole('heading', { name: title })).toBeVisible();
  await child.context().close();
});

test('a line is heard with its words marked, and that it cannot be is said', async ({ page }) => {
  await reader(page);
  await page.getByRole('link', { name: /^(Start|Continue) reading/ }).click();
  await page.getByRole('button', { name: 'Listen' }).click();
  const marked = page.locator('article .bg-ink').first();
  await expect(marked).toBeVisible();
  const word = await marked.textContent();
  await expect(marked).not.toHaveText(word);
  await page.getByRole('button', { name: 'Slower' }).click();
  await page.getByRole('button', { name: 'Stop listening' }).click();
  await expect(page.locator('article .bg-ink')).toHaveCount(0);
  await page.route('**/api/voice', (route) => route.fulfill({ status: 503, json: { code: 'no-voice' } }));
  await page.getByRole('button', { name: 'Next page' }).click();
  await page.getByRole('button', { name: 'Listen' }).click();
  await expect(page.getByText('The voice cannot speak now.')).toBeVisible();
});

test('at ten: a word is kept and practised, a sentence marked and asked about, and the answer comes home', async ({
  page,
  browser,
}) => {
  await teacher(page);
  await give(page, ['Mateo'], 'The Ferry Cat');
  const context = await browser.newContext();
  const mateo = await context.newPage();
  await reader(mateo);
  await mateo
    .getByRole('link', { name: /Ferry Cat/ })
    .first()
    .click();
  await expect(mateo.getByRole('heading', { name: 'The Ferry Cat' })).toBeVisible();
  const tapped = mateo.getByRole('button', { name: /what does it mean/ }).first();
  const word = (await tapped.textContent()).toLowerCase();
  await tapped.click();
  const card = mateo.getByRole('complementary', { name: /^The word/ });
  await expect(card).toBeVisible();
  // Whether he has kept it before is the demo's chance.
  await expect(card.getByRole('button', { name: /^(Kept|Keep this word)$/, disabled: false })).toBeVisible();
  const before = card.getByRole('button', { name: 'Kept', exact: true });
  if (await before.isVisible()) await before.click();
  await mateo.getByRole('button', { name: 'Keep this word' }).click();
  await expect(mateo.getByRole('button', { name: 'Kept', exact: true })).toBeVisible();
  // What was sent stands, also while the server's list is still on its way: what is shown is what a press is for.
  const list = await held(mateo, '**/api/my/words', 'GET');
  const sent = mateo.waitForResponse((r) => r.request().method() === 'PUT' && r.url().includes('/my/words'));
  await card.getByRole('button', { name: 'Kept', exact: true }).click();
  await sent;
  await list.asked;
  await expect(card.getByRole('button', { name: 'Keep this word' })).toBeVisible();
  await card.getByRole('button', { name: 'Keep this word' }).click();
  await list.open();
  await expect(card.getByRole('button', { name: 'Kept', exact: true })).toBeVisible();

  // Without a network what is marked is kept on the device, and sent when it is back.
  await mateo.getByRole('button', { name: 'Notes' }).click();
  await expect(mateo.getByText('Tap a sentence to mark it.')).toBeVisible();
  // A finger between two lines of a sentence is on that sentence.
  const gaps = await mateo.locator('article label').evaluateAll((all) =>
    all.flatMap((label) => {
      const lines = [...label.getClientRects()];
      return lines.slice(1).map((line, i) => line.top - lines[i].bottom);
    }),
  );
  expect(Math.max(0, ...gaps)).toBeLessThan(0.5);
  await context.setOffline(true);
  await mateo.locator('article label').first().click();
  await mateo.getByLabel('Your note').fill('Where does she go?');
  await mateo.getByRole('button', { name: 'Save note' }).click();
  await expect(mateo.getByText('Where does she go?')).toBeVisible();
  await context.setOffline(false);
  await axe(mateo, 'notes in a text');
  await mateo.getByRole('link', { name: 'My reading' }).click();

  await assignments(page, 'Who is where');
  // He may have had it before; the note is in the one he is in.
  await page.getByRole('button', { name: /^Mateo, The Ferry Cat: under way/ }).click();
  const panel = page.getByRole('complementary', { name: /The Ferry Cat/ });
  await expect(panel.getByText('Where does she go?')).toBeVisible();
  await panel.getByRole('button', { name: 'Answer', exact: true }).click();
  await panel.getByLabel('Answer to this note').fill('Look who gets off with her.');
  await panel.getByRole('button', { name: 'Send answer' }).click();
  await expect(panel.getByText('not seen yet')).toBeVisible();
  await axe(page, 'a note and its answer');

  await mateo.reload();
  await expect(mateo.getByText('“Look who gets off with her.”')).toBeVisible();
  await axe(mateo, 'a home with an answer');
  await mateo.getByRole('link', { name: 'The Ferry Cat, page 1' }).click();
  await expect(
    mateo.getByRole('complementary', { name: 'Notes' }).getByText('Look who gets off with her.'),
  ).toBeVisible();
  await mateo.getByRole('link', { name: 'My reading' }).click();

  await mateo.getByRole('link', { name: /^Practise \d/ }).click();
  await expect(mateo.getByRole('listitem').filter({ hasText: word }).first()).toBeVisible();
  await mateo.getByRole('button', { name: /^Practise \d/ }).click();
  await axe(mateo, 'words to look at');
  await mateo.getByRole('button', { name: 'Practise', exact: true }).click();
  await mateo.getByRole('radio').first().check();
  await mateo.getByRole('button', { name: 'Check' }).click();
  await expect(mateo.getByText(/^(✓ Right|✗ It is)/)).toBeVisible();
  await mateo.getByRole('button', { name: 'Next' }).click();
  await expect(mateo.getByRole('button', { name: 'Check' })).toBeVisible();
  await context.close();
});

test('a book on paper is added, and its teacher confirms it', async ({ page, browser }) => {
  const mateo = await (await browser.newContext({ viewport: tablet })).newPage();
  await reader(mateo);
  await axe(mateo, 'home on a tablet');
  await mateo.getByRole('link', { name: 'Add a paper book' }).click();
  await mateo.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(mateo.getByRole('alert').first()).toContainText('Enter what you read');
  await mateo.getByLabel('Title').fill('The Salt Road');
  await mateo.getByLabel('Minutes').fill('25');
  await axe(mateo, 'what was read');
  await mateo.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(mateo.getByText('Added: The Salt Road')).toBeVisible();
  await expect(mateo.getByRole('listitem').filter({ hasText: 'The Salt Road' })).toContainText('25 min');

  await teacher(page);
  await place(page, 'Readers');
  await page
    .getByRole('button', { name: /^Mateo/ })
    .first()
    .click();
  await page.getByRole('link', { name: 'Open profile' }).click();
  const told = page.getByRole('listitem').filter({ hasText: 'The Salt Road' });
  await told.getByRole('button', { name: 'Confirm' }).click();
  await expect(told.getByText(/^Confirmed by/)).toBeVisible();
  await axe(page, 'a profile with a book on paper');
  await mateo.reload();
  await expect(mateo.getByRole('listitem').filter({ hasText: 'The Salt Road' })).toContainText('knows');
  await mateo.context().close();
});

test('from a missed question to its place in the text, and back', async ({ page, browser }) => {
  await teacher(page);
  await give(page, ['Mateo'], 'Heron');
  const mateo = await (await browser.newContext()).newPage();
  await reader(mateo);
  const { id } = (await api(mateo, 'GET', '/my/tickets')).find((k) => k.title === 'Heron' && k.state === 'Waiting');
  // The first choice of each, twice: some of them are wrong.
  const { questions } = await api(mateo, 'GET', `/my/tickets/${id}`);
  for (const q of questions.filter((x) => x.kind === 'Single'))
    for (const attempt of [1, 2])
      await api(mateo, 'PUT', `/my/tickets/${id}/answers/${crypto.randomUUID()}`, {
        questionId: q.id,
        picks: [0],
        words: '',
        milliseconds: 20_000 * attempt,
        at: new Date().toISOString(),
      }).catch(() => undefined);
  await api(mateo, 'POST', `/my/tickets/${id}/hand-in`);
  await mateo.goto(`/text/${id}/result`);
  await expect(mateo.getByRole('heading', { name: /^Read page \d once more/ })).toBeVisible();
  await axe(mateo, 'a result with a missed question');
  await mateo
    .getByRole('link', { name: /^Show in the text, page \d/ })
    .first()
    .click();
  await expect(mateo.locator('article .bg-depth-2').first()).toBeVisible();
  await mateo.getByRole('link', { name: 'Back to result' }).click();
  await expect(mateo.getByText(/right on the first try/)).toBeVisible();
  await mateo.context().close();
});

test('a text of one’s own gets a picture, and a class’s tide pools are switched off', async ({ page, browser }) => {
  await teacher(page);
  await place(page, 'Texts');
  await page.getByRole('searchbox').first().fill('The Ferry Cat');
  await page.getByRole('link', { name: 'The Ferry Cat', exact: true }).click();
  await expect(page.getByRole('img', { name: /grey cat/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /picture/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'More' }).click();
  await page.getByRole('menuitem', { name: 'Duplicate' }).click();
  await page.getByRole('heading', { name: /^Edit/ }).waitFor();
  await page.goto(page.url().replace(/\/change$/, ''));
  // A copy has the picture of its original; it is taken out, and one of its own put in.
  await page.getByRole('button', { name: 'Remove picture' }).click();
  const drawn = await page.evaluate(() => {
    const canvas = Object.assign(document.createElement('canvas'), { width: 60, height: 40 });
    canvas.getContext('2d').fillRect(10, 10, 20, 20);
    return canvas.toDataURL('image/png').split(',')[1];
  });
  const files = (name) => ({ name, mimeType: 'image/png', buffer: Buffer.from(drawn, 'base64') });
  await page.getByLabel('Add picture…').setInputFiles(files('cat.png'));
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: 'Add picture' }).click();
  await expect(dialog.getByText(/^Say what the picture shows/).first()).toBeVisible();
  await dialog.getByLabel('What it shows').fill('A dark square.');
  await axe(page, 'adding a picture');
  await dialog.getByRole('button', { name: 'Add picture' }).click();
  await expect(page.getByRole('img', { name: 'A dark square.' })).toBeVisible();
  await page.getByRole('button', { name: 'Remove picture' }).click();
  await expect(page.getByRole('img', { name: 'A dark square.' })).toHaveCount(0);

  await view(page, 'Class');
  await choose(page.getByRole('combobox', { name: 'Tide pool on readers’ pages' }), 'no pool');
  await expect(page.getByRole('combobox', { name: 'Tide pool on readers’ pages' })).toHaveText(/no pool/);
  await axe(page, 'the pools of a class');
  const mateo = await (await browser.newContext()).newPage();
  await reader(mateo);
  await expect(mateo.getByRole('heading', { name: 'My week' })).toBeVisible();
  await expect(mateo.getByRole('heading', { name: 'Tide pools' })).toHaveCount(0);
  await choose(page.getByRole('combobox', { name: 'Tide pool on readers’ pages' }), 'own pool and class pool');
  await mateo.reload();
  await expect(mateo.getByRole('img', { name: /^My pool/ })).toBeVisible();
  await mateo.context().close();
});

test('at forty: who begins to read late has a home for those who read', async ({ page, browser }) => {
  await teacher(page);
  const name = `Evening ${Date.now()}`;
  const room = await api(page, 'POST', '/classes', { id: crypto.randomUUID(), name });
  const id = crypto.randomUUID();
  // A level of a first year, in the grade of those who are grown up.
  await api(page, 'POST', `/classes/${room.id}/readers`, {
    id,
    givenName: 'Halvard',
    familyName: 'Eide',
    grade: 12,
    level: 8,
  });
  await api(page, 'POST', `/classes/${room.id}/readers/${id}/secret`, { kind: 'Pictures', secret: 'boat gull shell' });
  const { code } = await api(page, 'GET', `/classes/${room.id}`);
  const desk = await (await browser.newContext()).newPage();
  await readerAt(desk, '/read', { code, name: 'Halvard' });
  await expect(desk.getByRole('heading', { name: 'Next for you' })).toBeVisible();
  await expect(desk.getByRole('heading', { name: 'My week' })).toBeVisible();
  await axe(desk, 'the home of a beginner of forty');
  await desk.context().close();
});
