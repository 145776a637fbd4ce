import { expect, test } from './world.mjs';
import { api, axe, classOf, give, reader, readerAt, signIn, teacher, toQuestions } from './people.mjs';

// What goes wrong on a reader's side: each its sentence, and nothing lost.

const mill = 'The Mill That Waits';

const another = async (browser, prepare) => {
  const context = await browser.newContext();
  const page = await context.newPage();
  await prepare?.(page);
  await reader(page);
  return page;
};

const ticketOf = async (page, title) =>
  (await api(page, 'GET', '/my/tickets')).find((k) => k.title === title && k.state !== 'Released');

/** To the quiz of a text, from a reader's home. */
async function toQuiz(page, title) {
  const { id } = await ticketOf(page, title);
  await page.goto(`/text/${id}/quiz`);
  await expect(page.getByRole('form').getByRole('radio').first()).toBeVisible();
  return id;
}

async function choose(page, place) {
  await page.getByRole('radio').nth(place).check();
  await page.getByRole('button', { name: 'Check answer' }).click();
}

test('a tablet without a sound says that it cannot speak, and the reading goes on', async ({ browser }) => {
  const page = await another(browser, (p) =>
    p.addInitScript(() => {
      HTMLMediaElement.prototype.play = () => Promise.reject(new DOMException('no sound', 'NotSupportedError'));
      delete window.speechSynthesis;
    }),
  );
  await page.getByRole('link', { name: /^(Start|Continue) reading/ }).click();
  await page.getByRole('button', { name: 'Listen' }).click();
  await expect(page.getByText('The voice cannot speak now.')).toBeVisible();
  await page.getByRole('button', { name: 'Next page' }).click();
  await expect(page.getByRole('article', { name: /page 2/ })).toBeVisible();
});

test('a picture whose file does not come leaves a page that can be used', async ({ browser, page }) => {
  await signIn(page, 'teo');
  await expect(page.getByRole('navigation', { name: 'Places' })).toBeVisible();
  const room = await api(page, 'GET', `/classes/${classOf(page)}`);
  const [one] = room.readers;
  const { secret } = await api(page, 'GET', `/readers/${one.id}/sign-in`);
  // Whatever else there is for this reader, there is something.
  const { rows } = await api(page, 'GET', `/library?classId=${room.id}`);
  await give(page, [one.givenName], rows.find((x) => x.questions > 0).title);
  const child = await (await browser.newContext({ viewport: { width: 820, height: 1180 } })).newPage();
  await child.route('**/picture', (route) => route.fulfill({ status: 404 }));
  await readerAt(child, '/read', { code: room.code, name: one.givenName, pictures: secret.split(' ') });
  await expect(child.getByText(`Hello, ${one.givenName}`)).toBeVisible();
  await expect(child.locator('img')).toHaveCount(0);
  await axe(child, 'a home without its pictures');
  await child.getByRole('link', { name: /^(Read|Start): / }).click();
  await expect(child).toHaveURL(/\/(text|do)\//);
  await expect(child.getByRole('link', { name: /^(Stop for now|My reading)$/ })).toBeVisible();
});

test('on a full device an answer waits in the page, which says so, and is sent once', async ({ browser }) => {
  const page = await another(browser, (p) =>
    p.addInitScript(() => {
      const put = IDBObjectStore.prototype.put;
      window.full = false;
      IDBObjectStore.prototype.put = function (...given) {
        if (window.full) throw new DOMException('full', 'QuotaExceededError');
        return put.apply(this, given);
      };
    }),
  );
  const id = await toQuiz(page, mill);
  await page.evaluate(() => (window.full = true));
  await page.context().setOffline(true);
  await choose(page, 0);
  await expect(page.getByText('This device is full. Keep this page open until there is internet.')).toBeVisible();
  await axe(page, 'a full device');
  // Whoever leaves all the same is asked first.
  let held = false;
  page.once('dialog', async (dialog) => {
    held = dialog.type() === 'beforeunload';
    await dialog.dismiss();
  });
  await page.close({ runBeforeUnload: true });
  await expect.poll(() => held).toBe(true);
  await page.context().setOffline(false);
  await expect(page.getByText('This device is full.')).toBeHidden();
  await expect.poll(async () => (await ticketOf(page, mill)).answered).toBe(1);
  expect((await api(page, 'GET', `/my/tickets/${id}`)).questions.flatMap((q) => q.given ?? []).length).toBeLessThan(3);
});

test('two tabs and two devices at once: each answer counts once, and the first stands', async ({ browser, page }) => {
  await teacher(page);
  await give(page, ['Mateo'], 'Counting the Gulls');
  const one = await another(browser);
  const id = await toQuiz(one, 'Counting the Gulls');
  const tab = await one.context().newPage();
  await tab.goto(one.url());
  const other = await another(browser);
  await other.goto(one.url());
  for (const p of [tab, other]) await expect(p.getByRole('form').getByRole('radio').first()).toBeVisible();
  await choose(one, 0);
  await expect(one.getByRole('button', { name: 'Check answer' })).toBeHidden();
  await choose(tab, 1);
  await choose(other, 2);
  await expect
    .poll(async () => (await api(page, 'GET', `/tickets/${id}`)).answers.flatMap((a) => a.tries).length)
    .toBeGreaterThan(0);
  const tries = (await api(page, 'GET', `/tickets/${id}`)).answers.flatMap((a) => a.tries);
  expect(tries.length).toBeLessThanOrEqual(2);
  expect(tries[0].picks).toEqual([0]);
  // What was too much is said where it was tried, and the next question is there for all.
  await other.reload();
  await expect(other.getByRole('form').getByRole('heading')).toBeVisible();
});

test('a clock that is wrong by days dates nothing wrongly', async ({ browser, page }) => {
  await teacher(page);
  const given = await give(page, ['Mateo'], 'Night at the Bakery');
  expect(given.tickets).toBe(1);
  const child = await another(browser, (p) => p.clock.setSystemTime(Date.now() + 3 * 86_400_000));
  const id = await toQuiz(child, 'Night at the Bakery');
  await choose(child, 0);
  await expect.poll(async () => (await ticketOf(child, 'Night at the Bakery')).answered).toBe(1);

  const { ticket } = await api(page, 'GET', `/tickets/${id}`);
  expect(Math.abs(Date.parse(ticket.openedAt) - Date.now())).toBeLessThan(3_600_000);
});

test('a text that is taken back while it is read is said to be, and leads home', async ({ browser, page }) => {
  await teacher(page);
  const given = await give(page, ['Mateo'], 'Two Kinds of Tide');
  const child = await another(browser);
  const { id } = await ticketOf(child, 'Two Kinds of Tide');
  await child.goto(`/text/${id}`);
  await expect(child.getByRole('article', { name: /page 1/ })).toBeVisible();
  await api(page, 'POST', `/changes/${given.changeId}/undo`);
  await toQuestions(child);
  await choose(child, 0);
  await expect(child.getByText('Your teacher took this back. What you did is safe.')).toBeVisible();
  await axe(child, 'a text that was taken back');
  await child.goto('/');
  await expect(child.getByRole('heading', { name: 'My reading' })).toBeVisible();
  await expect(child.getByText('1 answer was not accepted: it was taken back.')).toBeVisible();
  await expect(child.getByRole('link', { name: /Two Kinds of Tide/ })).toHaveCount(0);
});
