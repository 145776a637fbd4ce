import axeCore from 'axe-core';
import { expect } from '@playwright/test';

export const password = 'low water at nine';

/** Signs in with the server and leaves the forms out: they have walks of their own, and take longer than all of it. */
async function enter(page, door, body) {
  const { token } = await (await page.request.get('/api/session')).json();
  const answer = await page.request.post(`/api/session/${door}`, { data: body, headers: { 'X-XSRF-TOKEN': token } });
  expect(answer.status(), `${door} signs in`).toBe(200);
}

export async function signIn(page, userName) {
  await enter(page, 'adult', { userName, password });
  await page.goto('/');
}

/** Signs in as people do, by the form. */
export async function throughForm(page, userName) {
  await page.goto('/');
  await page.getByLabel('User name').fill(userName);
  await page.getByLabel('Password').fill(password);
  await page.getByRole('button', { name: 'Sign in' }).click();
}

export async function teacher(page, userName = 'marit') {
  await signIn(page, userName);
  await expect(page.getByRole('navigation', { name: 'Places' })).toBeVisible();
}

/** A name that begins with some words, as they stand: titles have question marks. */
export const starting = (words) => new RegExp(`^${words.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}`);

/** Marks and releases what a class has waiting, so that a walk's own answers are all there is. */
export async function nothingToMark(page) {
  const classId = classOf(page);
  const queue = await api(page, 'GET', `/classes/${classId}/marking/queue`);
  const waiting = queue.flatMap((q) => q.answers);
  for (const { rubric, answers } of queue)
    for (const { ticketId, answerId, mark } of answers)
      if (mark === null)
        await api(page, 'PUT', `/tickets/${ticketId}/${answerId ? `marks/${answerId}` : 'reply/mark'}`, {
          points: rubric?.criteria.map((row) => row.marks.length - 1) ?? [2],
        });
  if (waiting.length > 0)
    await api(page, 'POST', `/classes/${classId}/tickets`, {
      ticketIds: [...new Set(waiting.map((a) => a.ticketId))],
      deed: 'Release',
    });
}

/** The views of the readers' place. */
export const view = async (page, name) => {
  await place(page, 'Readers');
  await page.getByRole('navigation', { name: 'Views of the readers' }).getByRole('link', { name, exact: true }).click();
};

/** Chooses one of a list that opens: by its words, or by its place from 0. */
export async function choose(list, option) {
  await list.click();
  const options = list.page().getByRole('listbox').getByRole('option');
  await (typeof option === 'number' ? options.nth(option) : options.filter({ hasText: option }).first()).click();
}

/** Puts text on the clipboard's way into the field that has the focus, as a paste from a spreadsheet would. */
export const paste = (page, text) =>
  page.evaluate((data) => {
    const clipboardData = new DataTransfer();
    clipboardData.setData('text/plain', data);
    document.activeElement.dispatchEvent(
      new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }),
    );
  }, text);

/** Goes to a place, and is there: what the place before showed is gone. */
export async function place(page, name) {
  const link = page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name, exact: true });
  await link.click();
  await expect(link).toHaveAttribute('aria-current', 'page');
}

/** A view of the assignments: Week, Who is where, All, Level checks. */
export async function assignments(page, name) {
  await place(page, 'Assignments');
  const link = page.getByRole('navigation', { name: 'Assignment views' }).getByRole('link', { name, exact: true });
  await link.click();
  await expect(link).toHaveAttribute('aria-current', 'page');
}

const known = { code: 'TERN46', name: 'Mateo', pictures: ['boat', 'gull', 'shell'] };

/** Some homes speak Spanish; the walks read English, which a reader can choose. */
const inEnglish = (page) =>
  page.addInitScript(() => localStorage.setItem('dc-language', localStorage.getItem('dc-language') ?? 'en'));

/** Signs a reader in through the door, from wherever the page is led to it. */
export async function throughDoor(page, path, who) {
  const { code, name, pictures } = { ...known, ...who };
  await inEnglish(page);
  await page.goto(path);
  await page.getByRole('textbox', { name: 'Class code' }).fill(code);
  await page.getByRole('button', { name: 'Continue' }).click();
  await page.getByRole('button', { name }).click();
  for (const picture of pictures) await page.getByRole('button', { name: picture }).click();
}

/** Signs a reader in without the door, and opens a page. */
export async function readerAt(page, path, who) {
  const { code, name, pictures } = { ...known, ...who };
  await inEnglish(page);
  const { tiles } = await (await page.request.get(`/api/session/class/${code}`)).json();
  const one = tiles.find((tile) => tile.name.startsWith(name));
  await enter(page, 'reader', { code, readerId: one.id, secret: pictures.join(' ') });
  await page.goto(path);
}

export async function reader(page, who) {
  await readerAt(page, '/read', who);
  await expect(page.getByRole('heading', { name: 'Next for you' })).toBeVisible();
}

/** From anywhere in a text to its questions, by the last knot of the lead line. */
export async function toQuestions(page) {
  await page.getByRole('navigation', { name: 'Pages' }).getByRole('button').last().click();
  await page.getByRole('button', { name: 'Go to questions' }).click();
  await expect(page.getByRole('radiogroup')).toBeVisible();
}

export async function axe(page, what) {
  // A row half under the tray, or half under the head of its table, is no small target: the tray stands still, lists
  // are at their top.
  await page.evaluate(() => {
    const tray = document.querySelector('[aria-label="Tray"]');
    if (tray) tray.style.position = 'static';
    for (const list of document.querySelectorAll('[role="region"][tabindex="0"]')) list.scrollTop = 0;
  });
  // What is fading in, or out, has no colour of its own: a message is there or it is gone.
  await page.addStyleTag({
    content: '[data-sonner-toast][data-visible="true"] { opacity: 1 !important; transition: none !important }',
  });
  // What moves is brought to its end, not waited for: a page at the back may never get there.
  await page.evaluate(() =>
    document
      .getAnimations()
      .filter((a) => a.effect?.getTiming().iterations !== Infinity)
      .forEach((a) => a.finish()),
  );
  // Put into a page once: places change without it being loaded anew.
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axeCore.source);
  const desk = page.viewportSize().width >= 1000;
  const violations = await page.evaluate(
    async ([values, contrast]) =>
      (
        await window.axe.run(document, {
          runOnly: { type: 'tag', values },
          rules: { 'color-contrast': { enabled: contrast } },
          resultTypes: ['violations'],
          preload: false,
        })
      ).violations.map((v) => ({ id: v.id, nodes: v.nodes.map((n) => n.target.join(' ')) })),
    // Colours are the same at every width, and take longer than all else together.
    [['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'], desk],
  );
  const faults = violations.map((v) => `${v.id}: ${v.nodes.slice(0, 3).join(' | ')}`);
  expect(faults, `axe on ${what}`).toEqual([]);
}

/** Asks the server as whoever is signed in on a page, for what a walk needs before it begins. */
export const api = (page, method, path, body) =>
  page.evaluate(
    async ([method, path, body]) => {
      const session = await (await fetch('/api/session')).json();
      const response = await fetch(`/api${path}`, {
        method,
        headers: { 'content-type': 'application/json', 'X-XSRF-TOKEN': session.token },
        body: body === null ? undefined : JSON.stringify(body),
      });
      if (!response.ok) throw new Error(`${method} ${path}: ${response.status} ${await response.text()}`);
      const text = await response.text();
      return text ? JSON.parse(text) : null;
    },
    [method, path, body ?? null],
  );

/** The class the teacher's page shows. */
export const classOf = (page) => /class\/([^/?]+)/.exec(page.url())[1];

/** Gives readers of the teacher's class a text; returns the assignment. */
export async function give(page, givenNames, title) {
  const classId = classOf(page);
  const readers = (await api(page, 'GET', `/classes/${classId}`)).readers.filter((r) =>
    givenNames.includes(r.givenName),
  );
  const found = (await api(page, 'GET', `/library?classId=${classId}&q=${encodeURIComponent(title)}`)).rows.find(
    (r) => r.title === title,
  );
  return api(page, 'POST', `/classes/${classId}/assignments`, {
    readerIds: readers.map((r) => r.id),
    textId: found.id,
    attempts: 2,
    skipGiven: false,
  });
}

/** Gives a reader three pictures that a walk knows. */
export async function pictures(page, givenName, secret) {
  const classId = classOf(page);
  const one = (await api(page, 'GET', `/classes/${classId}`)).readers.find((r) => r.givenName === givenName);
  await api(page, 'POST', `/classes/${classId}/readers/${one.id}/secret`, { kind: 'Pictures', secret });
}

/** A promise that somebody else keeps. */
function later() {
  let resolve;
  const promise = new Promise((done) => (resolve = done));
  return { promise, resolve };
}

/** Holds back what a page asks of an address until it is let through: `asked` comes true with the first of them. */
export async function held(page, address, method) {
  const [gate, first] = [later(), later()];
  await page.route(address, async (route) => {
    if (route.request().method() !== method) return route.fallback();
    first.resolve();
    await gate.promise;
    return route.fallback();
  });
  return {
    asked: first.promise,
    open: async () => {
      gate.resolve();
      await page.unroute(address);
    },
  };
}
