// Compressed script of the first view of each side: what the entry page and that view's modules load.
import { readFileSync, readdirSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { join } from 'node:path';

const dist = process.argv[2];
const assets = readdirSync(join(dist, 'assets')).filter((f) => f.endsWith('.js'));
const text = Object.fromEntries(assets.map((f) => [f, readFileSync(join(dist, 'assets', f), 'utf8')]));
const entry = readFileSync(join(dist, 'index.html'), 'utf8').match(/assets\/(index-[^"]+\.js)/)[1];
const statics = (f, seen = new Set()) => {
  if (seen.has(f)) return seen;
  seen.add(f);
  for (const [, g] of text[f].matchAll(/(?:from|import)\s*["']\.\/([^"']+\.js)["']/g)) statics(g, seen);
  return seen;
};
const view = (...names) => {
  const all = new Set(statics(entry));
  for (const name of names) for (const f of assets.filter((x) => x.startsWith(`${name}-`))) statics(f, all);
  return [...all].reduce((sum, f) => sum + gzipSync(text[f]).length, 0) / 1000;
};
console.log(
  `| First view of the reader side, compressed script | ${view('Reader', 'Older').toFixed(0)} kB | at most 150 kB |`,
);
console.log(
  `| First view of the teacher side, compressed script | ${view('Teacher', 'Chart').toFixed(0)} kB | at most 300 kB |`,
);
