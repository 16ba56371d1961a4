// @ts-check
// Looks for passages that stand twice in the sources; their number may only shrink.
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ROOT } from './folders.mjs';

/** Passages that stand twice today. */
const MOST = 4;
const LEAST_TOKENS = 50;

/** @typedef {{ readonly name: string, readonly start: number }} Place */
/** @typedef {{ readonly duplicates: readonly { readonly firstFile: Place, readonly secondFile: Place, readonly lines: number }[] }} Found */

const folder = mkdtempSync(join(tmpdir(), 'wainrope-duplicates-'));
const words = [
  ...['core/src', 'contract/src', 'server/src', 'web/src', 'cli/src', 'ops'],
  ...['--min-tokens', String(LEAST_TOKENS), '--min-lines', '5', '--reporters', 'json', '--output', folder, '--silent'],
  ...['--ignore', '**/*.test.ts,**/*.test.tsx,**/generated/**,**/testing/**,**/migrations/**'],
];
const run = spawnSync(process.execPath, [join(ROOT, 'node_modules/jscpd/bin/jscpd'), ...words], {
  cwd: ROOT,
  encoding: 'utf8',
  timeout: 300_000,
});
if (run.status !== 0) throw new Error(run.stderr || run.stdout || String(run.error));
/** @type {Found} */
const { duplicates } = JSON.parse(readFileSync(join(folder, 'jscpd-report.json'), 'utf8'));
rmSync(folder, { recursive: true, force: true });
for (const { firstFile, secondFile, lines } of duplicates)
  console.log(`${lines} lines: ${firstFile.name}:${firstFile.start} = ${secondFile.name}:${secondFile.start}`);
console.log(`${duplicates.length} passages of ${LEAST_TOKENS} tokens stand twice; at most ${MOST} may.`);
if (duplicates.length > MOST) process.exitCode = 1;
if (duplicates.length < MOST) console.log('Fewer than the limit: lower it in ops/duplicates.mjs.');
