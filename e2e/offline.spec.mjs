import { expect, test } from './world.mjs';
import { api, axe, give, pictures, reader, teacher, throughDoor, toQuestions } from './people.mjs';

test.use({ serviceWorkers: 'allow' });

const next = (page) => page.getByRole('button', { name: 'Next question' }).click();

/** Fills in the question that is open, whatever its kind, with the first thing there is. */
async function fillOne(page) {
  const form = page.getByRole('form');
  await expect(form.getByRole('button', { name: 'Check answer' })).toBeVisible();
  for (let i = 0; i < 12 && !(await form.getByRole('button', { name: 'Check answer' }).isEnabled()); i++) {
    const free = form.locator(
      'input:not(:checked):not([disabled]), textarea, ' +
        'button:not([disabled]):not([aria-pressed="true"]):not([data-look="main"]):not([data-look="plain"])',
    );
    const one = free.nth(Math.min(i, (await free.count()) - 1));
    if (await one.evaluate((e) => e.tagName === 'TEXTAREA')) await one.fill('They helped each other.');
    else await one.click({ force: true });
  }
}

async function answerOne(page) {
  await fillOne(page);
  await page.getByRole('form').getByRole('button', { name: 'Check answer' }).click();
}

/** The service worker has taken the page over and fetched what the pages need. */
const ready = (page) =>
  page.evaluate(async () => {
    await navigator.serviceWorker.ready;
    if (!navigator.serviceWorker.controller)
      await new Promise((then) => navigator.serviceWorker.addEventListener('controllerchange', then, { once: true }));
  });
const keptHere = (page) =>
  page.evaluate(
    () =>
      new Promise((then) => {
        const ask = indexedDB.open('deep-current');
        ask.onsuccess = () => {
          const all = ask.result.transaction('outbox').objectStore('outbox').getAll();
          all.onsuccess = () => {
            ask.result.close();
            then(all.result);
          };
        };
      }),
  );
const fetchedAhead = (page, title) =>
  expect
    .poll(() =>
      page.evaluate(
        (title) =>
          new Promise((then) => {
            const ask = indexedDB.open('deep-current');
            ask.onsuccess = () => {
              const all = ask.result.transaction('kept').objectStore('kept').getAll();
              all.onsuccess = () => {
                ask.result.close();
                then(all.result.some((k) => k.value.title === title && k.value.pages));
              };
            };
          }),
        title,
      ),
    )
    .toBe(true);

test('without a network from the first page on: reload, read, answer, hand in, close, open; all of it is on the server once', async ({
  browser,
  page,
}) => {
  await teacher(page);
  await give(page, ['Mateo'], 'Ten to Six');
  const context = await browser.newContext();
  let child = await context.newPage();
  await reader(child);
  await ready(child);
  await fetchedAhead(child, 'Ten to Six');
  await context.setOffline(true);
  await child.reload();
  await expect(child.getByRole('heading', { name: 'Next for you' })).toBeVisible();
  await child.getByRole('link', { name: /Ten to Six/ }).click();
  await expect(child.getByRole('article', { name: /, page 1/ })).toBeVisible();
  await child.getByRole('navigation', { name: 'Pages' }).getByRole('button').last().click();
  await child.getByRole('button', { name: 'Go to questions' }).click();
  await expect(child.getByText('Question 1 of')).toBeVisible();
  const ticketId = /text\/([^/]+)/.exec(child.url())[1];
  await child.reload();
  const handIn = child.getByRole('button', { name: 'Hand in' });
  for (let i = 0; i < 12; i++) {
    await answerOne(child);
    await expect(child.getByText('Your answer is saved.')).toBeVisible();
    if (await handIn.isVisible()) break;
    await next(child);
  }
  await handIn.click();
  await expect(child.getByRole('heading', { name: 'Your answers are safe' })).toBeVisible();
  await axe(child, 'a text handed in without a network');
  await child.close();
  child = await context.newPage();
  await child.goto('/');
  await expect(child.getByText('not sent yet')).toBeVisible();
  const waiting = (await keptHere(child)).filter((k) => k.about === ticketId);
  const answers = waiting.filter((k) => k.kind === 'answer').length;
  expect(answers).toBeGreaterThan(4);
  expect(waiting.filter((k) => k.kind === 'hand-in')).toHaveLength(1);
  const together = child.waitForRequest(
    (r) => r.method() === 'POST' && r.url().endsWith(`/my/tickets/${ticketId}/answers`),
  );
  await context.setOffline(false);
  // What was kept travels together.
  expect((await together).postDataJSON().answers.length).toBe(answers);
  await expect.poll(async () => (await keptHere(child)).length, { timeout: 30_000 }).toBe(0);
  const ticket = await api(page, 'GET', `/tickets/${ticketId}`);
  expect(['ToMark', 'Released']).toContain(ticket.ticket.state);
  expect(ticket.answers.reduce((n, a) => n + a.tries.length, 0)).toBe(answers);
  expect(ticket.setAside).toEqual([]);
  await expect(child.getByText('not sent yet')).toBeHidden();
  await context.close();
});

test('two children share a tablet: what one has not sent is neither seen nor sent by the other, and goes when its child is back', async ({
  browser,
  page,
}) => {
  await teacher(page);
  await pictures(page, 'Jun', 'boat gull shell');
  await give(page, ['Mateo'], 'Salt Letters');
  const context = await browser.newContext();
  const tablet = await context.newPage();
  await reader(tablet);
  await tablet
    .getByRole('link', { name: /Salt Letters/ })
    .first()
    .click();
  await toQuestions(tablet);
  const ticketId = /text\/([^/]+)/.exec(tablet.url())[1];
  await ready(tablet);
  await context.setOffline(true);
  await answerOne(tablet);
  await expect(tablet.getByText('Your answer is saved.')).toBeVisible();
  await tablet.getByRole('link', { name: 'Stop for now' }).click();
  await tablet.getByRole('button', { name: 'Sign out' }).click();
  await expect(tablet.getByRole('textbox', { name: 'Class code' })).toBeVisible();
  await context.setOffline(false);
  const sent = [];
  tablet.on('request', (r) => {
    if (r.method() === 'PUT') sent.push(r.url());
  });
  await reader(tablet, { name: 'Jun' });
  // The same text may be offered to Jun to choose; what must not be there is the way to Mateo's ticket.
  await expect(tablet.getByRole('heading', { level: 1 })).toBeVisible();
  await expect(tablet.locator(`a[href*="${ticketId}"]`)).toHaveCount(0);
  await expect(tablet.getByText('safe here and will be sent')).toHaveCount(0);
  // The outbox looks every four seconds; the page has been through it once when its clock has moved on.
  await tablet.clock.install();
  await tablet.clock.fastForward(9000);
  expect(sent.filter((url) => url.includes(ticketId))).toEqual([]);
  expect((await keptHere(tablet)).filter((k) => k.about === ticketId && k.kind === 'answer')).toHaveLength(1);
  await tablet.getByRole('button', { name: 'Sign out' }).click();
  await reader(tablet);
  await expect.poll(async () => (await keptHere(tablet)).filter((k) => k.about === ticketId).length).toBe(0);
  expect((await api(page, 'GET', `/tickets/${ticketId}`)).answers.flatMap((a) => a.tries)).toHaveLength(1);
  await context.close();
});

test('a session that ends in mid-quiz keeps everything, asks to sign in again, and goes on where it was', async ({
  browser,
  page,
}) => {
  await teacher(page);
  await give(page, ['Mateo'], 'Kelp Garden Diary');
  const context = await browser.newContext();
  const child = await context.newPage();
  // The door knows the class that came through it.
  await throughDoor(child, '/read');
  await expect(child.getByRole('heading', { name: 'Next for you' })).toBeVisible();
  await child
    .getByRole('link', { name: /Kelp Garden Diary/ })
    .first()
    .click();
  await toQuestions(child);
  const at = child.url();
  const ticketId = /text\/([^/]+)/.exec(at)[1];
  // Whatever the page asks next may be what finds out: the answer is there before.
  await fillOne(child);
  await context.clearCookies();
  await child.getByRole('form').getByRole('button', { name: 'Check answer' }).click();
  const door = child.getByRole('dialog', { name: 'Sign in again, Mateo' });
  await expect(door).toBeVisible();
  await axe(child, 'a session that has ended');
  await door.getByRole('button', { name: 'Sign in' }).click();
  await child.getByRole('button', { name: 'Mateo' }).click();
  for (const picture of ['boat', 'gull', 'shell']) await child.getByRole('button', { name: picture }).click();
  await expect(child).toHaveURL(at);
  await expect
    .poll(async () => (await api(page, 'GET', `/tickets/${ticketId}`)).answers.flatMap((a) => a.tries).length)
    .toBe(1);
  await context.close();
});

test('what the server refuses for good is said to reader and teacher, and holds up nothing', async ({
  browser,
  page,
}) => {
  await teacher(page);
  const given = await give(page, ['Mateo'], 'Counting the Gulls');
  const context = await browser.newContext();
  const child = await context.newPage();
  await reader(child);
  await child
    .getByRole('link', { name: /Counting the Gulls/ })
    .first()
    .click();
  await toQuestions(child);
  const ticketId = /text\/([^/]+)/.exec(child.url())[1];
  await context.setOffline(true);
  await answerOne(child);
  await expect(child.getByText('Your answer is saved.')).toBeVisible();
  await api(page, 'POST', `/changes/${given.changeId}/undo`);
  await context.setOffline(false);
  await child.getByRole('link', { name: 'Stop for now' }).click();
  await expect(child.getByText('1 answer was not accepted: it was taken back.')).toBeVisible();
  await axe(child, 'what was not accepted');
  // How long a page was open may have come too late as well.
  const answersAside = async () =>
    (await api(page, 'GET', `/tickets/${ticketId}`)).setAside.filter((s) => s.kind === 'Answer').length;
  await expect.poll(answersAside).toBe(1);
  await page.goto(`${page.url().replace(/\/$/, '')}/tickets/${ticketId}`);
  await expect(page.getByText('1 answer was not accepted')).toBeVisible();
  await child.getByRole('button', { name: 'OK' }).click();
  await expect(child.getByText('not accepted')).toHaveCount(0);
  await context.close();
});

test('a teacher whose session ends goes on writing where they were, once they have signed in again', async ({
  page,
  context,
}) => {
  await teacher(page);
  await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Goals' }).click();
  const words = String(1000 + (Date.now() % 4000));
  await page.getByRole('button', { name: /goals of Mateo/ }).click();
  await page.getByLabel('Words goal for Mateo').fill(words);
  await context.clearCookies();
  await page.getByRole('button', { name: /^Set goals for 1/ }).click();
  const door = page.getByRole('dialog', { name: 'You were signed out' });
  await axe(page, 'signing in again');
  await door.getByLabel('User name').fill('marit');
  await door.getByLabel('Password').fill('low water at nine');
  await door.getByRole('button', { name: 'Sign in' }).click();
  await expect(door).toBeHidden();
  await expect(page.getByLabel('Words goal for Mateo')).toHaveValue(words);
  await page.reload();
  await expect(page.getByLabel('Words goal for Mateo')).toHaveValue(words);
  await page.getByRole('button', { name: /^Set goals for 1/ }).click();
  await expect(page.getByText('Set goals for 1 reader', { exact: false }).first()).toBeVisible();
});
