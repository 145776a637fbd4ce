// compute text beside independent implementations: the same counts, the same formulas, how much faster. node readability.mjs ROOT
import { execFileSync, spawnSync } from 'node:child_process';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { colemanLiau } from 'coleman-liau';
import { flesch } from 'flesch';
import { fleschKincaid } from 'flesch-kincaid';
import { syllable } from 'syllable';

const root = process.argv[2];
const row = (what, figure, wanted) => console.log(`| ${what} | ${figure} | ${wanted} |`);
const cli = join(root, 'src/DeepCurrent.Cli/bin/Release/net10.0/DeepCurrent.Cli.dll');
const ours = (text) =>
  JSON.parse(execFileSync('dotnet', [cli, 'compute', 'text'], { input: text, maxBuffer: 1 << 26 }));

// The prose that ships, without headings, marks and page breaks; and without paragraphs of speech or titles such as Mrs., where the other way of finding sentences cuts “Why?” from “asked Ben”; and without figures, which have the syllables they are read with, as Flesch (1948) counts, and one syllable elsewhere.
const prose = readdirSync(join(root, 'content'))
  .sort()
  .flatMap((folder) =>
    readdirSync(join(root, 'content', folder))
      .filter((f) => f.endsWith('.md'))
      .map((f) => readFileSync(join(root, 'content', folder, f), 'utf8')),
  )
  .map((file) =>
    file
      .slice(file.indexOf('\n---\n', 4) + 5)
      .split('\n')
      .filter((line) => !line.startsWith('#') && line !== '---')
      .join('\n')
      .replace(/\*+/g, ''),
  )
  .join('\n\n')
  .split(/\n\s*\n/)
  .filter((p) => !/[“”"‘\d]|\b(Mr|Mrs|Ms|Dr)\./.test(p))
  .join('\n\n');

const words = prose.match(/[\p{L}\p{N}]+(?:[.,](?=\p{N})[\p{N}]+)*(?:['’-][\p{L}\p{N}]+)*/gu);
const sentences = prose
  .split(/\n\s*\n/)
  .flatMap((p) => [...new Intl.Segmenter('en', { granularity: 'sentence' }).segment(p.replace(/\n/g, ' ').trim())])
  .filter((s) => /\p{L}/u.test(s.segment)).length;
const theirs = {
  words: words.length,
  sentences,
  syllables: words.reduce((n, w) => n + syllable(w.replace(/’/g, "'")), 0),
  letters: (prose.match(/\p{L}/gu) ?? []).length,
};
const mine = ours(prose);
for (const [name, n] of Object.entries(theirs))
  row(
    `Count of ${name} against an independent implementation, ${theirs.words.toLocaleString('en')} words of prose`,
    `${mine[name].toLocaleString('en')} to ${n.toLocaleString('en')}, ${(100 * (mine[name] / n - 1)).toFixed(2)} %`,
    'within 1 %',
  );

const counts = { sentence: mine.sentences, word: mine.words, syllable: mine.syllables, letter: mine.letters };
const off = {
  fleschReadingEase: flesch(counts),
  fleschKincaidGrade: fleschKincaid(counts),
  colemanLiauIndex: colemanLiau(counts),
};
row(
  'Formulas on the same counts against independent implementations (Flesch, Flesch–Kincaid, Coleman–Liau), the furthest apart',
  Math.max(...Object.entries(off).map(([name, n]) => Math.abs(mine[name] - n))).toFixed(3),
  'within 0.1',
);

// Both as whole processes that read one file, one after the other, three times.
const file = join(root, '.data/bench-prose.txt');
writeFileSync(file, (prose + '\n\n').repeat(60));
const time = (command, args, input) => {
  const from = performance.now();
  const done = spawnSync(command, args, { input, cwd: join(root, 'bench'), maxBuffer: 1 << 26 });
  if (done.status !== 0) throw new Error(String(done.stderr));
  return performance.now() - from;
};
const script = `import r from 'text-readability'; import { readFileSync } from 'node:fs'; const t = readFileSync(process.argv[1], 'utf8'); console.log(r.fleschReadingEase(t), r.fleschKincaidGrade(t), r.automatedReadabilityIndex(t), r.colemanLiauIndex(t), r.gunningFog(t), r.smogIndex(t), r.daleChallReadabilityScore(t));`;
const median = (list) => list.sort((a, b) => a - b)[1];
const [fast, slow] = [
  median([0, 1, 2].map(() => time('dotnet', [cli, 'compute', 'text'], readFileSync(file)))),
  median([0, 1, 2].map(() => time('node', ['--input-type=module', '-e', script, file]))),
];
row(
  `compute text on a file of ${((mine.words * 60) / 1e3).toFixed(0)} thousand words, whole process`,
  `${(fast / 1000).toFixed(2)} s, ${(slow / fast).toFixed(0)} times as fast as a common JavaScript package`,
  'at least 20 times',
);

const large = join(root, '.data/bench-large.txt');
writeFileSync(large, (prose + '\n\n').repeat(Math.ceil(100e6 / Buffer.byteLength(prose))));
const measured = spawnSync(
  'bash',
  [
    '-c',
    `dotnet "${cli}" compute text < "${large}" & p=$!; peak=0; while kill -0 $p 2>/dev/null; do now=$(awk '/VmHWM/{print $2}' /proc/$p/status 2>/dev/null); peak=\${now:-$peak}; sleep 0.05; done; wait $p; echo " $peak"`,
  ],
  { maxBuffer: 1 << 26 },
);
row(
  'compute text on a text of 100 MB, memory at its peak',
  `${Math.round(Number(String(measured.stdout).trim().split(/\s+/).pop()) / 1024)} MiB`,
  'flat',
);
writeFileSync(large, '');
