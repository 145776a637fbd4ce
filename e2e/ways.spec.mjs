import { expect, test } from './world.mjs';
import { api, assignments, axe, choose, classOf, place, reader, starting, teacher } from './people.mjs';

/** Texts that nobody of the class has had, with what is forecast of each version for each reader. */
const fresh = async (page, many) => {
  const classId = classOf(page);
  const { readers } = await api(page, 'GET', `/classes/${classId}`);
  const { rows } = await api(page, 'GET', `/library?classId=${classId}`);
  const textIds = rows.filter((x) => x.questions > 0).map((x) => x.id);
  const fits = [];
  for (let i = 0; i < textIds.length; i += 20)
    fits.push(
      ...(await api(page, 'POST', `/classes/${classId}/fit`, {
        readerIds: readers.map((r) => r.id),
        textIds: textIds.slice(i, i + 20),
      })),
    );
  const mateo = readers.find((r) => r.called === 'Mateo').id;
  // What either of the two has had is the demo's chance.
  const both = readers.filter((r) => ['Mateo', 'Wren'].includes(r.called)).map((r) => r.id);
  const before = new Set(fits.filter((f) => f.before && both.includes(f.readerId)).map((f) => f.textId));
  return {
    texts: rows.filter((x) => textIds.includes(x.id) && !before.has(x.id)).slice(0, many),
    /** Of each text, pairs of versions that one reader can have within reach. */
    near: rows
      .filter((x) => x.questions > 0)
      .sort((one, other) => before.has(one.id) - before.has(other.id))
      .flatMap((x) => {
        const depths = x.versions.map((v) => v.depth).sort((one, other) => one - other);
        const deeper = depths.find((d, i) => i > 0 && d - depths[i - 1] > 1 && d - depths[i - 1] < 12.4);
        return deeper ? [{ title: x.title, deeper }] : [];
      })[0],
    mateo,
  };
};
/** The simulated stream keeps what earlier runs put there. */
const course = `Tern ${crypto.randomUUID().slice(0, 8)}`;

const toTray = async (page, titles) => {
  await place(page, 'Texts');
  for (const title of titles) {
    await page.getByRole('searchbox').first().fill(title);
    await page
      .getByRole('checkbox', { name: starting(`Add ${title}`) })
      .or(page.getByRole('row', { name: title }).getByRole('checkbox'))
      .first()
      .click();
  }
};

test('texts are given one after another, otherwise for one reader, and stand in the class stream', async ({
  page,
  browser,
}) => {
  await teacher(page);
  await assignments(page, 'Week');
  await page.getByRole('button', { name: 'Share', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Class stream…' }).click();
  const stream = page.getByRole('dialog', { name: 'Class stream' });
  await stream.getByRole('button', { name: 'Connect' }).click();
  await expect(stream.getByText('Enter the name of the course in your platform.')).toBeVisible();
  await stream.getByRole('textbox').fill(course);
  await axe(page, 'connecting a class stream');
  await stream.getByRole('button', { name: 'Connect' }).click();
  await expect(stream.getByText(`Connected with ${course}`, { exact: false })).toBeVisible();
  await stream.getByRole('button', { name: 'Done' }).click();

  const { texts } = await fresh(page, 2);
  const titles = texts.map((x) => x.title);
  await toTray(page, titles);
  await place(page, 'Readers');
  for (const name of ['Mateo', 'Wren'])
    await page
      .getByRole('row', { name: starting(name) })
      .or(page.getByRole('row', { name }))
      .first()
      .getByRole('checkbox')
      .click();
  await page
    .getByRole('region', { name: 'Tray' })
    .getByRole('button', { name: /^Assign to/ })
    .click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('checkbox', { name: /^One after another/ }).click();
  await dialog.getByRole('button', { name: 'Different for some…' }).click();
  await choose(dialog.getByRole('combobox', { name: 'Different for' }), 'Mateo');
  await choose(dialog.getByRole('combobox', { name: 'Tries', exact: true }), '1');
  await dialog.getByRole('checkbox', { name: /^Share to class stream/ }).click();
  // At its end the window's foot lies over nothing, however long the titles are.
  await dialog.evaluate((d) => d.scrollTo(0, d.scrollHeight));
  await axe(page, 'assigning otherwise for some');
  await dialog.getByRole('button', { name: /^Assign to \d+ readers$/ }).click();
  await expect(dialog).toBeHidden();

  const context = await browser.newContext();
  const mateo = await context.newPage();
  await reader(mateo);
  const mine = await api(mateo, 'GET', '/my/tickets');
  const open = mine.filter((k) => titles.includes(k.title));
  expect(open).toHaveLength(1);
  expect((await api(mateo, 'GET', `/my/tickets/${open[0].id}`)).attempts).toBe(1);

  const outside = await context.newPage();
  await expect(async () => {
    await outside.goto(`${process.env.ClassStream__Address}/${encodeURIComponent(course)}`);
    await expect(outside.getByRole('link', { name: titles[0] })).toBeVisible({ timeout: 500 });
  }).toPass();
  await outside.getByRole('link', { name: open[0].title }).click();
  await expect(outside).toHaveURL(/\/text\//);
  await expect(outside.getByRole('heading', { name: open[0].title })).toBeVisible();
  await context.close();

  await page.goto(`/pick?course=${encodeURIComponent(course)}`);
  await expect(page).toHaveURL(/\/texts$/);
  await page.goto(`/pick?course=None`);
  await expect(page.getByText('No class of yours has this stream')).toBeVisible();
});

test('a reader takes a harder or easier version within reach, and the teacher sees both', async ({ page, browser }) => {
  await teacher(page);
  await place(page, 'Texts');
  const { near, mateo: id } = await fresh(page, 1);
  // The shallower one is a little easy then, the deeper one a little hard.
  await api(page, 'PUT', `/classes/${classOf(page)}/readers/${id}/level`, {
    id: crypto.randomUUID(),
    level: `${(near.deeper - 4.9).toFixed(1)} fm`,
    reason: 'To read between two versions',
  });
  await page.reload();
  await toTray(page, [near.title]);
  await place(page, 'Readers');
  await page.getByRole('row', { name: 'Mateo' }).first().getByRole('checkbox').click();
  await page
    .getByRole('region', { name: 'Tray' })
    .getByRole('button', { name: /^Assign to/ })
    .click();
  const dialog = page.getByRole('dialog');
  const had = dialog.getByRole('checkbox', { name: 'Skip readers who have had it' });
  await expect(dialog.getByText(/ of 1 readers? /).first()).toBeVisible();
  if (await had.isVisible()) await had.uncheck();
  await dialog.getByRole('checkbox', { name: 'Readers may change to another version within reach' }).click();
  await dialog.getByRole('button', { name: /^Assign to/ }).click();
  await expect(dialog).toBeHidden();

  const context = await browser.newContext();
  const mateo = await context.newPage();
  await reader(mateo);
  await mateo.getByRole('link', { name: near.title }).first().click();
  const other = mateo.getByRole('button', { name: /^(Easier|Harder) version$/ });
  const name = await other.textContent();
  await axe(mateo, 'a text with another version');
  await other.click();
  await expect(
    mateo.getByRole('button', { name: name === 'Easier version' ? 'Harder version' : 'Easier version' }),
  ).toBeVisible();
  await context.close();

  await assignments(page, 'Who is where');
  await page.getByRole('button', { name: starting(`Mateo, ${near.title}`) }).click();
  await expect(page.getByText(/chosen by reader, [\d.]+ fm given/)).toBeVisible();
});

test('a teacher sees her classes side by side, and goes on from any of them', async ({ page }) => {
  await teacher(page);
  await assignments(page, 'Classes');
  const row = page.getByRole('row', { name: starting('6 Heron') });
  await expect(row.getByRole('link', { name: 'Estuary words' })).toBeVisible();
  await axe(page, 'classes side by side');
  await row.getByRole('link', { name: 'Estuary words' }).click();
  await expect(page.getByRole('heading', { name: 'Estuary words' })).toBeVisible();
});

const pdf = `%PDF-1.4
1 0 obj<</Type/Catalog/Pages 2 0 R>>endobj
2 0 obj<</Type/Pages/Kids[3 0 R]/Count 1>>endobj
3 0 obj<</Type/Page/Parent 2 0 R/MediaBox[0 0 300 200]>>endobj
trailer<</Root 1 0 R>>
%%EOF
`;

test('two texts are assigned together with a paper, changed together, and one link leads from one to the next', async ({
  page,
  browser,
}) => {
  await teacher(page);
  const classId = classOf(page);
  const { texts } = await fresh(page, 2);
  const [first, second] = texts.map((x) => x.title);
  await toTray(page, [first, second]);
  await place(page, 'Readers');
  await page
    .getByRole('row', { name: starting('Mateo') })
    .or(page.getByRole('row', { name: 'Mateo' }))
    .first()
    .getByRole('checkbox')
    .click();
  await page
    .getByRole('region', { name: 'Tray' })
    .getByRole('button', { name: /^Assign to/ })
    .click();
  const dialog = page.getByRole('dialog', { name: /^Assign / });
  const adding = page.getByRole('dialog', { name: 'Add paper' });
  const choosePaper = (name, mimeType, content) =>
    dialog.locator('input[type=file]').setInputFiles({ name, mimeType, buffer: Buffer.from(content) });
  await choosePaper('Notes.txt', 'text/plain', 'no paper');
  await adding.getByRole('button', { name: 'Add paper' }).click();
  await expect(adding.getByText('Choose a PDF, PNG or JPEG file.')).toBeVisible();
  await adding.getByRole('button', { name: 'Cancel' }).click();
  await choosePaper('Map.pdf', 'application/pdf', pdf);
  await adding.getByRole('button', { name: 'Add paper' }).click();
  await expect(adding).toBeHidden();
  await choose(dialog.getByRole('combobox', { name: 'Map goes with' }), `With “${second}”`);
  await axe(page, 'assigning with a paper');
  await dialog.getByRole('button', { name: /^Assign to 1 reader$/ }).click();
  await expect(dialog).toBeHidden();

  await assignments(page, 'Week');
  await page.getByRole('button', { name: starting(`Mateo: ${first}`) }).click();
  const panel = page.getByRole('complementary', { name: first });
  await expect(panel.getByRole('list', { name: 'Assigned with it' }).getByText(second)).toBeVisible();
  await axe(page, 'an assignment of two');
  await panel.getByRole('button', { name: 'Change…' }).click();
  const change = page.getByRole('dialog', { name: starting('Change') });
  await change.getByLabel('Heading for readers').fill('About the estuary');
  await change.getByRole('checkbox', { name: 'Make the same changes to 1 task assigned with it' }).click();
  await change.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText(`Changed “${first}” and 1 assigned with it`)).toBeVisible();
  const rows = (await api(page, 'GET', `/classes/${classId}/assignments`)).rows;
  const [one, other] = [first, second].map((title) => rows.find((x) => x.title === title));
  expect([one.heading, other.heading]).toEqual(['About the estuary', 'About the estuary']);
  expect(await api(page, 'GET', `/assignments/${one.id}/papers`)).toHaveLength(0);
  expect((await api(page, 'GET', `/assignments/${other.id}/papers`)).map((p) => p.name)).toEqual(['Map']);

  await panel.getByRole('button', { name: 'Take back all 2' }).click();
  await expect(page.getByText('Took back from 2 readers').or(page.getByText('Took back from 1 reader'))).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(panel.getByRole('button', { name: 'Take back all 2' })).toBeVisible();

  // A task that is done leads on to what came with it.
  const { readers } = await api(page, 'GET', `/classes/${classId}`);
  const given = await api(page, 'POST', `/classes/${classId}/assignments`, {
    readerIds: [readers.find((r) => r.called === 'Mateo').id],
    attempts: 1,
    skipGiven: false,
    tasks: ['One thing', 'One more thing'].map((title) => ({
      id: crypto.randomUUID(),
      kind: 'Written',
      title,
      prompt: `${title} you wonder about.`,
    })),
  });
  const mateo = await (await browser.newContext()).newPage();
  await reader(mateo);
  const ticket = (await api(mateo, 'GET', '/my/tickets')).find((k) => k.title === 'One thing');
  await mateo.goto(`/task/${given.assignmentId}`);
  await expect(mateo.getByText('One thing you wonder about.')).toBeVisible();
  await api(mateo, 'PUT', `/my/tickets/${ticket.id}/reply`, { words: 'The tide.', at: new Date().toISOString() });
  await api(mateo, 'POST', `/my/tickets/${ticket.id}/hand-in`);
  await mateo.goto(`/task/${given.assignmentId}`);
  await expect(mateo.getByText('One more thing you wonder about.')).toBeVisible();
  await mateo.context().close();
});

test('a paper goes with an assignment, a reader draws on a copy, and the teacher sees it', async ({
  page,
  browser,
}) => {
  const title = 'The Mill That Waits';
  await teacher(page);
  await assignments(page, 'Week');
  await page.getByRole('button', { name: starting(`${title} from`) }).click();
  const add = async (name, mimeType, content) => {
    await page
      .getByRole('complementary')
      .locator('input[type=file]')
      .setInputFiles({ name, mimeType, buffer: Buffer.from(content) });
    await page.getByRole('dialog').getByRole('button', { name: 'Add paper' }).click();
  };
  await add('Notes.txt', 'text/plain', 'no paper');
  const dialog = page.getByRole('dialog', { name: 'Add paper' });
  await expect(dialog.getByText('Choose a PDF, PNG or JPEG file.')).toBeVisible();
  await dialog.getByRole('button', { name: 'Cancel' }).click();
  await page
    .getByRole('complementary')
    .locator('input[type=file]')
    .setInputFiles({ name: 'Map of the mill.pdf', mimeType: 'application/pdf', buffer: Buffer.from(pdf) });
  await dialog.getByRole('checkbox', { name: 'Each reader writes and draws on a copy' }).click();
  await axe(page, 'adding a paper');
  await dialog.getByRole('button', { name: 'Add paper' }).click();
  await expect(page.getByRole('complementary').getByRole('link', { name: 'Map of the mill' })).toBeVisible();

  const context = await browser.newContext();
  const mateo = await context.newPage();
  await reader(mateo);
  await mateo.getByRole('link', { name: title }).first().click();
  await mateo.getByRole('link', { name: 'Papers' }).click();
  const sheet = mateo.getByRole('img', { name: 'Map of the mill, page 1' });
  await expect(sheet).toBeVisible();
  await axe(mateo, 'a paper to draw on');
  const box = await sheet.boundingBox();
  const kept = mateo.waitForResponse((r) => r.url().endsWith('/strokes') && r.ok());
  await mateo.mouse.move(box.x + 40, box.y + 40);
  await mateo.mouse.down();
  await mateo.mouse.move(box.x + 160, box.y + 90, { steps: 6 });
  await mateo.mouse.up();
  const drawn = (where) => where.getByRole('img', { name: '1 stroke drawn on it' });
  await expect(drawn(mateo)).toBeVisible();
  await kept;
  await mateo.reload();
  await expect(drawn(mateo)).toBeVisible();
  await mateo.getByRole('button', { name: 'Undo' }).click();
  await expect(mateo.getByRole('img', { name: '0 strokes drawn on it' })).toBeVisible();
  await mateo.mouse.move(box.x + 60, box.y + 60);
  await mateo.mouse.down();
  await mateo.mouse.move(box.x + 90, box.y + 120, { steps: 4 });
  const again = mateo.waitForResponse((r) => r.url().endsWith('/strokes') && r.ok());
  await mateo.mouse.up();
  await again;
  await context.close();

  await assignments(page, 'Who is where');
  await page.getByRole('button', { name: starting(`Mateo, ${title}`) }).click();
  await page.getByRole('complementary').getByRole('link', { name: 'Open', exact: true }).click();
  await expect(page.getByRole('img', { name: 'Map of the mill, page 1' })).toBeVisible();
  await expect(drawn(page)).toBeVisible();
});
