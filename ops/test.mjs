// @ts-check
// npm test: format and lint, types, imports, unused code, unit, server and browser tests. The last line counts them.
// npm run test:long: what takes too long for every time: every layout at every size, every page as each reader, more random rigs, damaged input, large loads, kills.
import { execFile } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join, relative } from 'node:path';
import { stripVTControlCharacters } from 'node:util';
import { runBrowser } from './browser.mjs';
import { ensureDebian } from './debian.mjs';
import { ROOT } from './folders.mjs';
import { ensureBuild, ensurePackages } from './packages.mjs';
import { Problem } from './problem.mjs';

const total = { passed: 0, failed: 0, skipped: 0 };

/** What failed, each with the end of what it said: told once more before the last line, since a long log is read from its end. */
const failures = /** @type {string[]} */ ([]);

/** @param {{ passed: number, failed: number, skipped: number, failures?: readonly string[] }} counts */
function count({ passed, failed, skipped, failures: also = [] }) {
  total.passed += passed;
  total.failed += failed;
  total.skipped += skipped;
  failures.push(...also);
}

/** Tests that are long ask for this. */
const LONG = { WAINROPE_LONG: 'yes' };

/**
 * Runs a program to its end and keeps what it says.
 * @param {readonly string[]} args @param {Record<string, string>} [extra] @returns {Promise<{ failed: boolean, said: string, seconds: string }>}
 */
function run(args, extra) {
  const began = Date.now();
  return new Promise((done) => {
    execFile(process.execPath, args, { cwd: ROOT, maxBuffer: 256e6, env: { ...process.env, ...extra } }, (error, stdout, stderr) =>
      done({ failed: error !== null, said: `${stdout}\n${stderr}`, seconds: ((Date.now() - began) / 1000).toFixed(1) }),
    );
  });
}

/** One check that passes or fails as a whole. @param {string} name @param {readonly string[]} args */
async function check(name, args) {
  const { failed, said, seconds } = await run(args);
  console.log(`${failed ? 'FAIL' : 'ok  '} ${name} (${seconds} s)`);
  if (failed) console.log(said.slice(-6000));
  count({
    passed: failed ? 0 : 1,
    failed: failed ? 1 : 0,
    skipped: 0,
    failures: failed ? [`${name}\n${stripVTControlCharacters(said).slice(-1500)}`] : [],
  });
}

/**
 * Tests of some projects of Vitest. What has no result did not run, and that is a failure.
 * @param {string} name @param {readonly string[]} projects @param {{ files?: readonly string[], extra?: Record<string, string> }} [options]
 */
async function vitest(name, projects, { files = [], extra } = {}) {
  const file = join(ROOT, `.cache/unit-${projects.join('-')}.json`);
  mkdirSync(join(ROOT, '.cache'), { recursive: true });
  rmSync(file, { force: true });
  const { failed, said, seconds } = await run(
    [
      'node_modules/vitest/vitest.mjs',
      'run',
      ...files,
      ...projects.map((project) => `--project=${project}`),
      '--reporter=default',
      '--reporter=json',
      `--outputFile.json=${file}`,
    ],
    extra,
  );
  console.log(said.slice(-60_000));
  console.log(`${failed ? 'FAIL' : 'ok  '} ${name} (${seconds} s)`);
  const end = `${name}\n${stripVTControlCharacters(said).slice(-1500)}`;
  if (!existsSync(file)) return count({ passed: 0, failed: 1, skipped: 0, failures: [end] });
  const { testResults, numPassedTests, numFailedTests, numPendingTests, numTodoTests } = JSON.parse(readFileSync(file, 'utf8'));
  const notRun = numPendingTests + numTodoTests;
  if (notRun > 0) console.log(`FAIL ${notRun} tests did not run`);
  const silent = failed && numFailedTests === 0 && notRun === 0 ? 1 : 0;
  count({
    passed: numPassedTests,
    failed: numFailedTests + notRun + silent,
    skipped: 0,
    failures: [...(silent ? [end] : []), ...testResults.flatMap(faultsOfFile)],
  });
}

/**
 * @typedef {{ readonly status: string, readonly fullName: string, readonly failureMessages: readonly string[] }} UnitResult
 * @param {{ readonly name: string, readonly assertionResults: readonly UnitResult[] }} file @returns {readonly string[]}
 */
const faultsOfFile = ({ name, assertionResults }) =>
  assertionResults
    .filter(({ status }) => status !== 'passed')
    .map(
      ({ status, fullName, failureMessages }) =>
        `${relative(ROOT, name)}: ${fullName} (${status})\n${stripVTControlCharacters(failureMessages.join('\n')).slice(0, 1500)}`,
    );

/** Files of tests that take more where they are asked to. */
const LONG_FILES = ['long.test', 'random-rigs.test', 'nonsense.test'];

async function long() {
  await vitest('long tests of core and pages', ['core', 'web'], { files: LONG_FILES, extra: LONG });
  await vitest('large loads of the server', ['server'], { files: ['large-load'], extra: LONG });
  count(await runBrowser({ args: ['layouts', 'every-page'], extra: LONG }));
  await check('kills at random instants', ['ops/kill-test.mjs']);
  await check('starts and ends', ['ops/start-test.mjs']);
  await check('damaged input', ['--import', 'tsx', '--conditions=source', 'ops/fuzz.ts', '200000']);
}

async function main() {
  await ensureDebian(['postgresql', 'chromium']);
  await ensurePackages();
  // The bench reads the built core, so the build comes before the types.
  await ensureBuild();
  if (process.argv.includes('--long')) return long();
  const bin = (/** @type {string} */ path) => join('node_modules', path);
  const sources = ['core/src', 'contract/src', 'server/src', 'web/src', 'cli/src'];
  // Side by side: the tests of the server, which mostly wait for the database, and all that only reckons.
  await Promise.all([
    vitest('tests of the server', ['server']),
    check('types', [bin('typescript/bin/tsc'), '--noEmit', '-p', 'tsconfig.json'])
      .then(() => check('types of the pages', [bin('typescript/bin/tsc'), '--noEmit', '-p', 'web']))
      .then(() =>
        check('imports run one way', [
          bin('dependency-cruiser/bin/dependency-cruise.mjs'),
          '--config',
          '.dependency-cruiser.cjs',
          ...sources,
        ]),
      )
      .then(() => check('nothing unused', [bin('knip/bin/knip.js')]))
      .then(() => check('nothing stands twice', ['ops/duplicates.mjs']))
      .then(() => check('format and lint', [bin('@biomejs/biome/bin/biome'), 'ci', '.', '--error-on-warnings']))
      .then(() => vitest('tests of core, contract, command line and pages', ['core', 'web', 'mocked'])),
  ]);
  count(await runBrowser({}));
}

main()
  .catch((error) => {
    console.error(error instanceof Problem ? error.message : error);
    total.failed += 1;
  })
  .finally(() => {
    for (const failure of failures) console.log(`\nFAIL ${failure}`);
    console.log(`${total.passed} passed, ${total.failed} failed, ${total.skipped} skipped`);
    process.exitCode = total.failed > 0 || total.passed === 0 ? 1 : 0;
  });
