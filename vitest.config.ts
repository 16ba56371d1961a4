import { defineConfig } from 'vitest/config';

const resolve = { conditions: ['source'] };
const ssr = { resolve };

export default defineConfig({
  test: {
    // Two at a time also where there are two cores only: much of the time is waiting.
    maxWorkers: 2,
    projects: [
      {
        resolve,
        ssr,
        test: {
          name: 'core',
          include: ['core/src/**/*.test.ts', 'contract/src/**/*.test.ts', 'cli/src/**/*.test.ts', 'ops/**/*.test.ts'],
          environment: 'node',
          testTimeout: 30_000,
        },
      },
      {
        extends: './web/vite.config.ts',
        resolve,
        test: { name: 'web', root: '.', include: ['web/src/**/*.test.{ts,tsx}'], environment: 'jsdom', testTimeout: 30_000 },
      },
      {
        resolve,
        ssr,
        test: {
          name: 'server',
          include: ['server/src/**/*.test.ts'],
          environment: 'node',
          globalSetup: ['server/src/testing/database.setup.ts'],
          testTimeout: 30_000,
          hookTimeout: 60_000,
          fileParallelism: false,
        },
      },
    ],
  },
});
