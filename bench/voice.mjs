// How soon the voice speaks, and how long a library takes. node voice.mjs ADDRESS
import { session } from './session.mjs';

const s = session(process.argv[2]);
await s.signIn('marit', 'low water at nine');
const median = (x) => [...x].sort((a, b) => a - b)[Math.floor(x.length / 2)];
const took = async (what) => {
  const from = performance.now();
  await what();
  return performance.now() - from;
};

/** From the touch until there is sound to play: the words' times, then the sound. */
const heard = (text) =>
  took(async () => {
    const { key } = await s.call('POST', '/api/voice', { text, language: 'English' });
    await (await s.raw('GET', `/api/voice/${key}`)).arrayBuffer();
  });

const pages = [];
const { rows } = await s.call('GET', '/api/library');
for (const row of rows.slice(0, 12)) {
  const text = await s.call('GET', `/api/texts/${row.id}`);
  for (const v of text.versions) pages.push(...v.pages.map((p) => p.join(' ')));
}
const said = pages.filter((p) => p.length > 0 && p.length < 6000).slice(0, 60);
const mark = Date.now().toString(36);
const first = [];
for (const page of said) first.push(await heard(`${page} ${mark}`));
const again = [];
for (const page of said) again.push(await heard(`${page} ${mark}`));
const line = (name, times, wanted) =>
  console.log(
    `| ${name} | ${Math.round(median(times))} ms at the median, ${Math.round(Math.max(...times))} ms at most | ${wanted} |`,
  );
line(`A page that has been prepared, from the touch to its sound, ${said.length} pages`, again, 'within 500 ms');
line('The same pages the first time', first, 'no figure set');
const minutes = (median(first) * 400) / 60_000;
console.log(`| The 92 versions that ship, some 400 pages, at that pace | ${minutes.toFixed(1)} min | minutes |`);
