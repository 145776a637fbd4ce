// Rosters: taking in, listing, printing. node roster.mjs ADDRESS PID STEP [ZIP]
import { readFileSync } from 'node:fs';
import { session } from './session.mjs';

const [address, pid, step, zip] = process.argv.slice(2);
const s = session(address);
const peak = () => Math.round(Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))[1]) / 1024);
const row = (what, figure, wanted) => console.log(`| ${what} | ${figure} | ${wanted} |`);
const sleep = (ms) => new Promise((done) => setTimeout(done, ms));
const median = (list) => list.sort((a, b) => a - b)[Math.floor(list.length / 2)];

async function until(id, states, seen = () => false) {
  for (;;) {
    const view = await s.call('GET', `/api/school/imports/${id}`);
    if (states.includes(view.state) || seen(view)) return view;
    if (view.state === 'Failed') throw new Error(view.error);
    await sleep(150);
  }
}

async function upload() {
  await s.firstRun();
  return (await s.call('POST', '/api/school/imports?name=bench.zip', readFileSync(zip), 'application/octet-stream')).id;
}

if (step === 'import') {
  const from = performance.now();
  const id = await upload();
  const view = await until(id, ['Ready']);
  const previewed = (performance.now() - from) / 1000;
  await s.call('POST', `/api/school/imports/${id}/apply`, {});
  await until(id, ['Applied']);
  const all = (performance.now() - from) / 1000;
  const n = Object.fromEntries(view.preview.counts.map((c) => [c.kind, c.added]));
  row(
    `OneRoster zip of ${(n.Readers + n.Teachers).toLocaleString('en')} users, ${n.Classes.toLocaleString('en')} classes, ${(n.Enrolments + n.Teaching).toLocaleString('en')} enrolments`,
    `preview ${previewed.toFixed(1)} s, with applying ${all.toFixed(1)} s in all`,
    'within 60 s in all',
  );
  row('The same, memory of the server at its peak', `${peak()} MiB`, 'under 1,024 MiB');
  const again = performance.now();
  await s.call('POST', `/api/school/imports/${id}/preview`, { org: null, mends: [] }).catch(() => undefined);
  const second = await until(id, ['Ready']);
  row(
    'The same file again',
    `${second.preview.steps} changes, looked at in ${((performance.now() - again) / 1000).toFixed(1)} s`,
    'no change',
  );
  const back = performance.now();
  await s.call(
    'POST',
    `/api/changes/${view.changeId ?? second.changeId ?? (await s.call('GET', `/api/school/imports/${id}`)).changeId}/undo`,
  );
  row(
    'The whole import taken back',
    `${((performance.now() - back) / 1000).toFixed(1)} s, ${(await s.call('GET', '/api/school/classes')).length} classes left, server at ${peak()} MiB at its peak`,
    'all of it',
  );
} else if (step === 'fill') {
  // A school to be measured: imported, and left so.
  const id = await upload();
  await until(id, ['Ready']);
  await s.call('POST', `/api/school/imports/${id}/apply`, {});
  await until(id, ['Applied']);
} else if (step === 'half') {
  // Stops when writing has begun; whoever called kills the server then.
  const id = await upload();
  await until(id, ['Ready']);
  await s.call('POST', `/api/school/imports/${id}/apply`, {});
  await until(id, ['Applied'], (v) => v.stage === 'Writing' && v.progress > 0.6);
  console.log(id);
} else if (step === 'after') {
  await s.signIn('lead', 'low water at nine');
  const view = await until(zip, ['Applied']);
  row(
    'After the restart the import was begun again by itself',
    `${view.state}, ${view.preview.counts[0].added.toLocaleString('en')} readers`,
    'all or nothing',
  );
} else {
  await s.signIn('lead', 'low water at nine');
  const times = [];
  for (let i = 0; i < 12; i++) {
    const from = performance.now();
    await s.call('GET', '/api/school/readers');
    times.push(performance.now() - from);
  }
  row(
    'List of a school of 3,000 readers, from the server',
    `${median(times).toFixed(0)} ms at the median`,
    'within 150 ms',
  );
  const classes = await s.call('GET', '/api/school/classes');
  const room = classes.sort((a, b) => Math.abs(a.readers - 36) - Math.abs(b.readers - 36))[0];
  const cards = [];
  for (let i = 0; i < 5; i++) {
    const from = performance.now();
    await (await s.raw('GET', `/api/classes/${room.id}/print/Cards.pdf`)).arrayBuffer();
    cards.push((performance.now() - from) / 1000);
  }
  row(`PDF of ${room.readers} cards`, `${median(cards).toFixed(2)} s at the median`, 'within 1 s');
  const from = performance.now();
  const size = (await (await s.raw('GET', '/api/school/print/Cards.pdf')).arrayBuffer()).byteLength;
  row(
    'PDF of all 3,000 cards',
    `${((performance.now() - from) / 1000).toFixed(1)} s, ${(size / 1e6).toFixed(1)} MB, server at ${peak()} MiB at its peak`,
    'within 60 s, under 500 MiB',
  );
}
