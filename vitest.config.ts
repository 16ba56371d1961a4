import { defineConfig } from 'vitest/config';

const resolve = { conditions: ['source'] };
const ssr = { resolve };
/** How fast a machine is decides nothing. Whatever takes ten minutes hangs, and is reported as timed out after 600 000 ms. */
const hang = { testTimeout: 600_000, hookTimeout: 600_000, teardownTimeout: 600_000 };

const MOCKED = 'web/src/**/*.mocked.test.{ts,tsx}';
const pages = {
  extends: './web/vite.config.ts',
  resolve,
  test: {
    root: '.',
    include: ['web/src/**/*.test.{ts,tsx}'] as string[],
    environment: 'jsdom',
    setupFiles: ['web/src/testing/page-of-tests.ts'],
    ...hang,
  },
};

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
      // Files share their modules, which spares most of the time, but for those that put something else in place of a module.
      { ...pages, test: { ...pages.test, name: 'web', exclude: [MOCKED], isolate: false } },
      { ...pages, test: { ...pages.test, name: 'mocked', include: [MOCKED] } },
      {
        resolve,
        ssr,
        test: {
          name: 'server',
          isolate: false,
          include: ['server/src/**/*.test.ts'],
          environment: 'node',
          globalSetup: ['server/src/testing/database.setup.ts'],
          ...hang,
        },
      },
    ],
  },
});
