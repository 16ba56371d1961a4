// Runs the command line from its build; builds it first where that is missing.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { resolve } from 'node:path';

const root = resolve(import.meta.dirname, '..');
const main = resolve(root, 'cli/dist/main.js');
if (!existsSync(main)) {
  const tsc = resolve(root, 'node_modules/typescript/bin/tsc');
  if (!existsSync(tsc)) {
    console.error('The packages are not installed yet; run `npm ci --ignore-scripts` or `npm start` once.');
    process.exit(3);
  }
  const built = spawnSync(process.execPath, [tsc, '-b', 'cli'], { cwd: root, stdio: ['ignore', 2, 2] });
  if (built.status !== 0) process.exit(3);
}
const run = spawnSync(process.execPath, [main, ...process.argv.slice(2)], { stdio: 'inherit', cwd: process.env.INIT_CWD ?? process.cwd() });
process.exit(run.status ?? 3);
