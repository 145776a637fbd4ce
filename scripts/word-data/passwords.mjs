// Makes src/DeepCurrent.Core/Access/data/common-passwords.txt: passwords that are often chosen, of at least six characters, a line each.
import { createRequire } from 'node:module';
import { writeFileSync } from 'node:fs';

const { dictionary } = createRequire(import.meta.url)('@zxcvbn-ts/language-common');
const common = new Set(
  dictionary.passwords.map((p) => String(p).toLowerCase()).filter((p) => p.length >= 6 && /^[\x21-\x7e]+$/.test(p)),
);
writeFileSync(
  new URL('../../src/DeepCurrent.Core/Access/data/common-passwords.txt', import.meta.url),
  `${[...common].sort().join('\n')}\n`,
);
