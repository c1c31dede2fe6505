/** What nobody uses is found: files, exports, packages. @type {import('knip').KnipConfig} */
export default {
  ignoreExportsUsedInFile: { interface: true, type: true },
  // Debian's packages, not npm's.
  ignoreBinaries: ['mount', 'pdfinfo', 'pdftoppm', 'pdftotext', 'umount'],
  workspaces: {
    '.': {
      entry: ['scripts/*.mjs', 'scripts/{benchmarks,simulations}/*.ts'],
      project: ['scripts/**/*.{ts,mjs}'],
      // Called by name: the formatter and the check for circles.
      ignoreDependencies: ['dependency-cruiser', 'prettier'],
    },
    core: { entry: ['src/index.ts', '**/*.test.ts'], project: ['**/*.ts'] },
    contract: { entry: ['src/index.ts', '**/*.test.ts'], project: ['**/*.ts'] },
    server: { entry: ['src/main.ts', 'src/migrations/*.ts', '**/*.test.ts'], project: ['**/*.ts'] },
    web: {
      // The service worker is built by itself.
      entry: ['src/main.tsx', 'src/offline/service-worker.ts', 'vite.config.ts', '**/*.test.{ts,tsx}'],
      project: ['**/*.{ts,tsx}'],
      // Imported by the style sheet.
      ignoreDependencies: ['tailwindcss', '@fontsource-variable/*'],
    },
    // Axe is read as a file and run in the page.
    e2e: { entry: ['tests/*.spec.ts'], project: ['**/*.ts'], ignoreDependencies: ['axe-core'] },
  },
};
