import { createHash } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Plugin } from 'vite';
import { chosenLanguage, lastReader } from './src/shared/deviceKeys.ts';
import { bigField, button, doorPage, islandLook } from './src/ui/looks.ts';

const door = '/src/reader/signin/ReaderSignIn.tsx';
const said = ['Class code', 'Continue'] as const;

/** The words of the door in the other languages, so that it stands in the reader's own at once. */
const spanish = () => {
  const file = new URL('../languages/es.json', import.meta.url).pathname;
  const { pages } = JSON.parse(readFileSync(file, 'utf8')) as { pages: Record<string, string> };
  return said.map((words) => pages[words] ?? words);
};

// What stands in for the door looks as the door does.
const looks = {
  page: doorPage,
  form: islandLook(),
  field: `${bigField({ kind: 'code' })} uppercase`,
  button: button({ look: 'main', size: 'reader' }),
};

// What runs in the browser: it hands over what was typed.
const atDoor = (parts: string[]) => `
(function (parts, english, spanish, looks, lastReader, chosenLanguage) {
  window.dcSession = fetch('/api/session', { credentials: 'same-origin' });
  if (!location.pathname.startsWith('/read')) return;
  parts.forEach(function (href) {
    document.head.append(Object.assign(document.createElement('link'), { rel: 'modulepreload', href: href }));
  });
  if (!/^\\/read\\/?$/.test(location.pathname) || localStorage.getItem(lastReader)) return;
  var here = localStorage.getItem(chosenLanguage) || navigator.language.slice(0, 2);
  var words = here === 'es' ? spanish : english;
  function made(tag, more, inside) {
    var one = Object.assign(document.createElement(tag), more);
    (inside || []).forEach(function (x) { one.append(x); });
    return one;
  }
  function begin() {
    var root = document.getElementById('root');
    if (!root || root.firstChild) return;
    var field = made('input', {
      autocomplete: 'off', autocapitalize: 'characters', maxLength: 12, ariaLabel: words[0], className: looks.field,
      oninput: function () { window.dcTyped = { code: field.value }; },
    });
    var go = made('button', { className: looks.button }, [words[1]]);
    var form = made('form', {
      className: looks.form,
      onsubmit: function (e) {
        e.preventDefault();
        window.dcTyped = { code: field.value, sent: true };
        go.disabled = true;
      },
    }, [made('h1', {}, [words[0]]), field, go]);
    root.append(made('main', { className: looks.page }, [form]));
    field.focus();
  }
  if (document.getElementById('root')) begin();
  else addEventListener('DOMContentLoaded', begin);
})(${[parts, said, spanish(), looks, lastReader, chosenLanguage].map((x) => JSON.stringify(x)).join(', ')});
`;

/**
 * A few lines that run before the pages' script has come: they ask who is signed in, and on a reader's way in for the
 * parts of the door; and they stand in for the door until it is there. On a slow line these would else wait for one
 * another.
 */
export const early = (): Plugin => {
  let script: { name: string; source: string } | undefined;
  return {
    name: 'early',
    apply: 'build',
    transformIndexHtml: {
      order: 'post',
      handler(_, { bundle }) {
        const chunks = Object.values(bundle ?? {}).filter((x) => x.type === 'chunk');
        const reach = (file: string, all = new Set<string>()) => {
          const chunk = chunks.find((x) => x.fileName === file);
          if (chunk && !all.has(file)) {
            all.add(file);
            chunk.imports.forEach((next) => reach(next, all));
          }
          return all;
        };
        const of = (is: (x: (typeof chunks)[number]) => boolean) =>
          chunks.filter(is).flatMap((x) => [...reach(x.fileName)]);
        const there = new Set(of((x) => x.isEntry));
        const parts = of((x) => x.facadeModuleId?.endsWith(door) ?? false).filter((file) => !there.has(file));
        const source = atDoor(parts.map((file) => `/${file}`));
        const hash = createHash('sha256').update(source).digest('hex').slice(0, 8);
        script = { name: `early-${hash}.js`, source };
        return [{ tag: 'script', attrs: { src: `/assets/${script.name}`, async: true }, injectTo: 'head-prepend' }];
      },
    },
    writeBundle({ dir = 'dist' }) {
      if (script) writeFileSync(join(dir, 'assets', script.name), script.source);
    },
  };
};
