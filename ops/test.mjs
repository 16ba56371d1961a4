// @ts-check
// npm test: format and lint, types, imports, unused code, unit, server and browser tests. The last line counts them.
import { execFile } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensureChromium, runBrowser } from './browser.mjs';
import { ensureBuild, ensurePackages } from './packages.mjs';
import { Problem, postgresPrograms, ROOT } from './postgres.mjs';

const total = { passed: 0, failed: 0, skipped: 0 };

/** @param {{ passed: number, failed: number, skipped: number }} counts */
function count({ passed, failed, skipped }) {
  total.passed += passed;
  total.failed += failed;
  total.skipped += skipped;
}

/** Runs a program to its end and keeps what it says. @param {readonly string[]} args @returns {Promise<{ failed: boolean, said: string, seconds: string }>} */
function run(args) {
  const began = Date.now();
  return new Promise((done) => {
    execFile(process.execPath, args, { cwd: ROOT, maxBuffer: 256e6 }, (error, stdout, stderr) =>
      done({ failed: error !== null, said: `${stdout}\n${stderr}`, seconds: ((Date.now() - began) / 1000).toFixed(1) }),
    );
  });
}

/** One check that passes or fails as a whole. @param {string} name @param {readonly string[]} args */
async function check(name, args) {
  const { failed, said, seconds } = await run(args);
  console.log(`${failed ? 'FAIL' : 'ok  '} ${name} (${seconds} s)`);
  if (failed) console.log(said.slice(-6000));
  count({ passed: failed ? 0 : 1, failed: failed ? 1 : 0, skipped: 0 });
}

/** Tests of some projects of Vitest. @param {string} name @param {readonly string[]} projects */
async function vitest(name, projects) {
  const file = join(ROOT, `.cache/unit-${projects.join('-')}.json`);
  mkdirSync(join(ROOT, '.cache'), { recursive: true });
  rmSync(file, { force: true });
  const { failed, said, seconds } = await run([
    'node_modules/vitest/vitest.mjs',
    'run',
    ...projects.map((project) => `--project=${project}`),
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${file}`,
  ]);
  console.log(said.slice(-60_000));
  console.log(`${failed ? 'FAIL' : 'ok  '} ${name} (${seconds} s)`);
  if (!existsSync(file)) return count({ passed: 0, failed: 1, skipped: 0 });
  const { numPassedTests, numFailedTests, numPendingTests, numTodoTests } = JSON.parse(readFileSync(file, 'utf8'));
  const silent = failed && numFailedTests === 0 ? 1 : 0;
  count({ passed: numPassedTests, failed: numFailedTests + silent, skipped: numPendingTests + numTodoTests });
}

async function main() {
  ensurePackages();
  postgresPrograms();
  ensureChromium();
  // The bench reads the built core, so the build comes before the types.
  ensureBuild();
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
      .then(() => check('format and lint', [bin('@biomejs/biome/bin/biome'), 'ci', '.', '--error-on-warnings']))
      .then(() => vitest('tests of core, contract, command line and pages', ['core', 'web'])),
  ]);
  count(await runBrowser({}));
}

main()
  .catch((error) => {
    console.error(error instanceof Problem ? error.message : error);
    total.failed += 1;
  })
  .finally(() => {
    console.log(`${total.passed} passed, ${total.failed} failed, ${total.skipped} skipped`);
    process.exitCode = total.failed > 0 || total.passed === 0 ? 1 : 0;
  });
