// @ts-check
// Runs the browser tests (or takes the pictures with --shots, or times a drag with --drag) against the built application.
import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { stripVTControlCharacters } from 'node:util';
import { ensureDebian } from './debian.mjs';
import { ROOT } from './folders.mjs';
import { ensureBuild, ensurePackages } from './packages.mjs';
import { cloneDatabase, freePort, startPostgres } from './postgres.mjs';
import { Problem } from './problem.mjs';
import { prepareDatabase, startServer } from './serve.mjs';

/** The demo's own base date, so that pictures and tests see the same days for ever. */
const TODAY = '2026-01-15';
const extra = { WAINROPE_TODAY: TODAY };

/** @typedef {{ passed: number, failed: number, skipped: number, failures: readonly string[] }} Counts `failures` tells each with its error. */
/** @typedef {{ project: string, file: string, args: readonly string[], extra?: Record<string, string> }} Wanted */

/** Files that run side by side; much of their time is waiting. */
const AT_ONCE = 2;

const FOLDER = join(ROOT, 'e2e');

/** Files of browser tests, the longest first so that none is left to run alone. @param {readonly string[]} names Parts of names; all without. */
const specFiles = (names) =>
  readdirSync(FOLDER)
    .filter((file) => file.endsWith('.spec.ts') && (names.length === 0 || names.some((name) => file.includes(name))))
    .sort((a, b) => statSync(join(FOLDER, b)).size - statSync(join(FOLDER, a)).size);

/**
 * Each file has a server and a database of its own, copied from one with the demo team, so that no file sees what another changes.
 * @param {{ project?: 'tests' | 'shots' | 'drag', args?: readonly string[], extra?: Record<string, string> }} options @returns {Promise<Counts>}
 */
export async function runBrowser({ project = 'tests', args = [], extra: more = {} }) {
  const files =
    project === 'tests' ? specFiles(args.filter((arg) => !arg.startsWith('-'))) : [`${project}${project === 'drag' ? '.bench' : ''}.ts`];
  const flags = args.filter((arg) => arg.startsWith('-'));
  const { stop, ...template } = await startPostgres({ folder: mkdtempSync('/var/tmp/wainrope-browser-'), throwAway: true });
  const totals = { passed: 0, failed: 0, skipped: 0, failures: /** @type {string[]} */ ([]) };
  try {
    await prepareDatabase(template, extra);
    const waiting = [...files];
    const worker = async () => {
      for (let file = waiting.shift(); file !== undefined; file = waiting.shift()) {
        const { passed, failed, skipped, failures } = await runFile(template, { project, file, args: flags, extra: more });
        totals.passed += passed;
        totals.failed += failed;
        totals.skipped += skipped;
        totals.failures.push(...failures);
      }
    };
    await Promise.all(Array.from({ length: AT_ONCE }, worker));
    return totals;
  } finally {
    await stop();
  }
}

/** @param {import('./postgres.mjs').DatabaseUrls} template @param {Wanted} wanted @returns {Promise<Counts>} */
async function runFile(template, wanted) {
  const urls = await cloneDatabase(template, `browser_${wanted.file.replace(/\W/g, '_')}`);
  const server = await startServer(urls, { host: '127.0.0.1', port: await freePort(), extra });
  try {
    return await runPlaywright(wanted, server.address);
  } finally {
    await server.stop();
  }
}

/** @param {Wanted} wanted @param {string} address @returns {Promise<Counts>} */
function runPlaywright({ project, file, args, extra: more = {} }, address) {
  const results = join(ROOT, `.cache/browser-${file}.json`);
  rmSync(results, { force: true });
  const env = { ...process.env, ...more, WAINROPE_URL: address, PLAYWRIGHT_JSON_OUTPUT_NAME: results };
  const cli = join(ROOT, 'node_modules/@playwright/test/cli.js');
  const words = ['test', '--config', 'e2e/playwright.config.ts', `--project=${project}`];
  const own = [`--output=${join(ROOT, 'test-results', file)}`, ...args, `e2e/${file}`];
  return new Promise((done, fail) => {
    const child = spawn(process.execPath, [cli, ...words, ...own], { cwd: ROOT, env, stdio: ['ignore', 'pipe', 'pipe'] });
    // Files that run side by side speak one after the other.
    const said = /** @type {Buffer[]} */ ([]);
    const hear = (/** @type {Buffer} */ part) => said.push(part);
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    child.once('error', fail);
    child.once('close', (code) => {
      process.stdout.write(Buffer.concat(said));
      if (!existsSync(results)) return fail(new Problem(`The browser tests of ${file} did not run (exit code ${code}).`));
      done(countsOf(file, JSON.parse(readFileSync(results, 'utf8')), code));
    });
  });
}

/**
 * @typedef {{ readonly errors?: readonly { readonly message?: string }[] }} Attempt
 * @typedef {{ readonly status: string, readonly annotations: readonly { type: string, description?: string }[], readonly results: readonly Attempt[] }} Result
 * @typedef {{ readonly specs?: readonly { readonly title: string, readonly tests: readonly Result[] }[], readonly suites?: readonly Suite[] }} Suite
 */

/** Every test of a suite with its title. @param {Suite} suite @returns {readonly (Result & { title: string })[]} */
const resultsOf = ({ specs = [], suites = [] }) => [
  ...specs.flatMap(({ title, tests }) => tests.map((test) => ({ ...test, title }))),
  ...suites.flatMap(resultsOf),
];

/** A test that is skipped says why; one that has no result did not run, and that is a failure. @param {Result} result @returns {'passed' | 'failed' | 'skipped'} */
function outcomeOf({ status, annotations }) {
  if (status === 'expected' || status === 'flaky') return 'passed';
  return status === 'skipped' && annotations.some(({ type, description }) => type === 'skip' && description) ? 'skipped' : 'failed';
}

/** @param {string} file @param {Suite & { readonly errors?: Attempt['errors'] }} told @param {number | null} code @returns {Counts} */
function countsOf(file, told, code) {
  const counts = { passed: 0, failed: 0, skipped: 0 };
  const failures = [];
  for (const result of resultsOf(told)) {
    const outcome = outcomeOf(result);
    counts[outcome]++;
    if (outcome === 'skipped')
      console.log(`skipped: ${result.title}: ${result.annotations.map(({ description }) => description).join(' ')}`);
    if (outcome === 'failed') failures.push(`e2e/${file}: ${result.title}\n${errorsOf(result)}`);
  }
  if (code !== 0 && counts.failed === 0) {
    counts.failed++;
    failures.push(`e2e/${file} ended with code ${code}\n${messagesOf(told.errors)}`);
  }
  return { ...counts, failures };
}

/** @param {Attempt['errors']} [errors] */
const messagesOf = (errors = []) =>
  errors
    .map(({ message = '' }) => stripVTControlCharacters(message))
    .join('\n')
    .slice(0, 1500);

/** @param {Result} result */
const errorsOf = ({ status, results }) =>
  status === 'skipped' ? 'it did not run' : messagesOf(results.flatMap(({ errors = [] }) => errors));

if (process.argv[1] === resolve(import.meta.filename)) {
  const args = process.argv.slice(2);
  const project = args.includes('--shots') ? 'shots' : args.includes('--drag') ? 'drag' : 'tests';
  await ensureDebian(['postgresql', 'chromium']);
  await ensurePackages();
  await ensureBuild();
  const { passed, failed, failures } = await runBrowser({ project, args: args.filter((arg) => arg !== '--shots' && arg !== '--drag') });
  for (const failure of failures) console.log(`\nFAIL ${failure}`);
  console.log(`${passed} passed, ${failed} failed`);
  process.exitCode = failed > 0 || passed === 0 ? 1 : 0;
}
