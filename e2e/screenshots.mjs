// Makes docs/screenshots from the demo data of a running application: DEEPCURRENT_URL=… node screenshots.mjs
import { chromium } from '@playwright/test';
import { mkdirSync } from 'node:fs';
import config from './playwright.config.mjs';
import {
  api,
  assignments,
  choose,
  classOf,
  paste,
  place,
  reader,
  signIn,
  teacher,
  throughDoor,
  toQuestions,
  view,
} from './people.mjs';

const out = new URL('../docs/screenshots/', import.meta.url).pathname;
mkdirSync(out, { recursive: true });
const browser = await chromium.launch(config.use.launchOptions);
const open = () =>
  browser.newPage({ baseURL: process.env.DEEPCURRENT_URL ?? 'http://127.0.0.1:8350', viewport: config.use.viewport });
const settle = (page) => page.waitForLoadState('networkidle');
const shot = async (page, name) => {
  await settle(page);
  await page.evaluate(() =>
    Promise.all([...document.fonts].filter((f) => f.status === 'loading').map((f) => f.loaded)),
  );
  await page.screenshot({ path: `${out}${name}.png` });
};

const desk = await open();
await teacher(desk);
await desk.getByRole('button', { name: /^Mateo Rivas/ }).focus();
await shot(desk, 'chart');
await place(desk, 'Texts');
await desk.getByRole('checkbox', { name: 'Select How a Barometer Listens' }).click();
await place(desk, 'Readers');
for (const name of ['Mateo', 'Jun', 'Owen', 'Amara', 'Ciara'])
  await desk.getByRole('checkbox', { name: `Select ${name}`, exact: true }).click();
await desk.getByRole('button', { name: 'Leila Haddad' }).click();
await desk.getByText('Depth and reach').waitFor();
await shot(desk, 'readers');
await desk
  .getByRole('region', { name: 'Tray' })
  .getByRole('button', { name: /^Assign to/ })
  .click();
await desk.getByRole('dialog').getByRole('row', { name: /Mateo/ }).waitFor();
await desk.getByRole('dialog').evaluate((d) => d.scrollTo(0, d.scrollHeight));
await shot(desk, 'assign');
await desk.keyboard.press('Escape');
await place(desk, 'Texts');
await desk.getByRole('link', { name: 'Salt Letters' }).waitFor();
await shot(desk, 'texts');
await place(desk, 'Assignments');
await desk.getByRole('button', { name: /^The Mill That Waits/ }).click();
await desk.getByRole('heading', { name: 'Who has which version' }).waitFor();
await shot(desk, 'week');
await desk.keyboard.press('Escape');
await assignments(desk, 'Who is where');
await desk.getByRole('button', { name: /not opened/ }).click();
await desk
  .getByRole('button', { name: /Mina, / })
  .first()
  .click();
await desk.getByRole('heading', { name: 'Answers so far' }).waitFor();
await desk.getByText('right at once').or(desk.getByText('No answers yet.')).first().waitFor();
await shot(desk, 'who-is-where');
await desk.keyboard.press('Escape');
await assignments(desk, 'All');
const classId = classOf(desk);
const { rows } = await api(desk, 'GET', `/classes/${classId}/assignments`);
const [most] = rows.filter((a) => a.kind === 'Text').sort((a, b) => b.done - a.done);
await desk.goto(`/class/${classId}/assignments/${most.id}/results`);
await desk.getByRole('heading', { name: 'What next' }).waitFor();
await shot(desk, 'results');
await place(desk, 'Goals');
await desk
  .getByRole('button', { name: /^Set goals for/ })
  .first()
  .click();
await shot(desk, 'goals');
await desk.getByRole('link', { name: 'Reports', exact: true }).click();
await desk.getByRole('radio', { name: 'Term' }).click();
await desk.getByRole('button', { name: 'Farah', exact: true }).click();
await desk
  .getByRole('complementary', { name: /^Farah/ })
  .getByRole('listitem')
  .first()
  .waitFor();
await shot(desk, 'reports');
await place(desk, 'Groups');
await desk.getByRole('button', { name: 'Propose groups' }).click();
await desk.getByText(/Best under these rules|of the best/).waitFor();
await shot(desk, 'groups');
await desk.getByRole('navigation', { name: 'Views of groups' }).getByRole('link', { name: 'Meetings' }).click();
await desk.getByRole('button', { name: 'Later week' }).click();
await desk.getByRole('button', { name: 'Plan this week…' }).click();
await desk.getByRole('button', { name: /^Save \d+ meetings$/ }).click();
await desk
  .getByRole('table')
  .getByRole('button', { name: /^Change/ })
  .first()
  .waitFor();
await desk.getByRole('table').getByRole('link').first().click();
await desk.getByRole('button', { name: 'Begin meeting' }).click();
const seen = desk.getByRole('region', { name: 'Readers' }).getByRole('listitem');
for (const [i, mark] of ['alone', 'with help', 'not yet'].entries())
  await seen.nth(i).getByRole('button', { name: mark, exact: true }).click();
await desk.getByText(/^Next point/).waitFor();
await desk.getByRole('button', { name: 'Clear tray' }).click();
for (const note of await desk.getByRole('button', { name: 'Close toast' }).all()) await note.click();
await shot(desk, 'meeting');
await desk.getByRole('link', { name: /^Signals/ }).click();
await desk.getByRole('region', { name: 'Kind' }).waitFor();
await shot(desk, 'signals');

await view(desk, 'Roster');
await desk.getByRole('button', { name: 'Add readers' }).click();
await desk.getByRole('menuitem', { name: /^Many/ }).click();
await desk.getByRole('textbox', { name: 'Given name, row 1', exact: true }).focus();
await paste(
  desk,
  'Solveig\tEide\t4\t31 fm\nAmir\tRahimi\tYear 5\tgrade 4\nMateo\tRivas\t4\t\n' +
    'Nils\tDahl\t2\t20 fm\nEun-ji\tPark\tforty\tdeep\nBruna\tAlves\t4\t34.5 fm',
);
await desk.getByText('2 to fix').waitFor();
await desk.getByRole('button', { name: 'Clear', exact: true }).click();

await place(desk, 'Assignments');
await desk.getByRole('link', { name: 'Level checks' }).click();
await desk.getByRole('link', { name: 'Winter window' }).click();
await desk.getByText(/readers finished/).waitFor();
await shot(desk, 'check');
await place(desk, 'Readers');
await desk
  .getByRole('button', { name: /^Leila/ })
  .first()
  .click();
await desk.getByRole('link', { name: 'Open profile' }).click();
await desk.getByRole('table').last().waitFor();
await desk
  .getByRole('region', { name: 'Reading aloud' })
  .last()
  .getByRole('rowheader')
  .getByRole('link')
  .first()
  .click();
await desk.getByRole('heading', { name: 'Running record' }).waitFor();
await shot(desk, 'record');

const heron = (await api(desk, 'GET', '/session')).classes.find((c) => c.name === '6 Heron');
await desk.goto(`/class/${heron.id}/marking`);
await desk.getByRole('heading', { name: /^The bridge is closed/ }).waitFor();
await desk.keyboard.press('2');
await shot(desk, 'marking');

const child = await open();
await reader(child);
await shot(child, 'home');
await child.getByRole('link', { name: /Mill That Waits/ }).click();
await child.getByRole('article', { name: /, page 1/ }).waitFor();
await child.getByRole('navigation', { name: 'Pages' }).getByRole('button', { name: 'Page 2' }).click();
const word = child.getByRole('button', { name: /what does it mean/ });
if (await word.count()) await word.first().click();
await shot(child, 'reading');
await toQuestions(child);
await child.getByRole('radio').nth(1).check();
await child
  .getByRole('button', { name: /^Cover/ })
  .nth(2)
  .click();
await shot(child, 'quiz');
const plover = await open();
await signIn(plover, 'teo');
await plover.getByRole('navigation', { name: 'Places' }).waitFor();
const room = await api(plover, 'GET', `/classes/${classOf(plover)}`);
const [youngest] = room.readers;
const { secret } = await api(plover, 'GET', `/readers/${youngest.id}/sign-in`);
const tablet = await open();
await tablet.setViewportSize({ width: 820, height: 1180 });
await throughDoor(tablet, '/read', { code: room.code, name: youngest.givenName, pictures: secret.split(' ') });
await tablet.getByRole('heading', { name: /^Hello/ }).waitFor();
await shot(tablet, 'home-young');
await browser.close();
