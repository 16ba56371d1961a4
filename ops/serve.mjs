// @ts-check
// Starts the server process on a prepared database and waits until it answers.
import { spawn, spawnSync } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { Problem, ROOT } from './postgres.mjs';

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
export function prepareDatabase(urls, extra) {
  const done = spawnSync(process.execPath, [join(ROOT, 'server/dist/prepare.js')], {
    cwd: ROOT,
    encoding: 'utf8',
    env: serverEnvironment(urls, extra),
  });
  process.stdout.write(done.stdout);
  if (done.status !== 0) throw new Problem(`The database could not be prepared:\n${done.stderr.slice(-2000)}`);
}

/** @param {string} host @param {number} port */
export function refuseTakenPort(host, port) {
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
    probe.listen(port, host, () => probe.close(() => done(undefined)));
  });
}

/**
 * @param {Urls} urls
 * @param {{ host: string, port: number, extra?: Record<string, string>, watch?: boolean }} options
 */
export async function startServer(urls, { host, port, extra = {}, watch = false }) {
  const env = serverEnvironment(urls, { ...extra, WAINROPE_HOST: host, WAINROPE_PORT: String(port) });
  const child = spawn(process.execPath, [...(watch ? ['--watch', '--watch-preserve-output'] : []), join(ROOT, 'server/dist/main.js')], {
    cwd: ROOT,
    env,
    stdio: ['ignore', 'inherit', 'inherit'],
    detached: true,
  });
  const ended = new Promise((done) => child.once('exit', done));
  const stop = async () => {
    if (child.exitCode === null && child.signalCode === null) child.kill('SIGTERM');
    const timer = setTimeout(() => child.kill('SIGKILL'), 10_000);
    await ended;
    clearTimeout(timer);
  };
  const address = `http://${host.includes(':') ? `[${host}]` : host}:${port}`;
  for (let attempt = 0; attempt < 1500; attempt++) {
    if (child.exitCode !== null) throw new Problem('The server ended before it answered; its message stands above.');
    const ready = await fetch(`${address}/api/v1/health/ready`).then(
      (answer) => answer.ok,
      () => false,
    );
    if (ready) return { address, stop, ended, pid: Number(child.pid) };
    await wait(200);
  }
  await stop();
  throw new Problem(`The server did not answer at ${address} within five minutes.`);
}
