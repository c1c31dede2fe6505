import { defineConfig } from 'vite';

/** The server in JavaScript; packages from elsewhere stay where they are installed. */
export default defineConfig({
  root: import.meta.dirname,
  ssr: { noExternal: [/^@green-beam\//] },
  build: { ssr: 'src/main.ts', outDir: 'dist', target: 'node20', sourcemap: true },
});
