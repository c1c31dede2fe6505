import { build, type Plugin } from 'vite';

/** Builds the service worker as a file of its own beside the page: its name must not change from version to version. */
export function serviceWorker(source: string): Plugin {
  let outDir = '';
  return {
    name: 'service-worker',
    apply: 'build',
    configResolved: (config) => {
      outDir = config.build.outDir;
    },
    closeBundle: async () => {
      await build({
        configFile: false,
        publicDir: false,
        logLevel: 'warn',
        define: { 'process.env.NODE_ENV': '"production"' },
        build: {
          outDir,
          emptyOutDir: false,
          rolldownOptions: { input: source, output: { entryFileNames: 'service-worker.js' } },
        },
      });
    },
  };
}
