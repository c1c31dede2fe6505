import { defineConfig } from 'vite';

/** The server in JavaScript; packages from elsewhere stay where they are installed. */
export default defineConfig({
  root: import.meta.dirname,
  ssr: { noExternal: [/^@green-beam\//] },
  build: {
    ssr: true,
    outDir: 'dist',
    target: 'node20',
    sourcemap: true,
    rolldownOptions: {
      // What runs by itself: the start, each server process, and each thread that draws.
      input: { main: 'src/main.ts', serve: 'src/serve.ts', 'drawing-thread': 'src/drawing/thread.ts' },
      // All in one folder: processes and threads are found beside who starts them.
      output: { entryFileNames: '[name].js', chunkFileNames: '[name]-[hash].js' },
    },
  },
});
