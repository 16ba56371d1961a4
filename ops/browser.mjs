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
  try {
    const extra = { WAINROPE_TODAY: TODAY };
    prepareDatabase(database, extra);
    const server = await startServer(database, { host: '127.0.0.1', port: await freePort(), extra });
    try {
      const totals = { passed: 0, failed: 0, skipped: 0 };
      for (const wanted of project === 'tests' ? ['views', 'tests'] : [project]) {
        const { passed, failed, skipped } = runProject(wanted, server.address, args);
        totals.passed += passed;
        totals.failed += failed;
        totals.skipped += skipped;
      }
      return totals;
    } finally {
      await server.stop();
    }
  } finally {
    await database.stop();
  }
}

/** One project after the other: what changes nothing goes first, side by side. @param {string} project @param {string} address @param {readonly string[]} args */
function runProject(project, address, args) {
  const results = join(ROOT, '.cache/browser-results.json');
  rmSync(results, { force: true });
  const env = { ...process.env, WAINROPE_URL: address, PLAYWRIGHT_JSON_OUTPUT_NAME: results };
  const cli = join(ROOT, 'node_modules/@playwright/test/cli.js');
  const done = spawnSync(
    process.execPath,
    [cli, 'test', '--config', 'e2e/playwright.config.ts', '--pass-with-no-tests', `--project=${project}`, ...args],
    {
      cwd: ROOT,
      stdio: 'inherit',
      env,
    },
  );
  if (!existsSync(results)) throw new Problem(`The browser tests did not run (exit code ${done.status}).`);
  const { stats } = JSON.parse(readFileSync(results, 'utf8'));
  return {
    passed: stats.expected + stats.flaky,
    failed: stats.unexpected + (done.status !== 0 && stats.unexpected === 0 ? 1 : 0),
    skipped: stats.skipped,
  };
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
