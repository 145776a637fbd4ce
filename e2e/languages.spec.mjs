import { cut, places, schoolPlaces, smaller } from './cut.mjs';
import { expect, test } from './world.mjs';
import { api, axe, classOf, pictures, reader, signIn, teacher } from './people.mjs';

// Another language is chosen by the language at home; English made longer shows whether the pages hold one.

const longer = (page) => page.addInitScript(() => localStorage.setItem('dc-language', 'xa'));

test('a reader whose home speaks Spanish reads Spanish, and the device its own language after that', async ({
  page,
  browser,
}) => {
  await teacher(page);
  await pictures(page, 'Hana', 'crab key bell');
  const classId = classOf(page);
  const hana = (await api(page, 'GET', `/classes/${classId}/roster`)).members.find((m) => m.givenName === 'Hana');
  await api(page, 'PUT', `/classes/${classId}/readers/${hana.id}`, {
    givenName: hana.givenName,
    familyName: hana.familyName,
    grade: hana.grade,
    guardianMail: hana.guardianMail,
    supports: hana.supports,
    details: { HomeLanguage: 'Spanish' },
  });
  const child = await (await browser.newContext()).newPage();
  await child.goto('/read/TERN46');
  await child.getByRole('button', { name: 'Hana' }).click();
  for (const picture of ['crab', 'key', 'bell']) await child.getByRole('button', { name: picture }).click();
  await expect(child.getByRole('heading', { name: 'Mi lectura' })).toBeVisible();
  await expect(child.locator('html')).toHaveAttribute('lang', 'es');
  await expect(child.getByText(/^\d+ palabras? hasta ahora/)).toBeVisible();
  await axe(child, 'a reader’s page in Spanish');
  // They may read English all the same, here and now.
  await child.getByRole('button', { name: 'English' }).click();
  await expect(child.getByRole('heading', { name: 'My reading' })).toBeVisible();
  await child.getByRole('button', { name: 'Español' }).click();
  await expect(child.getByRole('heading', { name: 'Mi lectura' })).toBeVisible();
  // A word says what it means in the language of the home, and is heard in it.
  const [open] = (await api(child, 'GET', '/my/tickets')).filter((k) => k.kind === 'Text');
  const { words } = await api(child, 'GET', `/my/tickets/${open.id}`);
  const word = words.find((w) => w.atHome);
  await child.goto('/');
  await api(child, 'PUT', '/my/words/kept', {
    ticketId: open.id,
    text: word.text,
    kept: true,
    at: new Date().toISOString(),
  });
  await child.goto('/words');
  await expect(child.getByText(word.atHome)).toBeVisible();
  const asked = child.waitForRequest((r) => r.url().endsWith('/api/voice'));
  await child.getByRole('button', { name: `Escuchar «${word.atHome}»` }).click();
  expect((await asked).postDataJSON()).toEqual({ text: word.atHome, language: 'Spanish' });
  await axe(child, 'kept words in Spanish');
  await child.goto('/');
  // Signed out, the device speaks its own language again.
  await child.getByRole('button', { name: 'Salir' }).click();
  await expect(child.getByRole('heading', { name: 'Class code' })).toBeVisible();
  await expect(child.locator('html')).toHaveAttribute('lang', 'en-GB');
  await child.context().close();
});

/** Opens a place in English made longer, waits until it is there, and says what is cut off, at each of some widths. */
async function looked(page, path, widths = [page.viewportSize().width]) {
  const wide = (width) => page.setViewportSize({ ...page.viewportSize(), width });
  await wide(widths[0]);
  await page.goto(path);
  await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible();
  await expect(page.getByText(/ģjxé/).first()).toBeVisible();
  await page.waitForLoadState('networkidle');
  const faults = [];
  for (const width of widths) {
    await wide(width);
    // What goes by the width in a script has come by the second picture.
    await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));
    faults.push(...(await cut(page)).map((fault) => `${path}, ${width} wide: ${fault}`));
  }
  return faults;
}

test("nothing of a teacher's pages is cut off in a longer language, at a desk or on a tablet", async ({ page }) => {
  await teacher(page);
  const classId = classOf(page);
  await longer(page);
  const faults = [];
  const { readers } = await api(page, 'GET', `/classes/${classId}`);
  const { records } = await api(page, 'GET', `/readers/${readers[0].id}/records`);
  const [check] = await api(page, 'GET', `/classes/${classId}/checks`);
  const own = [
    `/readers/${readers[0].id}`,
    `/readers/${readers[0].id}/records/${records[0].id}`,
    `/assignments/checks/${check.id}`,
  ];
  for (const at of [...places, ...own]) faults.push(...(await looked(page, `/class/${classId}${at}`, [1280, 820])));
  expect(faults).toEqual([]);
});

test('nothing of the school’s pages is cut off in a longer language', async ({ page }) => {
  await signIn(page, 'ines');
  await expect(page.getByRole('navigation', { name: 'Places' })).toBeVisible();
  await longer(page);
  const faults = [];
  for (const at of schoolPlaces) faults.push(...(await looked(page, `/school${at}`)));
  expect(faults).toEqual([]);
});

test('no letter of a reader’s pages is below 18 pixels', async ({ page }) => {
  const faults = [];
  const look = async (what) => {
    await page.waitForLoadState('networkidle');
    faults.push(...(await smaller(page, 18)).map((fault) => `${what}: ${fault}`));
  };
  await page.setViewportSize({ width: 820, height: 1180 });
  await page.goto('/read/TERN46');
  await expect(page.getByRole('button', { name: 'Mateo' })).toBeVisible();
  await look('who are you');
  await reader(page);
  await look('home');
  const tickets = await api(page, 'GET', '/my/tickets');
  const [checks, next, done] = [
    await api(page, 'GET', '/my/checks'),
    tickets.find((k) => k.title === 'The Mill That Waits'),
    tickets.find((k) => k.kind === 'Text' && k.state === 'Released'),
  ];
  for (const at of [
    '/choose',
    '/words',
    '/mine',
    `/text/${next.id}`,
    `/text/${next.id}/quiz`,
    `/text/${done.id}/result`,
    `/check/${checks[0].id}`,
  ]) {
    await page.goto(at);
    await expect(page.getByRole('heading').first()).toBeVisible();
    await look(at);
  }
  expect(faults).toEqual([]);
});

test('nothing of a reader’s pages is cut off in a longer language', async ({ page }) => {
  await page.setViewportSize({ width: 820, height: 1180 });
  await longer(page);
  const faults = await looked(page, '/read/TERN46');
  await page.getByRole('button', { name: 'Mateo' }).click();
  faults.push(...(await cut(page)));
  for (const picture of ['boat', 'gull', 'shell']) await page.getByRole('button', { name: picture }).click();
  await expect(page.getByRole('heading', { level: 2 }).first()).toBeVisible();
  faults.push(...(await cut(page)));
  faults.push(...(await looked(page, '/choose')));
  expect(faults).toEqual([]);
});
