// @ts-check
// Runs the browser tests (or takes the pictures with --shots) against the built application on a database of its own.
import { spawn } from 'node:child_process';
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

/** @typedef {{ passed: number, failed: number, skipped: number }} Counts */

/**
 * The tests run in two halves side by side, each against a server and a database of its own, so that what one changes is never
 * seen by the other; much of their time is waiting.
 */
const HALVES = 2;

/** @param {{ project?: 'tests' | 'shots' | 'drag', args?: readonly string[] }} options @returns {Promise<Counts>} */
export async function runBrowser({ project = 'tests', args = [] }) {
  const whole = project !== 'tests' || args.length > 0;
  /** @type {readonly (string | undefined)[]} */
  const shards = whole ? [undefined] : Array.from({ length: HALVES }, (_, index) => `${index + 1}/${HALVES}`);
  const stands = [];
  try {
    for (const shard of shards) stands.push({ shard, ...(await stand()) });
    const counts = await Promise.all(stands.map(({ shard, address }) => runProjects({ project, args, shard, address })));
    return counts.reduce(added, { passed: 0, failed: 0, skipped: 0 });
  } finally {
    for (const { stop } of stands) await stop();
  }
}

/** @param {Counts} a @param {Counts} b @returns {Counts} */
const added = (a, b) => ({ passed: a.passed + b.passed, failed: a.failed + b.failed, skipped: a.skipped + b.skipped });

/** A database with the demo in it, and a server on it. */
async function stand() {
  const database = await startPostgres({ folder: mkdtempSync('/var/tmp/wainrope-browser-'), throwAway: true });
  try {
    const extra = { WAINROPE_TODAY: TODAY };
    prepareDatabase(database, extra);
    const server = await startServer(database, { host: '127.0.0.1', port: await freePort(), extra });
    const stop = async () => {
      await server.stop();
      await database.stop();
    };
    return { address: server.address, stop };
  } catch (error) {
    await database.stop();
    throw error;
  }
}

/** @typedef {{ project: string, args: readonly string[], shard: string | undefined, address: string }} Wanted */

/** What changes nothing goes first: views, then the tests. @param {Wanted} wanted @returns {Promise<Counts>} */
async function runProjects(wanted) {
  let totals = { passed: 0, failed: 0, skipped: 0 };
  for (const project of wanted.project === 'tests' ? ['views', 'tests'] : [wanted.project])
    totals = added(totals, await runProject({ ...wanted, project }));
  return totals;
}

/** @param {Wanted} wanted @returns {Promise<Counts>} */
function runProject({ project, args, shard, address }) {
  const name = `${project}${shard ? `-${shard.replace('/', '-of-')}` : ''}`;
  const results = join(ROOT, `.cache/browser-${name}.json`);
  rmSync(results, { force: true });
  const env = { ...process.env, WAINROPE_URL: address, PLAYWRIGHT_JSON_OUTPUT_NAME: results };
  const cli = join(ROOT, 'node_modules/@playwright/test/cli.js');
  const words = ['test', '--config', 'e2e/playwright.config.ts', '--pass-with-no-tests', `--project=${project}`];
  const own = shard ? [`--shard=${shard}`, `--output=${join(ROOT, 'test-results', name)}`] : [];
  return new Promise((done, fail) => {
    const child = spawn(process.execPath, [cli, ...words, ...own, ...args], { cwd: ROOT, env, stdio: ['ignore', 'pipe', 'pipe'] });
    // Halves that run side by side speak one after the other.
    const said = /** @type {Buffer[]} */ ([]);
    const hear = (/** @type {Buffer} */ part) => (shard ? said.push(part) : process.stdout.write(part));
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    child.once('error', fail);
    child.once('close', (code) => {
      process.stdout.write(Buffer.concat(said));
      if (!existsSync(results)) return fail(new Problem(`The browser tests did not run (exit code ${code}).`));
      const { stats } = JSON.parse(readFileSync(results, 'utf8'));
      done({
        passed: stats.expected + stats.flaky,
        failed: stats.unexpected + (code !== 0 && stats.unexpected === 0 ? 1 : 0),
        skipped: stats.skipped,
      });
    });
  });
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
