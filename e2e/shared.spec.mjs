import { expect, test } from './world.mjs';
import { api, assignments, axe, choose, classOf, give, pictures, reader, signIn, teacher } from './people.mjs';

// What readers tell one another and do together; what one of them has otherwise; what is read at home.

const tablet = { width: 820, height: 1180 };
const mina = { name: 'Mina', pictures: ['key', 'lamp', 'shell'] };

const another = async (browser, who, options = {}) => {
  const page = await (await browser.newContext(options)).newPage();
  await reader(page, who);
  return page;
};

test('the door is typed into before its script has come, and goes on from there', async ({ page }) => {
  let come;
  const held = new Promise((then) => (come = then));
  await page.addInitScript(() => localStorage.setItem('dc-language', 'en'));
  await page.route('**/assets/index-*.js', async (route) => {
    await held;
    await route.continue();
  });
  await page.goto('/read', { waitUntil: 'commit' });
  await page.getByRole('textbox', { name: 'Class code' }).fill('tern46');
  await axe(page, 'the door before its script');
  await page.keyboard.press('Enter');
  come();
  await expect(page.getByRole('heading', { name: '4 Tern: who are you?' })).toBeVisible();
});

test('a text is rated, recommended, approved by the teacher, and seen by a classmate', async ({ page, browser }) => {
  await teacher(page);
  await pictures(page, mina.name, mina.pictures.join(' '));
  await api(page, 'PUT', `/classes/${classOf(page)}/choosing`, { open: true, depth: 'Any' });
  const mateo = await another(browser, undefined, { viewport: tablet });
  await mateo.goto('/mine');
  await mateo.getByRole('main').getByRole('link').first().click();
  await mateo.getByText('One of my favourites').click();
  await mateo.getByRole('button', { name: /^(Tell others about it|Change)$/ }).click();
  await mateo.getByLabel('What others should know about it').fill('Look at the last line twice.');
  await mateo.getByRole('button', { name: 'Save' }).click();
  await expect(mateo.getByText('Your teacher has not read it yet.')).toBeVisible();
  await axe(mateo, 'a result with a rating');

  await page.goto(`/class/${classOf(page)}/marking`);
  await page.getByRole('button', { name: 'Recommendations' }).click();
  const row = page.getByRole('listitem').filter({ hasText: 'Look at the last line twice.' });
  await row.getByRole('button', { name: 'Show to class' }).click();
  await expect(row.getByText('The class sees it')).toBeVisible();
  await axe(page, 'recommendations');

  const other = await another(browser, mina);
  await other.goto('/choose');
  const title = await mateo.getByRole('heading', { level: 1 }).textContent();
  const had = (await api(other, 'GET', '/my/tickets')).some((k) => k.title === title);
  if (!had) await expect(other.getByText('“Look at the last line twice.”')).toBeVisible();
  await axe(other, 'choices with what others say');
  await mateo.reload();
  await expect(mateo.getByText('Your class can see it.')).toBeVisible();
});

test('an answer is written by two, talked about, and the talk is shut', async ({ page, browser }) => {
  await teacher(page);
  await pictures(page, mina.name, mina.pictures.join(' '));
  await pictures(page, 'Abel', 'boat key shell');
  await assignments(page, 'Week');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Task without text…' }).click();
  const dialog = page.getByRole('dialog', { name: 'Assign task' });
  await dialog.getByRole('radio', { name: 'Written answer' }).click();
  await dialog.getByLabel('Title for readers').fill('What would you ask?');
  await dialog.getByLabel('Prompt').fill('What would you ask the ferry cat?');
  await dialog.getByRole('checkbox', { name: /^Open for talk/ }).click();
  await dialog.getByRole('checkbox', { name: /^Several readers can hand in/ }).click();
  await axe(page, 'a task for several');
  await dialog.getByRole('button', { name: /^Assign to \d+ readers$/ }).click();
  await expect(dialog).toBeHidden();

  const mateo = await another(browser);
  await mateo.getByRole('link', { name: 'What would you ask?' }).first().click();
  await mateo.getByRole('textbox').fill('Where do you sleep?');
  await mateo.getByRole('checkbox', { name: mina.name }).check({ force: true });
  await expect(mateo.getByText('It is handed in for all of you.')).toBeVisible();
  await axe(mateo, 'an answer of two');
  await mateo.getByRole('button', { name: 'Hand in' }).click();
  await expect(mateo.getByText(`You handed this in with ${mina.name}.`)).toBeVisible();

  const abel = await another(browser, { name: 'Abel', pictures: ['boat', 'key', 'shell'] });
  await abel.getByRole('link', { name: 'What would you ask?' }).first().click();
  await expect(abel.getByText('Where do you sleep?')).toBeHidden();
  await abel.getByRole('textbox').fill('Do you get seasick?');
  await abel.getByRole('button', { name: 'Hand in' }).click();
  const talk = abel.getByRole('region', { name: 'What others wrote' });
  await expect(talk.getByText('Where do you sleep?')).toBeVisible();
  await axe(abel, 'an answer that is talked about');

  const all = await api(page, 'GET', `/classes/${classOf(page)}/assignments`);
  const { id } = all.rows.find((a) => a.title === 'What would you ask?');
  await page.goto(`/class/${classOf(page)}/assignments/${id}`);
  await expect(page.getByText('Do you get seasick?')).toBeVisible();
  await page.getByRole('button', { name: 'Close talk' }).click();
  await expect(page.getByText('Readers see only their own answer.')).toBeVisible();
  await axe(page, 'an assignment with its talk');
  await abel.reload();
  await expect(abel.getByText('Nobody else has answered yet.')).toBeHidden();
});

test('one reader chooses otherwise and is read to in one assignment, and says something to an answer', async ({
  page,
  browser,
}) => {
  await teacher(page);
  const { readers } = await api(page, 'GET', `/classes/${classOf(page)}`);
  const { id } = readers.find((r) => r.givenName === 'Mateo');
  await page.goto(`/class/${classOf(page)}/readers/${id}`);
  await choose(page.getByRole('combobox', { name: 'Tide pool' }), 'no pool');
  await choose(page.getByRole('combobox', { name: 'Format' }), 'short texts');
  await axe(page, 'what one reader chooses');
  await page.goto(`/class/${classOf(page)}/texts`);
  const given = await give(page, ['Mateo'], 'The Clockmaker of Hull Lane');
  expect(given.tickets).toBe(1);
  const mateo = await another(browser);
  await expect(mateo.getByText(/tide pool/i)).toBeHidden();
  await mateo.goto('/choose');
  for (const words of await mateo.getByText(/^\w+ · [\d,]+ words/).allTextContents())
    expect(Number(/([\d,]+) words/.exec(words)[1].replace(',', ''))).toBeLessThanOrEqual(250);

  await mateo.goto('/');
  await mateo
    .getByRole('link', { name: /Clockmaker/ })
    .first()
    .click();
  await mateo.getByRole('button', { name: 'Notes' }).click();
  await mateo
    .locator('article label')
    .first()
    .click({ position: { x: 6, y: 10 } });
  await mateo.getByLabel('Your note').fill('Is he real?');
  await mateo.getByRole('button', { name: 'Save note' }).click();
  await expect(mateo.getByText('Is he real?')).toBeVisible();
  const tickets = await api(mateo, 'GET', '/my/tickets');
  const ticket = tickets.find((k) => k.title === 'The Clockmaker of Hull Lane');
  await expect.poll(async () => (await api(page, 'GET', `/tickets/${ticket.id}/notes`)).length).toBe(1);
  const [note] = await api(page, 'GET', `/tickets/${ticket.id}/notes`);
  await api(page, 'PUT', `/notes/${note.id}/answer`, { words: 'What do you think?' });
  await mateo.reload();
  await mateo.getByRole('button', { name: 'Notes' }).click();
  await mateo.getByRole('button', { name: 'Write back' }).click();
  await mateo.getByLabel('What you want to say back').fill('I think he was.');
  await mateo.getByRole('button', { name: 'Send' }).click();
  await expect(mateo.getByText('You: I think he was.')).toBeVisible();
  await axe(mateo, 'an answer to an answer');
  await page.goto(`/class/${classOf(page)}/tickets/${ticket.id}`);
  await expect(page.getByText('I think he was.')).toBeVisible();
  // The home goes by grade until a teacher chooses otherwise for one reader.
  await page.goto(`/class/${classOf(page)}/readers/${id}`);
  await choose(page.getByRole('combobox', { name: 'Home page' }), 'pictures and voice');
  await mateo.goto('/');
  await expect(mateo.getByText('Hello, Mateo')).toBeVisible();
  await expect(mateo.getByText(/right at once/)).toBeHidden();
  await choose(page.getByRole('combobox', { name: 'Home page' }), 'By grade');
  await mateo.reload();
  await expect(mateo.getByRole('heading', { name: 'My reading' })).toBeVisible();
});

test('at home a text is read together, its words in the language of the home', async ({ browser }) => {
  const home = await (await browser.newContext({ viewport: tablet })).newPage();
  await signIn(home, 'lucia');
  await expect(home.getByRole('heading', { name: 'Para leer juntos esta semana' })).toBeVisible();
  await axe(home, 'the page of a home');
  await home.getByRole('link', { name: /^Leer / }).click();
  await expect(home.getByText('Este texto está en inglés.')).toBeVisible();
  await expect(home.locator('dd [lang="es"]').first()).toBeVisible();
  await axe(home, 'a text to read together');
});
