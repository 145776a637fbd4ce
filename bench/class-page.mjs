// The page of a class of 36 readers: time at the server, and how much of it is SQL.
import { readFileSync, writeFileSync } from 'node:fs';

const [first, mode, file] = process.argv.slice(2);
const requests = 300;
let cookies = {};
let token = '';

async function call(method, path, body) {
  const response = await fetch(first + path, {
    method,
    headers: {
      cookie: Object.entries(cookies)
        .map(([k, v]) => `${k}=${v}`)
        .join('; '),
      'X-XSRF-TOKEN': token,
      ...(body ? { 'content-type': 'application/json' } : {}),
    },
    body: body && JSON.stringify(body),
  });
  for (const c of response.headers.getSetCookie()) {
    const [pair] = c.split(';');
    const at = pair.indexOf('=');
    cookies[pair.slice(0, at)] = pair.slice(at + 1);
  }
  const text = await response.text();
  if (!response.ok) throw new Error(`${path}: ${response.status} ${text}`);
  return text ? JSON.parse(text) : null;
}

async function signIn() {
  token = (await call('GET', '/api/session')).token;
  await call('POST', '/api/session/adult', { userName: 'marit', password: 'low water at nine' });
  const session = await call('GET', '/api/session');
  token = session.token;
  return session.classes.find((c) => c.name === '4 Tern');
}

if (first === 'report') {
  const [, , , path, sqlMs] = process.argv;
  const { median, total } = JSON.parse(readFileSync(path, 'utf8'));
  const sql = Number(sqlMs) / requests,
    mean = total / requests;
  console.log(
    `| Class page of 36 readers, server time with loopback | median ${median.toFixed(1)} ms, mean ${mean.toFixed(1)} ms | under 50 ms at the median |`,
  );
  console.log(
    `| Class page, server time to SQL time | ${(mean / sql).toFixed(1)} times (SQL ${sql.toFixed(1)} ms) | at most 3 times |`,
  );
} else {
  const room = await signIn();
  const path = `/api/classes/${room.id}`;
  if (mode === 'reset') {
    const have = (await call('GET', path)).readers.length;
    for (let i = have; i < 36; i++)
      await call('POST', `${path}/readers`, { givenName: `Guest${i}`, familyName: '', grade: 4, level: 25 + i });
    for (let i = 0; i < 100; i++) await call('GET', path);
  } else {
    const times = [];
    for (let i = 0; i < requests; i++) {
      const from = performance.now();
      await call('GET', path);
      times.push(performance.now() - from);
    }
    const total = times.reduce((a, b) => a + b, 0);
    writeFileSync(file, JSON.stringify({ median: times.sort((a, b) => a - b)[requests / 2], total }));
  }
}
