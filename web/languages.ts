import { readFileSync } from 'node:fs';
import type { Plugin } from 'vite';

const at = (code: string) => new URL(`../languages/${code}.json`, import.meta.url).pathname;
const name = /^virtual:language\/(\w+)(-staff)?$/;
type Parts = Record<string, Record<string, string>>;
const read = (code: string) => JSON.parse(readFileSync(at(code), 'utf8')) as Parts;
const bare = (key: string) => key.replace(/_(zero|one|two|few|many|other)$/, '');

/**
 * The sentences of a language, as `virtual:language/en`. What a sentence that is its own key says is not written again.
 * What only staff read comes with their pages, as `virtual:language/en-staff`: readers and homes read what is
 * translated for them.
 */
export const languages = (): Plugin => ({
  name: 'languages',
  resolveId: (id) => (name.test(id) ? `\0${id}` : undefined),
  load(id) {
    const asked = id.startsWith('\0') ? name.exec(id.slice(1)) : null;
    const code = asked?.[1];
    if (!code) return undefined;
    this.addWatchFile(at(code));
    this.addWatchFile(at('es'));
    const forHomes = new Set(Object.values(read('es')).flatMap((part) => Object.keys(part).map(bare)));
    const all = Object.values(read(code)).flatMap((part) => Object.entries(part));
    const said = Object.fromEntries(
      all.filter(([key, text]) => key !== text && (code !== 'en' || forHomes.has(bare(key)) !== Boolean(asked[2]))),
    );
    return `export default ${JSON.stringify(said)}`;
  },
});
