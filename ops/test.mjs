// @ts-check
// npm test: format and lint, types, imports, unused code, unit, server and browser tests. The last line counts them.
import { execFile, spawnSync } from 'node:child_process';
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

/** One check that passes or fails as a whole. @param {string} name @param {readonly string[]} args @returns {Promise<void>} */
function check(name, args) {
  const began = Date.now();
  return new Promise((done) => {
    execFile(process.execPath, args, { cwd: ROOT, maxBuffer: 64e6 }, (error, stdout, stderr) => {
      console.log(`${error ? 'FAIL' : 'ok  '} ${name} (${((Date.now() - began) / 1000).toFixed(1)} s)`);
      if (error) console.log(`${stdout}\n${stderr}`.slice(-6000));
      count({ passed: error ? 0 : 1, failed: error ? 1 : 0, skipped: 0 });
      done();
    });
  });
}

function unitTests() {
  const file = join(ROOT, '.cache/unit-results.json');
  mkdirSync(join(ROOT, '.cache'), { recursive: true });
  rmSync(file, { force: true });
  const done = spawnSync(
    process.execPath,
    ['node_modules/vitest/vitest.mjs', 'run', '--reporter=default', '--reporter=json', `--outputFile.json=${file}`],
    { cwd: ROOT, stdio: 'inherit' },
  );
  if (!existsSync(file)) return count({ passed: 0, failed: 1, skipped: 0 });
  const { numPassedTests, numFailedTests, numPendingTests, numTodoTests } = JSON.parse(readFileSync(file, 'utf8'));
  const silent = done.status !== 0 && numFailedTests === 0 ? 1 : 0;
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
  // Side by side, the two that take longest each with shorter ones.
  await Promise.all([
    check('types', [bin('typescript/bin/tsc'), '--noEmit', '-p', 'tsconfig.json']).then(() =>
      check('imports run one way', [
        bin('dependency-cruiser/bin/dependency-cruise.mjs'),
        '--config',
        '.dependency-cruiser.cjs',
        ...sources,
      ]),
    ),
    check('types of the pages', [bin('typescript/bin/tsc'), '--noEmit', '-p', 'web'])
      .then(() => check('nothing unused', [bin('knip/bin/knip.js')]))
      .then(() => check('format and lint', [bin('@biomejs/biome/bin/biome'), 'ci', '.', '--error-on-warnings'])),
  ]);
  unitTests();
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
