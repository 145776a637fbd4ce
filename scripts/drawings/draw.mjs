// Writes each text's picture beside it: node scripts/drawings/draw.mjs
import { existsSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { ink } from './parts.mjs';
import { scenes } from './scenes.mjs';

const content = fileURLToPath(new URL('../../content/', import.meta.url));
for (const [slug, [shows, inner]] of Object.entries(scenes)) {
  if (!existsSync(`${content}${slug}`)) throw new Error(`there is no text ${slug}`);
  const svg =
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 360 240" width="720" height="480" fill="none" stroke="${ink}" ` +
    `stroke-width="2.2" stroke-linecap="round" stroke-linejoin="round">\n<title>${shows}</title>\n${inner}\n</svg>\n`;
  writeFileSync(`${content}${slug}/picture.svg`, svg);
}
console.log(`${Object.keys(scenes).length} drawings`);
