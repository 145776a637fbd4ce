// What the code itself measures: long lines, long methods, wide records, types that are asserted by hand. Prints rows of bench/results.md.
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';

const root = process.argv[2];
const files = (...patterns) =>
  execFileSync('git', ['-C', root, 'ls-files', '--', ...patterns], { encoding: 'utf8' })
    .split('\n')
    .filter(Boolean)
    .map((name) =>
      Object.assign(readFileSync(`${root}/${name}`, 'utf8').split('\n'), { source: name.startsWith('src/') }),
    );
const row = (what, figure, wanted) => console.log(`| ${what} | ${figure} | ${wanted} |`);

const code = files('*.cs');
row('Lines of C# over 140 characters', code.flat().filter((l) => l.length > 140).length, '0');

// Laid out by a tool, a member's body begins with a brace of its own line and ends with the next one at the same place.
const member =
  /^\s*(?:public|private|internal|protected|static|async)\b(?!.*\b(?:class|record|struct|interface|enum)\b \w)/;
const long = code.flatMap((lines) =>
  lines.flatMap((line, i) => {
    const indent = /^( {4}| {8})\{$/.exec(line)?.[1];
    if (!indent) return [];
    let head = i - 1;
    while (head > 0 && (lines[head].startsWith(`${indent} `) || lines[head] === `${indent})`)) head--;
    // What is kept in a field is no method.
    if (!member.test(lines[head]) || / = /.test(lines[head])) return [];
    const body = lines.slice(i + 1).findIndex((l) => l.startsWith(`${indent}}`));
    return body > 40 ? [{ body, source: lines.source }] : [];
  }),
);
const longIn = (some) => (some.length ? `${some.length}, the longest ${Math.max(...some.map((m) => m.body))}` : '0');
row('Methods of the sources over 40 lines', longIn(long.filter((m) => m.source)), '0');
row('Methods of tests and bench over 40 lines', longIn(long.filter((m) => !m.source)), '0');

const wide = code.flatMap((lines) => {
  const text = lines.join('\n');
  return [...text.matchAll(/\brecord (?:struct )?(\w+)(?:<[^>]*>)?\(/g)].filter((m) => {
    let depth = 0;
    let parameters = 1;
    for (let at = m.index + m[0].length; at < text.length && depth >= 0; at++) {
      if ('(<['.includes(text[at])) depth++;
      else if (')>]'.includes(text[at])) depth--;
      else if (text[at] === ',' && depth === 0) parameters++;
    }
    return parameters > 12;
  });
});
row('Records of more than twelve positional parameters', wide.length, '0');

const pages = files('web/src/*.ts', 'web/src/*.tsx').flat();
row(
  'Calls of the pages that assert their type by hand',
  pages.filter((l) => /\b(?:get|post|put|send|remove|call|ok|GET|POST|PUT|DELETE)<\w/.test(l) && !/function/.test(l))
    .length,
  '0',
);
const views = files('web/src/**/*.tsx');
row('Lines of the pages over 140 characters', views.flat().filter((l) => l.length > 140).length, '0');
row('Views over 250 lines', views.filter((lines) => lines.length > 250).length, '0');
row(
  'Controls that are not of the kit',
  files('web/src/teacher/**/*.tsx', 'web/src/guardian/**/*.tsx', 'web/src/reader/**/*.tsx')
    .flat()
    .filter((l) => /<(?:input|select|textarea)\b/.test(l)).length,
  '0',
);
row('Lines of CSS by hand, beside the tokens', files('web/src/**/*.module.css').flat().length, '250 at most');
const api = JSON.parse(readFileSync(`${root}/web/openapi.json`, 'utf8')).components.schemas;
row('Closed sets that are enums in the API', Object.values(api).filter((s) => s.enum).length, 'all of them');
