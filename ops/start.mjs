// @ts-check
// npm start: set up, build, database, demo data, serve, print the address. Ctrl-C ends all of it.
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { ensureBuild, ensurePackages } from './packages.mjs';
import { Problem, ROOT, startPostgres } from './postgres.mjs';
import { prepareDatabase, refuseTakenPort, sessionSecret, startServer } from './serve.mjs';

const { values: options } = parseArgs({
  options: {
    'fresh-demo': { type: 'boolean', default: false },
    'no-demo': { type: 'boolean', default: false },
    dev: { type: 'boolean', default: false },
  },
});
const data = resolve(process.env.WAINROPE_DATA ?? join(ROOT, '.data'));
const host = process.env.WAINROPE_HOST ?? '127.0.0.1';
const port = Number(process.env.WAINROPE_PORT ?? '4810');
const lock = join(data, 'start.lock');

/** One start at a time in a data folder; the lock of a dead one is taken over. */
function takeLock() {
  mkdirSync(data, { recursive: true });
  if (existsSync(lock)) {
    const pid = Number(readFileSync(lock, 'utf8'));
    if (pid !== process.pid && isAlive(pid))
      throw new Problem(
        `Wainrope already runs on this data folder (process ${pid}). Stop it there with Ctrl-C, or choose another folder with WAINROPE_DATA.`,
      );
    console.log('An earlier start did not end cleanly; going on from its data.');
  }
  writeFileSync(lock, String(process.pid));
}

/** @param {number} pid */
function isAlive(pid) {
  try {
    process.kill(pid, 0);
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('start.mjs');
  } catch {
    return false;
  }
}

/** @type {(() => Promise<void>)[]} */
const undo = [];
let stopping = false;

/** @param {number} code */
async function stopAll(code) {
  if (stopping) return;
  stopping = true;
  for (const step of undo.reverse()) await step().catch((error) => console.error(error));
  process.exit(code);
}

async function start() {
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    throw new Problem(`WAINROPE_PORT is “${process.env.WAINROPE_PORT}”; a port from 1 to 65535 is expected.`);
  await refuseTakenPort(host, port);
  takeLock();
  undo.push(async () => rmSync(lock, { force: true }));
  ensurePackages();
  ensureBuild();
  const database = await startPostgres({ folder: join(data, 'postgres'), fresh: options['fresh-demo'] });
  undo.push(() => database.stop());
  const extra = {
    WAINROPE_SESSION_SECRET: sessionSecret(data),
    WAINROPE_HOST: host,
    WAINROPE_PORT: String(port),
    ...(options['no-demo'] && { WAINROPE_DEMO: 'no' }),
  };
  prepareDatabase(database, extra);
  const server = await startServer(database, { host, port, extra, watch: options.dev });
  undo.push(() => server.stop());
  server.ended.then(() => {
    if (stopping) return;
    console.error('The server ended.');
    stopAll(1);
  });
  if (options.dev) startDevelopment(server.address);
  console.log(
    `\n  Wainrope is ready:  ${server.address}\n  API documents:      ${server.address}/api/docs\n\n  Ctrl-C stops it. The data stays in ${data}.\n`,
  );
}

/** Rebuilds on every change and serves the pages with hot reload. @param {string} api */
function startDevelopment(api) {
  const tools = [
    ['typescript/bin/tsc', '-b', '-w', '--preserveWatchOutput', 'core', 'contract', 'server'],
    ['vite/bin/vite.js', 'web'],
  ];
  for (const [tool, ...args] of tools) {
    const child = spawn(process.execPath, [join(ROOT, 'node_modules', tool ?? ''), ...args], {
      cwd: ROOT,
      stdio: 'inherit',
      env: { ...process.env, WAINROPE_API: api },
    });
    undo.push(async () => void child.kill('SIGTERM'));
  }
}

process.on('SIGINT', () => stopAll(0));
process.on('SIGTERM', () => stopAll(0));
start().catch((error) => {
  console.error(error instanceof Problem ? `\n${error.message}\n` : error);
  stopAll(1);
});
