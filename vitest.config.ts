import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    projects: [
      { test: { name: 'core', include: ['core/**/*.test.ts', 'contract/**/*.test.ts', 'web/**/*.test.ts'], environment: 'node' } },
      { test: { name: 'server', include: ['server/**/*.test.ts'], environment: 'node', pool: 'forks', fileParallelism: false, testTimeout: 30000, hookTimeout: 60000 } },
    ],
  },
});
