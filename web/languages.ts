import { readFileSync } from 'node:fs';
import type { Plugin } from 'vite';

const at = (code: string) => new URL(`../languages/${code}.json`, import.meta.url).pathname;
const name = /^virtual:language\/(\w+)$/;

/**
 * The sentences of a language, as `virtual:language/en`. What a sentence that is its own key says is not written again.
 */
export const languages = (): Plugin => ({
  name: 'languages',
  resolveId: (id) => (name.test(id) ? `\0${id}` : undefined),
  load(id) {
    const code = id.startsWith('\0') ? name.exec(id.slice(1))?.[1] : undefined;
    if (!code) return undefined;
    this.addWatchFile(at(code));
    const parts = JSON.parse(readFileSync(at(code), 'utf8')) as Record<string, Record<string, string>>;
    const all = Object.values(parts).flatMap((part) => Object.entries(part));
    const said = Object.fromEntries(all.filter(([key, text]) => key !== text));
    return `export default ${JSON.stringify(said)}`;
  },
});
