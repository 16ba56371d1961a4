import { defineConfig } from '@playwright/test';

/** Flags with which Debian's Chromium runs headless as root and keeps to this machine. */
const args = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

export default defineConfig({
  testDir: '.',
  workers: 1,
  // How fast a machine is decides nothing: what never comes is waited for this long.
  timeout: 120_000,
  expect: { timeout: 20_000 },
  outputDir: '../test-results',
  reporter: [['list'], ['json', { outputFile: process.env.PLAYWRIGHT_JSON_OUTPUT_NAME ?? '../.cache/browser-results.json' }]],
  use: {
    baseURL: process.env.WAINROPE_URL ?? 'http://127.0.0.1:4810',
    viewport: { width: 1280, height: 800 },
    launchOptions: { executablePath: '/usr/bin/chromium', args },
    screenshot: 'off',
    // Only the tests about it let the page answer without the server.
    serviceWorkers: 'block',
  },
  projects: [
    // These change nothing, so they come in any order; the others follow, one after another on one database.
    { name: 'views', testMatch: /(views|layouts)\.spec\.ts/, fullyParallel: true, workers: 1 },
    { name: 'tests', testMatch: /.*\.spec\.ts/, testIgnore: /(views|layouts)\.spec\.ts/, workers: 1 },
    { name: 'drag', testMatch: /drag\.bench\.ts/ },
    { name: 'shots', testMatch: /shots\.ts/ },
  ],
});
