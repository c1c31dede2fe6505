import { defineConfig } from 'vitest/config';

const report = process.env['VITEST_JSON'];

export default defineConfig({
  test: {
    ...(report ? { outputFile: { json: report } } : {}),
    projects: [
      { test: { name: 'core', include: ['core/**/*.test.ts', 'contract/**/*.test.ts', 'web/**/*.test.ts'], environment: 'node', testTimeout: 30_000 } },
      { test: { name: 'server', include: ['server/**/*.test.ts'], environment: 'node', pool: 'forks', fileParallelism: false, testTimeout: 30_000, hookTimeout: 60_000 } },
    ],
  },
});
