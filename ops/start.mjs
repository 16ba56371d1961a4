// @ts-check
// npm start: set up, build, database, demo data, serve, print the address; whatever of it dies alone is started again. Ctrl-C ends all of it.
import { spawn } from 'node:child_process';
import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { forgetEarlier } from './backup.mjs';
import { ensureDebian } from './debian.mjs';
import { dataFolder, makeDataFolder, ROOT } from './folders.mjs';
import { ensureBuild, ensurePackages } from './packages.mjs';
import { startPostgres, stopPostgres } from './postgres.mjs';
import { commandLine, Problem, tell } from './problem.mjs';
import { Ended, endAll, refuseIfEnding, signalGroup, WITH_PARENT } from './processes.mjs';
import { prepareDatabase, refuseTakenPort, sessionSecret, startServer } from './serve.mjs';

const HELP = `npm start [-- OPTIONS]: sets up what is missing, builds, starts database and server, prints the address. Ctrl-C ends it.

  --no-demo      without the demo team; the first page founds a team
  --fresh-demo   begins again with the demo; what is in the data folder is lost
  --dev          builds on every change and serves the pages with hot reload
  -h, --help     this text

  WAINROPE_DATA     where everything is kept (.data in this folder)
  WAINROPE_HOST     address that is listened on (127.0.0.1)
  WAINROPE_PORT     port (4810)
  WAINROPE_PUBLIC_URL, WAINROPE_TRUST_PROXY, WAINROPE_METRICS_PORT: to serve a team, see docs/deploy.md

npm run doctor says what is there, what is old and what is full.`;

const { values: options } = commandLine({
  help: HELP,
  options: { 'fresh-demo': { type: 'boolean' }, 'no-demo': { type: 'boolean' }, dev: { type: 'boolean' } },
});
const data = dataFolder();
const host = process.env.WAINROPE_HOST ?? '127.0.0.1';
const port = Number(process.env.WAINROPE_PORT ?? '4810');
const lock = join(data, 'start.lock');
/** What was started again, and when: readiness tells it. */
const restarts = join(data, 'restarts.json');

/** One start at a time in a data folder; the lock of a dead one is taken over. Whether there was one. */
function takeLock() {
  makeDataFolder();
  const wasKilled = existsSync(lock);
  if (wasKilled) {
    const pid = Number(readFileSync(lock, 'utf8'));
    if (pid !== process.pid && isAlive(pid))
      throw new Problem(
        `Wainrope already runs on this data folder (process ${pid}). Stop it there with Ctrl-C, or choose another folder with WAINROPE_DATA.`,
      );
    console.log('An earlier start did not end cleanly; going on from its data.');
  }
  writeFileSync(lock, String(process.pid));
  return wasKilled;
}

/** @param {number} pid */
function isAlive(pid) {
  const command = `/proc/${pid}/cmdline`;
  return existsSync(command) && readFileSync(command, 'utf8').includes('start.mjs');
}

/** @type {(() => Promise<void>)[]} */
const undo = [];
let stopping = false;
/** What is being set up, so that a stop in the midst of it waits for its end. @type {Promise<void>} */
let starting = Promise.resolve();

/** Ends everything that was begun, the last first. @param {number} code */
async function stopAll(code) {
  if (stopping) return;
  stopping = true;
  await endAll();
  await starting.catch(() => undefined);
  for (const step of undo.reverse()) await step().catch((error) => console.error(error));
  process.exit(code);
}

/** A log of at most 20 MB, with five earlier ones beside it. What it is told is shown here, too. */
async function openLog() {
  const { createStream } = await import('rotating-file-stream');
  const file = createStream('server.log', { path: join(data, 'logs'), size: '20M', rotate: 5 });
  file.on('error', (error) => console.error(`The log cannot be written: ${error.message}`));
  undo.push(() => new Promise((done) => file.end(() => done())));
  return (/** @type {string} */ text) => {
    process.stdout.write(text);
    if (file.writable) file.write(text);
  };
}

const counts = { server: 0, database: 0 };

/** @param {keyof typeof counts} what @param {string} why @param {(text: string) => void} say */
function sayStartedAgain(what, why, say) {
  counts[what] += 1;
  const at = new Date().toISOString();
  writeFileSync(restarts, JSON.stringify({ ...counts, last: { what, why, at } }));
  say(`${JSON.stringify({ level: 50, time: Date.now(), msg: `the ${what} ended by itself (${why}) and is started again` })}\n`);
}

/** How long to wait before something that keeps ending is started once more, at most half a minute. @param {readonly number[]} ends */
const pauseAfter = (ends) => Math.min(30_000, 500 * 2 ** (ends.filter((at) => at > Date.now() - 120_000).length - 1));

/** Keeps the database running. @param {Awaited<ReturnType<typeof startPostgres>>} database @param {(text: string) => void} say */
async function watchDatabase(database, say) {
  const ends = [];
  for (let round = 1; !stopping; round++) {
    await wait(250);
    if (round % 240 === 0) database.pruneLogs();
    if (stopping || database.runs()) continue;
    ends.push(Date.now());
    sayStartedAgain('database', 'its process is gone', say);
    if (ends.length > 1) await wait(pauseAfter(ends));
    await database.startAgain().catch((error) => stopping || say(`${error.message}\n`));
  }
}

/** Keeps the server running. @param {Awaited<ReturnType<typeof startServer>>} first @param {() => ReturnType<typeof startServer>} begin @param {(text: string) => void} say */
async function watchServer(first, begin, say) {
  const ends = [];
  let server = first;
  undo.push(() => server.stop());
  for (;;) {
    const why = await server.ended;
    if (stopping) return;
    ends.push(Date.now());
    sayStartedAgain('server', why, say);
    await wait(pauseAfter(ends));
    if (stopping) return;
    // One that does not even begin has ended, too: the next round says so and waits longer.
    server = await begin().catch((error) => {
      if (!stopping) say(`${error.message}\n`);
      return { ...server, ended: Promise.resolve('it did not begin'), stop: async () => undefined };
    });
  }
}

async function start() {
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    throw new Problem(`WAINROPE_PORT is “${process.env.WAINROPE_PORT}”; a port from 1 to 65535 is expected.`);
  const wasKilled = takeLock();
  undo.push(async () => rmSync(lock, { force: true }));
  rmSync(restarts, { force: true });
  await refuseTakenPort(host, port, wasKilled);
  // Whatever has to be installed is asked for before anything is built.
  await ensureDebian(['postgresql']);
  await ensurePackages();
  await ensureBuild();
  refuseIfEnding();
  const say = await openLog();
  undo.push(() => stopPostgres(join(data, 'postgres')));
  const database = await startPostgres({ folder: join(data, 'postgres'), fresh: options['fresh-demo'] === true, logs: true });
  refuseIfEnding();
  const extra = {
    WAINROPE_SESSION_SECRET: sessionSecret(data),
    WAINROPE_HOST: host,
    WAINROPE_PORT: String(port),
    WAINROPE_RESTARTS: restarts,
    WAINROPE_BACKUPS: join(data, 'backups'),
    ...(options['no-demo'] && { WAINROPE_DEMO: 'no' }),
  };
  await prepareDatabase(database, extra);
  const begin = () => startServer(database, { host, port, extra, watch: options.dev === true, say });
  const server = await begin();
  await forgetEarlier(database.adminUrl);
  watchDatabase(database, say);
  watchServer(server, begin, say);
  if (options.dev) startDevelopment(server.address);
  console.log(
    `\n  Wainrope is ready:  ${server.address}\n  API documents:      ${server.address}/api/docs\n\n  Ctrl-C stops it. The data stays in ${data}, its log in ${join(data, 'logs')}.\n`,
  );
}

/** Rebuilds on every change and serves the pages with hot reload. @param {string} api */
function startDevelopment(api) {
  const tools = [
    ['typescript/bin/tsc', '-b', '-w', '--preserveWatchOutput', 'core', 'contract', 'server'],
    ['vite/bin/vite.js', 'web'],
  ];
  for (const [tool, ...args] of tools) {
    const [program = process.execPath, ...rest] = [...WITH_PARENT, process.execPath, join(ROOT, 'node_modules', tool ?? ''), ...args];
    const child = spawn(program, rest, {
      cwd: ROOT,
      stdio: 'inherit',
      detached: true,
      env: { ...process.env, WAINROPE_API: api },
    });
    undo.push(async () => signalGroup(child.pid, 'SIGTERM'));
  }
}

for (const signal of /** @type {const} */ (['SIGINT', 'SIGTERM', 'SIGHUP'])) process.on(signal, () => stopAll(0));
starting = start();
starting.catch((error) => {
  if (!(error instanceof Ended)) tell(error);
  stopAll(1);
});
