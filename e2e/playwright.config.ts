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
  // How fast a machine is decides nothing: a limit only catches a hang. A file has ten minutes; whatever one step waits for has two,
  // and is then named in the failure.
  globalTimeout: 40 * 60_000,
  timeout: 600_000,
  expect: { timeout: 120_000, toPass: { timeout: 300_000 } },
  outputDir: '../test-results',
  reporter: [['list'], ['json', { outputFile: process.env.PLAYWRIGHT_JSON_OUTPUT_NAME ?? '../.cache/browser-results.json' }]],
  use: {
    baseURL: process.env.WAINROPE_URL ?? 'http://127.0.0.1:4810',
    viewport: { width: 1280, height: 800 },
    actionTimeout: 120_000,
    navigationTimeout: 120_000,
    launchOptions: { executablePath: '/usr/bin/chromium', args },
    screenshot: 'off',
    // Only the tests about it let the page answer without the server.
    serviceWorkers: 'block',
  },
  projects: [
    { name: 'tests', testMatch: /.*\.spec\.ts/ },
    { name: 'drag', testMatch: /drag\.bench\.ts/ },
    { name: 'shots', testMatch: /shots\.ts/ },
  ],
});
