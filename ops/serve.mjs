// @ts-check
// Starts the server process on a prepared database and waits until it answers.
import { spawn } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { ROOT } from './folders.mjs';
import { Problem } from './problem.mjs';
import { execute, isAskedToEnd, refuseIfEnding, signalGroup, WITH_PARENT } from './processes.mjs';

/** @typedef {{ ownerUrl: string, appUrl: string }} Urls */

/** The secret that signs session cookies, made once for a data folder. @param {string} data */
export function sessionSecret(data) {
  const file = join(data, 'session-secret');
  if (!existsSync(file)) writeFileSync(file, randomBytes(32).toString('hex'), { mode: 0o600 });
  return readFileSync(file, 'utf8').trim();
}

/** @param {Urls} urls @param {Record<string, string>} [extra] */
export function serverEnvironment(urls, extra = {}) {
  return {
    WAINROPE_SESSION_SECRET: randomBytes(32).toString('hex'),
    ...process.env,
    WAINROPE_OWNER_URL: urls.ownerUrl,
    WAINROPE_DATABASE_URL: urls.appUrl,
    WAINROPE_LOG_LEVEL: process.env.WAINROPE_LOG_LEVEL ?? 'warn',
    ...extra,
  };
}

/** Migrates, and loads the demo where the database is empty. @param {Urls} urls @param {Record<string, string>} [extra] */
export async function prepareDatabase(urls, extra) {
  const done = await execute(process.execPath, [join(ROOT, 'server/dist/prepare.js')], { cwd: ROOT, env: serverEnvironment(urls, extra) });
  process.stdout.write(done.stdout);
  if (done.status !== 0) throw new Problem(`The database could not be prepared:\n${done.stderr.slice(-2000)}`);
}

/** Whether nobody listens there; what is left of a start that was killed is given time to end. @param {string} host @param {number} port @param {boolean} wasKilled */
export async function refuseTakenPort(host, port, wasKilled = false) {
  for (let waited = 0; wasKilled && waited < 5000; waited += 100) {
    const isFree = await tryPort(host, port).then(
      () => true,
      () => false,
    );
    if (isFree) return;
    await wait(100);
  }
  await tryPort(host, port);
}

/** @param {string} host @param {number} port @returns {Promise<void>} */
function tryPort(host, port) {
  return new Promise((done, fail) => {
    const probe = createServer();
    probe.once('error', (error) => {
      const code = /** @type {NodeJS.ErrnoException} */ (error).code;
      fail(
        new Problem(
          code === 'EADDRINUSE'
            ? `Port ${port} is taken by another program. Choose another: WAINROPE_PORT=${port + 1} npm start`
            : `Port ${port} cannot be used on ${host}: ${error.message}`,
        ),
      );
    });
    probe.listen(port, host, () => probe.close(() => done()));
  });
}

/** What is on its way is answered within a second; whatever does not end by then is ended. */
const STOP_MS = 1700;

/**
 * @param {Urls} urls
 * @param {{ host: string, port: number, extra?: Record<string, string>, watch?: boolean, say?: (text: string) => void }} options
 */
export async function startServer(urls, { host, port, extra = {}, watch = false, say = (text) => process.stdout.write(text) }) {
  refuseIfEnding();
  const env = serverEnvironment(urls, { ...extra, WAINROPE_HOST: host, WAINROPE_PORT: String(port) });
  // Answers are made and thrown away: room for them saves half the collecting.
  const flags = ['--max-semi-space-size=32', ...(watch ? ['--watch', '--watch-preserve-output'] : [])];
  const [program = process.execPath, ...args] = [...WITH_PARENT, process.execPath, ...flags, join(ROOT, 'server/dist/main.js')];
  const child = spawn(program, args, { cwd: ROOT, env, stdio: ['ignore', 'pipe', 'pipe'], detached: true });
  child.stdout.setEncoding('utf8').on('data', say);
  child.stderr.setEncoding('utf8').on('data', say);
  /** @type {Promise<string>} */
  const ended = new Promise((done) => child.once('exit', (code, signal) => done(signal ?? `code ${code}`)));
  const isOver = () => child.exitCode !== null || child.signalCode !== null;
  const stop = async () => {
    if (!isOver()) child.kill('SIGTERM');
    const timer = setTimeout(() => signalGroup(child.pid, 'SIGKILL'), STOP_MS);
    await ended;
    clearTimeout(timer);
  };
  const address = `http://${host.includes(':') ? `[${host}]` : host}:${port}`;
  for (let attempt = 0; attempt < 3000; attempt++) {
    if (isOver()) throw new Problem('The server ended before it answered; its message stands above.');
    const ready = await fetch(`${address}/api/v1/health/ready`).then(
      (answer) => answer.ok,
      () => false,
    );
    if (ready) return { address, stop, ended, pid: Number(child.pid) };
    await wait(100);
    if (isAskedToEnd()) {
      await stop();
      refuseIfEnding();
    }
  }
  await stop();
  throw new Problem(`The server did not answer at ${address} within five minutes.`);
}
