// Giving much at once, and who is where. node plan.mjs ADDRESS give | ADDRESS places FILE | report FILE SQL-MS
import { readFileSync, writeFileSync } from 'node:fs';
import { session } from './session.mjs';

const [first, mode, file] = process.argv.slice(2);
const asks = 60;
const median = (x) => [...x].sort((a, b) => a - b)[Math.floor(x.length / 2)];

async function roomOf(s, name, readers) {
  const { id } = await s.call('POST', '/api/classes', { name });
  for (let i = 0; i < readers; i++)
    await s.call('POST', `/api/classes/${id}/readers`, {
      givenName: `Reader${i}`,
      familyName: 'Plan',
      grade: 4,
      level: 24 + (i % 24),
    });
  const readerIds = (await s.call('GET', `/api/classes/${id}`)).readers.map((r) => r.id);
  return { path: `/api/classes/${id}`, readerIds };
}

async function textsOf(s) {
  const ids = [];
  for (let after = ''; ids.length < 60;) {
    const page = await s.call('GET', `/api/library?q=${after}`);
    ids.push(...page.rows.filter((x) => x.questions > 0).map((x) => x.id));
    after = page.next ? `&after=${page.next}` : '';
    if (!after) break;
  }
  return ids;
}

const given = (readerIds, textIds) => ({
  readerIds,
  attempts: 2,
  skipGiven: false,
  texts: textIds.map((textId) => ({ id: crypto.randomUUID(), textId })),
});

if (first === 'report') {
  const { times } = JSON.parse(readFileSync(mode, 'utf8'));
  const mean = times.reduce((a, b) => a + b, 0) / times.length;
  const sql = Number(file) / times.length;
  console.log(
    `| Who is where, 36 readers by 40 tasks, server time with loopback | median ${median(times).toFixed(0)} ms | no figure set |`,
  );
  console.log(
    `| The same, server time to SQL time | ${(mean / sql).toFixed(1)} times (SQL ${sql.toFixed(1)} ms) | at most 3 times |`,
  );
} else {
  const s = session(first);
  await s.signIn('marit', 'low water at nine');
  if (mode === 'give') {
    const texts = await textsOf(s);
    const room = await roomOf(s, 'Plan 36', 36);
    for (const part of [texts.slice(0, 20), texts.slice(20, 40)])
      await s.call('POST', `${room.path}/assignments`, given(room.readerIds, part));
    for (let i = 0; i < 40; i++) await s.call('GET', `${room.path}/places`);
    const large = await roomOf(s, 'Plan 500', 500);
    const from = performance.now();
    const made = await s.call('POST', `${large.path}/assignments`, given(large.readerIds, texts.slice(0, 20)));
    const seconds = (performance.now() - from) / 1000;
    console.log(
      `| Giving 20 tasks to 500 readers, one transaction, ${made.tickets} tickets | ${seconds.toFixed(2)} s | within 2 s |`,
    );
  } else {
    const room = (await s.call('GET', '/api/session')).classes.find((c) => c.name === 'Plan 36');
    const times = [];
    for (let i = 0; i < asks; i++) {
      const from = performance.now();
      await s.call('GET', `/api/classes/${room.id}/places`);
      times.push(performance.now() - from);
    }
    writeFileSync(file, JSON.stringify({ times }));
  }
}
