import { expect, test } from './world.mjs';
import { api, axe, classOf, teacher, throughForm, view } from './people.mjs';

test('an assistant who tries everything sees the class and comes no further', async ({ page }) => {
  await teacher(page, 'bram');
  await page
    .getByRole('button', { name: /4 Tern/ })
    .first()
    .click();
  await expect(page.getByRole('menuitem', { name: 'New class…' })).toHaveCount(0);
  await page.keyboard.press('Escape');
  await view(page, 'Roster');
  await expect(page.getByRole('button', { name: 'Add readers' })).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Print' })).toHaveCount(0);
  const classId = classOf(page);
  const tried = await page.evaluate(async (classId) => {
    const session = await (await fetch('/api/session')).json();
    const ask = async (method, path, body) =>
      (
        await fetch(`/api${path}`, {
          method,
          headers: { 'content-type': 'application/json', 'X-XSRF-TOKEN': session.token },
          body: body && JSON.stringify(body),
        })
      ).status;
    const one = (await (await fetch(`/api/classes/${classId}`)).json()).readers[0].id;
    return Promise.all([
      ask('POST', '/classes', { name: 'Mine' }),
      ask('GET', '/school/find?name='),
      ask('POST', `/classes/${classId}/enrol`, { readerIds: [one] }),
      ask('GET', `/readers/${one}/sign-in`),
      ask('GET', `/classes/${classId}/print/Cards.pdf`),
      ask('POST', `/classes/${classId}/readers/${one}/secret`, { kind: 'Pictures' }),
      ask('PUT', `/classes/${classId}/adults`, { adultId: session.id, role: 'Teacher' }),
      ask('GET', '/school/adults'),
      ask('POST', `/readers/${one}/levels`, { level: '30', system: 'fm', sd: 4, reason: 'x' }),
    ]);
  }, classId);
  expect(new Set(tried)).toEqual(new Set([404]));
  await page.goto(`/class/${classId}/readers/many`);
  await expect(page.getByText('Page not found').or(page.getByText('not yours to see')).first()).toBeVisible();
});

test('a reader of a colleague’s class is asked for, and comes when the colleague approves', async ({
  browser,
  page,
}) => {
  await teacher(page, 'marit');
  await view(page, 'Roster');
  await page.getByRole('button', { name: 'Add readers' }).click();
  await page.getByRole('menuitem', { name: /From school/ }).click();
  const teo = await (await browser.newContext()).newPage();
  await teacher(teo, 'teo');
  const one = (await api(teo, 'GET', `/classes/${classOf(teo)}`)).readers[0];
  await page.getByRole('searchbox', { name: 'Name' }).fill(`${one.givenName} ${one.familyName}`);
  await page.getByRole('list', { name: 'Found' }).getByRole('button', { name: one.familyName }).first().click();
  await expect(page.getByText('1 reader is in another class')).toBeVisible();
  await axe(page, 'asking for a reader');
  await page.getByRole('button', { name: 'Add 1 reader' }).click();
  await expect(page.getByText('You requested 1 reader from another class')).toBeVisible();
  await axe(page, 'a roster with a request');
  await view(teo, 'Roster');
  await expect(teo.getByText('Colleagues request 1 reader')).toBeVisible();
  await axe(teo, 'a request to answer');
  await teo.getByRole('button', { name: `Approve ${one.givenName} for both classes` }).click();
  await expect(teo.getByText('Colleagues request')).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole('row', { name: one.familyName })).toBeVisible();
  // Other walks find the class as it was.
  await api(page, 'POST', `/classes/${classOf(page)}/remove`, { readerIds: [one.id] });
  await teo.context().close();
});

test('one sees where one is signed in and ends it there; the lead sees the sign-ins', async ({ browser, page }) => {
  const other = await (await browser.newContext()).newPage();
  await throughForm(other, 'ines');
  await expect(other.getByRole('button', { name: /^You: / })).toBeVisible();
  await teacher(page, 'ines');
  await page.getByRole('button', { name: /^You: / }).click();
  await page.getByRole('menuitem', { name: 'Where you are signed in…' }).click();
  await expect(page.getByText('this device')).toBeVisible();
  await axe(page, 'where one is signed in');
  const ends = page.getByRole('button', { name: /^End session on/ });
  for (let left = await ends.count(); left > 0; left--) {
    await ends.first().click();
    await expect(ends).toHaveCount(left - 1);
  }
  await page.getByRole('button', { name: 'Close' }).last().click();
  await other.reload();
  await expect(other.getByLabel('User name')).toBeVisible();
  await page.goto('/school/log');
  await page.getByRole('radio', { name: 'Sign-ins' }).click();
  await expect(page.getByRole('row', { name: /signed in/ }).first()).toBeVisible();
  await axe(page, 'the sign-ins of a school');
  await other.context().close();
});
