// @ts-check
// npm packages and builds, made anew only when what they come from has changed.
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { needWritable, ROOT } from './folders.mjs';
import { Problem } from './problem.mjs';
import { execute } from './processes.mjs';

const CACHE = join(ROOT, '.cache');

/** @param {string} name @param {string} stamp */
function isFresh(name, stamp) {
  const file = join(CACHE, name);
  return existsSync(file) && readFileSync(file, 'utf8') === stamp;
}

/** @param {string} name @param {string} stamp */
function remember(name, stamp) {
  mkdirSync(CACHE, { recursive: true });
  writeFileSync(join(CACHE, name), stamp);
}

/** @param {string} command @param {readonly string[]} args @param {string} what */
export async function run(command, args, what) {
  const done = await execute(command, args, { cwd: ROOT });
  if (done.status !== 0) throw new Problem(`${what} failed:\n${`${done.stdout}\n${done.stderr}`.trim().slice(-4000)}`);
}

/** Installs exactly what the lock file says. */
export async function ensurePackages() {
  const stamp = createHash('sha256')
    .update(readFileSync(join(ROOT, 'package-lock.json')))
    .digest('hex');
  if (existsSync(join(ROOT, 'node_modules/.package-lock.json')) && isFresh('packages', stamp)) return;
  needWritable(join(ROOT, 'node_modules'), `${ROOT}, where packages are installed,`, INSTEAD);
  console.log('Installing npm packages …');
  const done = await execute('npm', ['ci', '--ignore-scripts', '--no-audit', '--no-fund'], { cwd: ROOT });
  if (done.status !== 0) throw new Problem(npmProblem(`${done.stdout}\n${done.stderr}`));
  remember('packages', stamp);
}

const INSTEAD = 'Run it as whoever owns the folder, or copy the folder to a place of your own.';

/** What npm's words mean for a person. @param {string} said */
export function npmProblem(said) {
  const unreachable = /\b(ENOTFOUND|EAI_AGAIN|ECONNREFUSED|ECONNRESET|ETIMEDOUT|ENETUNREACH|EHOSTUNREACH|ERR_SOCKET_TIMEOUT)\b/.exec(
    said,
  )?.[1];
  if (unreachable)
    return `The npm packages cannot be fetched: their source does not answer (${unreachable}). Check the connection; “npm config get registry” says which source is asked. Then start again.`;
  if (/\bENOSPC\b/.test(said)) return 'The npm packages cannot be installed: the disk is full. Make room, then start again.';
  if (/\b(EACCES|EPERM|EROFS)\b/.test(said)) return `The npm packages cannot be installed: ${ROOT} cannot be written. ${INSTEAD}`;
  if (/\bE40[13]\b/.test(said))
    return 'The npm packages cannot be fetched: their source wants a sign-in. See “npm config get registry”, then start again.';
  return `Installing the npm packages failed:\n${said.trim().slice(-4000)}`;
}

/** Whether the packages are those of the lock file, and the build that of the sources. */
export function whatIsBuilt() {
  const lock = createHash('sha256')
    .update(readFileSync(join(ROOT, 'package-lock.json')))
    .digest('hex');
  const installed = existsSync(join(ROOT, 'node_modules/.package-lock.json'));
  const built = OUTPUTS.every((file) => existsSync(join(ROOT, file)) && statSync(join(ROOT, file)).size > 0);
  return {
    packages: installed ? (isFresh('packages', lock) ? 'as the lock file says' : 'older than the lock file') : 'not installed',
    build: built ? (isFresh('build', sourcesStamp(BUILT)) ? 'of these sources' : 'older than the sources') : 'not built',
  };
}

const OUTPUTS = ['server/dist/main.js', 'web/dist/index.html', 'cli/dist/main.js'];
const BUILT = ['core', 'contract', 'server', 'cli', 'web'];

/** Paths, sizes and times of all sources below some folders. @param {readonly string[]} folders */
function sourcesStamp(folders) {
  const hash = createHash('sha256');
  const walk = (/** @type {string} */ folder) => {
    for (const entry of readdirSync(folder, { withFileTypes: true }).sort((a, b) => (a.name < b.name ? -1 : 1))) {
      const path = join(folder, entry.name);
      if (entry.isDirectory()) {
        if (entry.name !== 'dist' && entry.name !== 'node_modules') walk(path);
      } else if (!entry.name.endsWith('.tsbuildinfo')) hash.update(path).update(readFileSync(path));
    }
  };
  for (const folder of folders) walk(join(ROOT, folder));
  for (const file of ['tsconfig.base.json', 'package-lock.json']) hash.update(readFileSync(join(ROOT, file)));
  return hash.digest('hex');
}

/** Builds core, contract, server, command line and pages where their sources have changed. */
export async function ensureBuild() {
  const stamp = sourcesStamp(BUILT);
  if (isFresh('build', stamp) && OUTPUTS.every((file) => existsSync(join(ROOT, file)) && statSync(join(ROOT, file)).size > 0)) return;
  needWritable(join(ROOT, 'web/dist'), `${ROOT}, where the build goes,`, INSTEAD);
  console.log('Building …');
  const node = (/** @type {readonly string[]} */ args, /** @type {string} */ what) => run(process.execPath, args, what);
  await node(['node_modules/typescript/bin/tsc', '-b', 'core', 'contract', 'server', 'cli'], 'Building server and command line');
  await node(['node_modules/vite/bin/vite.js', 'build', 'web', '--logLevel', 'warn'], 'Building the pages');
  await node(['ops/pack-pages.mjs', join(ROOT, 'web/dist')], 'Packing the pages');
  remember('build', stamp);
}
