// The sentences the pages say, read with the compiler's help: what `t` and `phrase` are given. Compares them with the
// catalogue; with --keep it writes down what is new. A sentence that stands anywhere else is a fault.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import ts from 'typescript';

const root = new URL('.', import.meta.url).pathname;
const folder = `${root}../languages/`;
const english = `${folder}en.json`;
const config = ts.parseJsonConfigFileContent(
  ts.readConfigFile(`${root}tsconfig.json`, ts.sys.readFile).config,
  ts.sys,
  root,
);
const program = ts.createProgram(config.fileNames, config.options);
const checker = program.getTypeChecker();
const keep = process.argv.includes('--keep');

/** sentence -> the places that say it */
const said = new Map();
const loose = [];

const literal = (n) =>
  ts.isStringLiteral(n) || ts.isNoSubstitutionTemplateLiteral(n)
    ? n.text
    : ts.isBinaryExpression(n) && n.operatorToken.kind === ts.SyntaxKind.PlusToken
      ? join(literal(n.left), literal(n.right))
      : ts.isParenthesizedExpression(n)
        ? literal(n.expression)
        : null;
const join = (a, b) => (a === null || b === null ? null : a + b);
const note = (sentence, place) => said.set(sentence, [...(said.get(sentence) ?? []), place]);

/** What is said by an argument of t: the sentences its type can be. */
function fromType(node, place) {
  const type = checker.getTypeAtLocation(node);
  for (const part of type.isUnion() ? type.types : [type]) if (part.isStringLiteral()) note(part.value, place);
}

const spoken = new Set(['aria-label', 'title', 'placeholder', 'alt', 'label', 'hint', 'aria-description']);
/** Whether something has words to say; the unit, the product's name and keys are the same in every language. */
const words = {
  test: (text) => /\p{L}{2}/u.test(text.replace(/\bfm\b|Deep Current|Ctrl K/g, '')),
};

function look(node, file) {
  const place = file.fileName.slice(root.length);
  const at = () => `${place}:${file.getLineAndCharacterOfPosition(node.getStart(file)).line + 1}`;
  if (ts.isCallExpression(node) && ts.isIdentifier(node.expression)) {
    const [first] = node.arguments;
    if (first && (node.expression.text === 'phrase' || node.expression.text === 't')) {
      const sentence = literal(first);
      if (sentence !== null) note(sentence, place);
      else if (node.expression.text === 't') fromType(first, place);
      else loose.push(`${at()} phrase() of something that is not written here`);
    }
  }
  if (ts.isJsxText(node) && words.test(node.text)) loose.push(`${at()} “${node.text.trim()}” is not in the catalogue`);
  if (ts.isJsxAttribute(node) && spoken.has(node.name.getText(file)) && node.initializer) {
    const value = ts.isJsxExpression(node.initializer) ? node.initializer.expression : node.initializer;
    const text = value && literal(value);
    if (text && words.test(text)) loose.push(`${at()} “${text}” is not in the catalogue`);
  }
  ts.forEachChild(node, (child) => look(child, file));
}

for (const file of program.getSourceFiles())
  if (file.fileName.startsWith(`${root}src/`) && !/\/kit\/|\.test\.|\.d\.ts$/.test(file.fileName)) look(file, file);

const entries = (sentence) => (sentence.includes('{{count}}') ? [`${sentence}_one`, `${sentence}_other`] : [sentence]);
const all = [...said.keys()].filter((s) => words.test(s.replace(/\{\{\w+\}\}/g, ''))).flatMap(entries);

const catalogue = JSON.parse(readFileSync(english, 'utf8'));
if (keep) {
  const now = Object.fromEntries(
    [...new Set(all)].sort().map((key) => [key, catalogue.pages[key] ?? key.replace(/_(one|other)$/, '')]),
  );
  writeFileSync(english, `${JSON.stringify({ ...catalogue, pages: now }, null, 2)}\n`);
  catalogue.pages = now;
}
const known = new Set(Object.keys(catalogue.pages));
const faults = [
  ...loose,
  ...all.filter((key) => !known.has(key)).map((key) => `“${key}” is missing from languages/en.json`),
  ...[...known].filter((key) => !all.includes(key)).map((key) => `“${key}” is said by no page`),
];

// One of something is not many: "1 readers" is as much a fault as a sentence that is missing.
const many = /\{\{count\}\} (?:\p{L}+ )?\p{L}*[^\Ws]s(?!\p{L})/u;
for (const part of Object.values(catalogue))
  for (const [key, one] of Object.entries(part))
    if (key.endsWith('_one') && many.test(one) && one === part[key.replace(/_one$/, '_other')])
      faults.push(`“${key}” speaks of many`);

// What readers and guardians can meet is there in every language.
const theirs = (place) => /^src\/(reader|guardian|shared|ui)\//.test(place);
const needed = [...said].filter(([, places]) => places.some(theirs)).map(([sentence]) => sentence);
for (const file of readdirSync(folder).filter((name) => name !== 'en.json')) {
  const language = JSON.parse(readFileSync(`${folder}${file}`, 'utf8'));
  const has = new Set(Object.values(language).flatMap((part) => Object.keys(part)));
  for (const key of needed.filter((s) => words.test(s.replace(/\{\{\w+\}\}/g, ''))).flatMap(entries))
    if (!has.has(key)) faults.push(`“${key}” is missing from languages/${file}`);
}

for (const fault of faults.slice(0, 60)) console.log(fault);
console.log(`${said.size} sentences of the pages, ${faults.length} faults`);
process.exit(faults.length > 0 ? 1 : 0);
