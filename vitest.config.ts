import { defineConfig } from 'vitest/config';

const resolve = { conditions: ['source'] };
const ssr = { resolve };

export default defineConfig({
  test: {
    projects: [
      {
        resolve,
        ssr,
        test: {
          name: 'core',
          include: ['core/src/**/*.test.ts', 'contract/src/**/*.test.ts', 'cli/src/**/*.test.ts', 'ops/**/*.test.ts'],
          environment: 'node',
        },
      },
      {
        extends: './web/vite.config.ts',
        resolve,
        test: { name: 'web', root: '.', include: ['web/src/**/*.test.{ts,tsx}'], environment: 'jsdom' },
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
