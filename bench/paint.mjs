// The report of a class's year in the browser: how long from the press to the picture in which its table stands.
// Run from e2e/, whose packages it uses, after reports.mjs has made the class and its year: node paint.mjs CLASS.
import { setTimeout as pause } from 'node:timers/promises';
import { session } from './session.mjs';
import { notePress, teacherPage } from './teacher-page.mjs';

const address = process.env.DEEPCURRENT_URL;
const median = (x) => [...x].sort((a, b) => a - b)[Math.floor(x.length / 2)];
const opens = 9;
const first = new Date(Date.now() - 290 * 86_400_000);
const iso = first.toISOString().slice(0, 10);
const typed = first.toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });

const s = session(address);
await s.signIn('marit', 'low water at nine');
const { id } = (await s.call('GET', '/api/session')).classes.find((c) => c.name === process.argv[2]);
const { sum } = await s.call('GET', `/api/classes/${id}/reports/readers?kind=Any&from=${iso}`);
const readings = sum.readings.toLocaleString('en-GB');

const { browser, page } = await teacherPage(address);

const shown = [];
for (let i = 0; i < opens; i++) {
  await page.goto(`${address}/class/${id}/reports?days=Day`);
  await page.getByRole('radiogroup', { name: 'Days of the report' }).getByRole('radio', { name: 'Any…' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('textbox', { name: 'First day' }).fill(typed);
  await dialog.getByRole('textbox', { name: 'First day' }).press('Tab');
  await pause(500);
  await notePress(page);
  await dialog.getByRole('button', { name: 'Show report' }).click();
  shown.push(
    await page.evaluate(
      (figure) =>
        new Promise((done) => {
          const look = () =>
            requestAnimationFrame(() =>
              document.querySelector('main table')?.textContent.includes(figure)
                ? requestAnimationFrame(() => done(performance.now() - window.pressed))
                : look(),
            );
          look();
        }),
      readings,
    ),
  );
}
await browser.close();
console.log(
  `| The same in the browser, from the press to the table | ${median(shown).toFixed(0)} ms at the median, ` +
    `${Math.max(...shown).toFixed(0)} ms at most | within 400 ms |`,
);
