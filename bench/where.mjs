// Who is where in the browser: how long from the click to the table, and from a change elsewhere to its cell.
// Run from e2e/, whose packages it uses, after plan.mjs has given a class of 36 its 40 tasks.
import { setTimeout as pause } from 'node:timers/promises';
import { session } from './session.mjs';
import { notePress, teacherPage } from './teacher-page.mjs';

const address = process.env.DEEPCURRENT_URL;
const median = (x) => [...x].sort((a, b) => a - b)[Math.floor(x.length / 2)];
const opens = 9,
  changes = 9;

const s = session(address);
await s.signIn('marit', 'low water at nine');
const { id } = (await s.call('GET', '/api/session')).classes.find((c) => c.name === 'Plan 36');

const { browser, page } = await teacherPage(address);

/** From a press on the view to the second picture in which its table stands. A pointer is there a little before. */
const reach = 150;
const open = async () => {
  const link = page.getByRole('link', { name: 'Who is where' });
  await link.hover();
  await pause(reach);
  await notePress(page);
  await page.mouse.down();
  await page.mouse.up();
  return page.evaluate(
    () =>
      new Promise((done) => {
        const look = () =>
          requestAnimationFrame(() =>
            location.pathname.endsWith('/where') &&
            document.querySelector('main table tbody td') &&
            / taken back/.test(document.querySelector('main').textContent)
              ? requestAnimationFrame(() => done(performance.now() - window.pressed))
              : look(),
          );
        look();
      }),
  );
};
const shown = [];
for (let i = 0; i < opens; i++) {
  await page.goto(`${address}/class/${id}/assignments/all`);
  await page.getByRole('navigation', { name: 'Assignment views' }).waitFor();
  await pause(1500);
  shown.push(await open());
}

/** From the answer to a change that somebody else makes to its being said in the page's head. */
const places = async () => (await s.call('GET', `/api/classes/${id}/places`)).places;
const back = (await places()).filter((k) => k.state === 'TakenBack').map((k) => k.id);
if (back.length > 0) await s.call('POST', `/api/classes/${id}/tickets`, { ticketIds: back, deed: 'Restore' });
const ticketIds = [(await places()).find((k) => k.state === 'Waiting').id];
const seen = [];
for (let i = 0; i < changes; i++) {
  const deed = i % 2 === 0 ? 'TakeBack' : 'Restore';
  const change = page.evaluate(
    (word) =>
      new Promise((done) => {
        const look = () =>
          document.querySelector('main').textContent.includes(word) ? done(Date.now()) : requestAnimationFrame(look);
        look();
      }),
    deed === 'TakeBack' ? '1 taken back' : '0 taken back',
  );
  await s.call('POST', `/api/classes/${id}/tickets`, { ticketIds, deed });
  const from = Date.now();
  seen.push(Math.max(0, (await change) - from));
  await pause(3000);
}
await browser.close();

console.log(
  `| The same in the browser, from the press to the table, the pointer there 150 ms before | ${median(shown).toFixed(0)} ms at the median, ` +
    `${Math.max(...shown).toFixed(0)} ms at most | within 300 ms |`,
);
console.log(
  `| A change elsewhere, until who is where shows it | ${median(seen).toFixed(0)} ms at the median, ` +
    `${Math.max(...seen).toFixed(0)} ms at most | within 1 s |`,
);
