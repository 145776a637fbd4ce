// Results of many readers, and reports of a class and of a whole school over a year.
// node reports.mjs ADDRESS make NAME READERS | ADDRESS results ASSIGNMENT FILE | ADDRESS year NAME FILE |
//   ADDRESS school FILE | ADDRESS files | report WHAT FILE SQL-MS
import { readFileSync, writeFileSync } from 'node:fs';
import { session } from './session.mjs';

const [first, mode, ...rest] = process.argv.slice(2);
const asks = 30;
const yearAgo = new Date(Date.now() - 290 * 86_400_000).toISOString().slice(0, 10);
const median = (x) => [...x].sort((a, b) => a - b)[Math.floor(x.length / 2)];

if (first === 'report') {
  const { times, size } = JSON.parse(readFileSync(rest[0], 'utf8'));
  const sql = Number(rest[1]) / times.length;
  const mean = times.reduce((a, b) => a + b, 0) / times.length;
  const said = {
    results: [`Results of ${size}`, 'at most 3 times'],
    year: [`Report by reader of ${size}`, 'within 150 ms at the median'],
    school: [`Report of a school, ${size}`, 'within 1 s'],
  }[mode];
  console.log(
    `| ${said[0]}, server time with loopback | median ${median(times).toFixed(0)} ms, ` +
      `${(mean / sql).toFixed(1)} times its SQL (${sql.toFixed(1)} ms) | ${said[1]} |`,
  );
} else {
  const s = session(first);
  await s.signIn(mode === 'school' ? 'ines' : 'marit', 'low water at nine');
  const { classes } = await s.call('GET', '/api/session');
  const idOf = (name) => classes.find((c) => c.name === name).id;
  const timed = async (path) => {
    await s.call('GET', path);
    const times = [];
    for (let i = 0; i < asks; i++) {
      const from = performance.now();
      await s.call('GET', path);
      times.push(performance.now() - from);
    }
    return times;
  };
  if (mode === 'make') {
    const { id } = await s.call('POST', '/api/classes', { name: rest[0] });
    for (let i = 0; i < Number(rest[1]); i++)
      await s.call('POST', `/api/classes/${id}/readers`, {
        givenName: `Reader${i}`,
        familyName: 'Report',
        grade: 4,
        level: 24 + (i % 24),
      });
  } else if (mode === 'results') {
    const path = `/api/assignments/${rest[0]}/results`;
    const { rows, questions } = await s.call('GET', path);
    writeFileSync(
      rest[1],
      JSON.stringify({ times: await timed(path), size: `${rows.length} readers by ${questions.length} questions` }),
    );
  } else if (mode === 'school') {
    const path = `/api/school/reports?kind=Any&from=${yearAgo}`;
    const { all, library } = await s.call('GET', path);
    const readings = library.reduce((sum, b) => sum + b.readings, 0);
    writeFileSync(
      rest[0],
      JSON.stringify({ times: await timed(path), size: `${all.readers} readers over ${readings} readings` }),
    );
  } else if (mode === 'year') {
    const path = `/api/classes/${idOf(rest[0])}/reports/readers?kind=Any&from=${yearAgo}`;
    const { rows, sum } = await s.call('GET', path);
    writeFileSync(
      rest[1],
      JSON.stringify({ times: await timed(path), size: `${rows.length} readers over ${sum.readings} readings` }),
    );
  } else {
    const open = classes.filter((c) => !c.closed).map((c) => c.id);
    const from = performance.now();
    await (await s.raw('GET', `/api/classes/${open[0]}/gradebook/Zip?also=${open.slice(1).join(',')}`)).arrayBuffer();
    const seconds = (performance.now() - from) / 1000;
    const csv = await (await s.raw('GET', `/api/classes/${idOf('School 1000')}/gradebook/Csv`)).text();
    console.log(
      `| Gradebook of ${open.length} classes as ZIP, one of ${csv.trim().split('\n').length - 1} lines | ` +
        `${seconds.toFixed(1)} s | within 5 s for 30 classes |`,
    );
    const began = performance.now();
    const pdf = await (await s.raw('GET', `/api/classes/${idOf('4 Tern')}/conference.pdf`)).arrayBuffer();
    console.log(
      `| Conference pages of 24 readers | ${((performance.now() - began) / 1000).toFixed(1)} s, ` +
        `${(pdf.byteLength / 1e6).toFixed(1)} MB | within 10 s, at most 5 MB |`,
    );
  }
}
