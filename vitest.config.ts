import { defineConfig } from 'vitest/config';

const report = process.env['VITEST_JSON'];

export default defineConfig({
  test: {
    ...(report ? { outputFile: { json: report } } : {}),
    // The proofs by simulated readers take minutes of one processor; two files at a time halve that on the smallest machines.
    maxWorkers: 2,
    projects: [
      // Modules of core keep nothing but what follows from their arguments, so that files can share them.
      {
        test: {
          name: 'core',
          include: ['core/**/*.test.ts', 'contract/**/*.test.ts', 'web/**/*.test.{ts,tsx}'],
          environment: 'node',
          isolate: false,
          testTimeout: 120_000,
        },
      },
      {
        test: {
          name: 'server',
          include: ['server/**/*.test.ts'],
          environment: 'node',
          pool: 'forks',
          testTimeout: 120_000,
          hookTimeout: 180_000,
        },
      },
    ],
  },
});
