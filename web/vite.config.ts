import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  root: import.meta.dirname,
  plugins: [react(), tailwindcss()],
  build: { outDir: 'dist', target: 'es2022', assetsInlineLimit: 0, chunkSizeWarningLimit: 700 },
  server: { host: '127.0.0.1', proxy: { '/api': `http://127.0.0.1:${process.env['API_PORT'] ?? '4711'}` } },
});
