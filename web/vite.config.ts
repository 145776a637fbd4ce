import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { early } from './early.ts';
import { languages } from './languages.ts';
import { packed } from './packed.ts';

// What a reader's page is made of: their parts with all they import, and the styles and letters of everybody. Found as the pages are built.
const forReaders = new Set<string>();
const readers: Plugin = {
  name: 'parts-of-readers',
  generateBundle(_, bundle) {
    const chunks = Object.values(bundle).filter((x) => x.type === 'chunk');
    const take = (file: string) => {
      const chunk = chunks.find((x) => x.fileName === file);
      if (!chunk || forReaders.has(file)) return;
      forReaders.add(file);
      chunk.viteMetadata?.importedCss.forEach((css) => forReaders.add(css));
      chunk.imports.forEach(take);
      if (chunk.facadeModuleId?.includes('/src/reader/')) chunk.dynamicImports.forEach(take);
    };
    const theirs = (file: string) =>
      file.includes('/src/reader/') || file.includes('/src/shared/') || file.includes('virtual:language/');
    chunks.filter((x) => x.isEntry || theirs(x.facadeModuleId ?? '')).forEach((x) => take(x.fileName));
  },
};

export default defineConfig({
  plugins: [
    react(),
    tailwindcss(),
    languages(),
    early(),
    packed(),
    readers,
    VitePWA({
      injectRegister: false,
      manifest: false,
      workbox: {
        globPatterns: ['index.html', '**/*.{js,css,svg}', '**/*-latin-{wght,400,700}-*.woff2'],
        manifestTransforms: [
          (entries) => ({ manifest: entries.filter((e) => !/\.(js|css)$/.test(e.url) || forReaders.has(e.url)) }),
        ],
        inlineWorkboxRuntime: true,
        skipWaiting: true,
        clientsClaim: true,
        navigateFallback: null,
        runtimeCaching: [
          // The server's page where there is a network, the kept one where there is none.
          {
            urlPattern: ({ request }) => request.mode === 'navigate',
            handler: 'NetworkOnly',
            options: { precacheFallback: { fallbackURL: 'index.html' } },
          },
          {
            urlPattern: ({ url }) => url.pathname.startsWith('/assets/'),
            handler: 'CacheFirst',
            options: { cacheName: 'dc-assets', expiration: { maxEntries: 120 } },
          },
          {
            urlPattern: /\/api\/(my\/tickets\/[^/]+\/sound|voice\/[0-9a-f]+)$/,
            handler: 'CacheFirst',
            options: {
              cacheName: 'dc-sounds',
              rangeRequests: true,
              expiration: { maxEntries: 80, maxAgeSeconds: 12 * 3600 },
            },
          },
          {
            urlPattern: /\/api\/(pictures\/|texts\/[^/]+\/picture$)/,
            handler: 'CacheFirst',
            options: { cacheName: 'dc-pictures', expiration: { maxEntries: 200, maxAgeSeconds: 12 * 3600 } },
          },
        ],
      },
    }),
  ],
  build: { outDir: 'dist', assetsInlineLimit: 0, sourcemap: false },
  server: { proxy: { '/api': { target: 'http://127.0.0.1:5199', ws: true } } },
});
