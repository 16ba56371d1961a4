import { defineConfig } from 'vitest/config';

const resolve = { conditions: ['source'] };
const ssr = { resolve };
/** How fast a machine is decides nothing. Whatever takes ten minutes hangs, and is reported as timed out after 600 000 ms. */
const hang = { testTimeout: 600_000, hookTimeout: 600_000, teardownTimeout: 600_000 };

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
          isolate: false,
          include: ['core/src/**/*.test.ts', 'contract/src/**/*.test.ts', 'cli/src/**/*.test.ts', 'ops/**/*.test.ts'],
          environment: 'node',
          ...hang,
        },
      },
      {
        extends: './web/vite.config.ts',
        resolve,
        test: {
          name: 'web',
          isolate: false,
          root: '.',
          include: ['web/src/**/*.test.{ts,tsx}'],
          environment: 'jsdom',
          setupFiles: ['web/src/testing/page-of-tests.ts'],
          ...hang,
        },
      },
      {
        resolve,
        ssr,
        test: {
          name: 'server',
          include: ['server/src/**/*.test.ts'],
          environment: 'node',
          globalSetup: ['server/src/testing/database.setup.ts'],
          ...hang,
        },
      },
    ],
  },
});
