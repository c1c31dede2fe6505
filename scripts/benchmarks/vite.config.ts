import { defineConfig } from 'vite';

/** The measurements of the core, built as the server is: a compiler that keeps the names of functions slows them by a quarter. */
export default defineConfig({
  root: import.meta.dirname,
  ssr: { noExternal: true },
  build: {
    ssr: true,
    target: 'node20',
    rolldownOptions: {
      input: {
        diagnoses: 'diagnoses.ts',
        choices: 'choices.ts',
        calculations: 'calculations.ts',
        laboratories: 'laboratories.ts',
        tables: 'tables.ts',
      },
    },
  },
});
