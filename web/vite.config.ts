import { resolve } from 'node:path';
import { constants } from 'node:zlib';
import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';
import { compression, defineAlgorithm } from 'vite-plugin-compression2';
import { serviceWorker } from './service-worker-plugin.ts';

/** KaTeX names each of its fonts in three formats; every browser that runs these pages reads the first. */
const oneFontFormat: Plugin = {
  name: 'one-font-format',
  enforce: 'pre',
  transform: (code, id) =>
    id.endsWith('katex.min.css') ? code.replace(/,url\([^)]*\) format\("(?:woff|truetype)"\)/g, '') : null,
};

/** Measures of alphabets that no formula here is set in. */
const ownAlphabetsOnly: Plugin = {
  name: 'own-alphabets-only',
  enforce: 'pre',
  transform: (code, id) =>
    id.endsWith('katex.mjs')
      ? code.replace(/"(?:Caligraphic|Fraktur|SansSerif|Script|Typewriter)-[A-Za-z]+": \{[^}]*\},?/g, '')
      : null,
};

export default defineConfig({
  root: import.meta.dirname,
  // What never changes is compressed once, as well as can be, and not for every browser that asks.
  plugins: [
    oneFontFormat,
    ownAlphabetsOnly,
    react(),
    tailwindcss(),
    compression({
      include: /\.(js|css|svg)$/,
      algorithms: [
        defineAlgorithm('brotliCompress', { params: { [constants.BROTLI_PARAM_QUALITY]: 11 } }),
        defineAlgorithm('gzip', { level: 9 }),
      ],
    }),
    serviceWorker(resolve(import.meta.dirname, 'src/offline/service-worker.ts')),
  ],
  build: {
    outDir: 'dist',
    target: 'es2022',
    assetsInlineLimit: 0,
    // A workbook is read by a package that is fetched when one is opened.
    chunkSizeWarningLimit: 950,
    // What the first page needs comes in one piece, which is compressed better than forty.
    rolldownOptions: { output: { codeSplitting: { groups: [{ name: 'first', tags: ['$initial'] }] } } },
  },
  server: { host: '127.0.0.1', proxy: { '/api': `http://127.0.0.1:${process.env['API_PORT'] ?? '4711'}` } },
});
