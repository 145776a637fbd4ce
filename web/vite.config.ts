import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react(), tailwindcss()],
  build: { outDir: 'dist', assetsInlineLimit: 0, sourcemap: false },
  server: { proxy: { '/api': { target: 'http://127.0.0.1:5199', ws: true } } },
});
