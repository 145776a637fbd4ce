import { readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, constants } from 'node:zlib';
import type { Plugin } from 'vite';

const worth = 1024;

/** What ships beside itself packed as small as it gets: the server gives that out, and packs nothing while it is asked. */
export const packed = (): Plugin => ({
  name: 'packed',
  apply: 'build',
  enforce: 'post',
  writeBundle({ dir = 'dist' }) {
    for (const name of readdirSync(join(dir, 'assets'))) {
      if (!/\.(js|mjs|css)$/.test(name)) continue;
      const file = join(dir, 'assets', name);
      const bytes = readFileSync(file);
      if (bytes.length >= worth)
        writeFileSync(
          `${file}.br`,
          brotliCompressSync(bytes, { params: { [constants.BROTLI_PARAM_SIZE_HINT]: bytes.length } }),
        );
    }
  },
});
