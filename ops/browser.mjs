// @ts-check
// Runs the browser tests (or takes the pictures with --shots) against the built application on a database of its own.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { ensureBuild, ensurePackages } from './packages.mjs';
import { freePort, installDebian, Problem, ROOT, startPostgres } from './postgres.mjs';
import { prepareDatabase, startServer } from './serve.mjs';

/** The demo's own base date, so that pictures and tests see the same days for ever. */
const TODAY = '2026-01-15';

export function ensureChromium() {
  if (!existsSync('/usr/bin/chromium')) installDebian(['chromium']);
}

/** @param {{ project?: 'tests' | 'shots' | 'drag', args?: readonly string[] }} options @returns {Promise<{ passed: number, failed: number, skipped: number }>} */
export async function runBrowser({ project = 'tests', args = [] }) {
  const database = await startPostgres({ folder: mkdtempSync('/var/tmp/wainrope-browser-'), throwAway: true });
  const results = join(ROOT, '.cache/browser-results.json');
  rmSync(results, { force: true });
  try {
    const extra = { WAINROPE_TODAY: TODAY };
    prepareDatabase(database, extra);
    const server = await startServer(database, { host: '127.0.0.1', port: await freePort(), extra });
    try {
      const env = { ...process.env, WAINROPE_URL: server.address, PLAYWRIGHT_JSON_OUTPUT_NAME: results };
      const done = spawnSync(
        process.execPath,
        [join(ROOT, 'node_modules/@playwright/test/cli.js'), 'test', '--config', 'e2e/playwright.config.ts', '--project', project, ...args],
        { cwd: ROOT, stdio: 'inherit', env },
      );
      if (!existsSync(results)) throw new Problem(`The browser tests did not run (exit code ${done.status}).`);
      const { stats } = JSON.parse(readFileSync(results, 'utf8'));
      return {
        passed: stats.expected + stats.flaky,
        failed: stats.unexpected + (done.status !== 0 && stats.unexpected === 0 ? 1 : 0),
        skipped: stats.skipped,
      };
    } finally {
      await server.stop();
    }
  } finally {
    await database.stop();
  }
}

if (process.argv[1] === resolve(import.meta.filename)) {
  const args = process.argv.slice(2);
  const project = args.includes('--shots') ? 'shots' : args.includes('--drag') ? 'drag' : 'tests';
  ensurePackages();
  ensureChromium();
  ensureBuild();
  const { failed } = await runBrowser({ project, args: args.filter((arg) => arg !== '--shots' && arg !== '--drag') });
  process.exitCode = failed > 0 ? 1 : 0;
}
