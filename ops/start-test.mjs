// @ts-check
// npm run start-test: `npm start` ended and killed at every stage, its server and database killed alone. Whatever is promised of starting
// and ending is looked at: what comes back by itself, that nothing is left behind, and how long an end takes (printed, never a reason to fail).
import { spawn } from 'node:child_process';
import { chmodSync, existsSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { ROOT } from './folders.mjs';
import { ensureBuild, ensurePackages } from './packages.mjs';
import { freePort } from './postgres.mjs';
import { signInToDemo } from './sign-in.mjs';

/** A hang, not slowness. */
const HANGS_MS = 300_000;
const port = await freePort();
const address = `http://127.0.0.1:${port}`;
/** @type {string[]} */
const faults = [];

/** @param {boolean} holds @param {string} what */
function expect(holds, what) {
  console.log(`${holds ? 'ok  ' : 'FAIL'} ${what}`);
  if (!holds) faults.push(what);
}

/** @template T @param {string} what @param {() => T | Promise<T>} look @returns {Promise<NonNullable<T>>} */
async function until(what, look) {
  for (const began = Date.now(); Date.now() - began < HANGS_MS; await wait(50)) {
    const seen = await look();
    if (seen) return /** @type {NonNullable<T>} */ (seen);
  }
  throw new Error(`waited ${HANGS_MS / 1000} s for ${what}`);
}

/** Every process that works on a data folder or listens for it. @param {string} data */
const processesOf = (data) =>
  readdirSync('/proc').filter((pid) => {
    if (!/^\d+$/.test(pid) || Number(pid) === process.pid) return false;
    try {
      const environment = readFileSync(`/proc/${pid}/environ`, 'utf8');
      return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(data) || environment.includes(`WAINROPE_DATA=${data}\0`);
    } catch {
      return false;
    }
  });

/** @param {string} data */
function begin(data) {
  const child = spawn(process.execPath, [join(ROOT, 'ops/start.mjs')], {
    cwd: ROOT,
    env: { ...process.env, WAINROPE_DATA: data, WAINROPE_PORT: String(port), WAINROPE_LOG_LEVEL: 'warn' },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  const said = { text: '' };
  for (const stream of [child.stdout, child.stderr])
    stream.setEncoding('utf8').on('data', (part) => {
      said.text += part;
    });
  const ended = new Promise((done) => child.once('exit', (code, signal) => done(signal ?? code)));
  return { child, said, ended };
}

/** It says so itself, once it watches over what it has begun. @param {ReturnType<typeof begin>} start */
const isUp = ({ said }) => said.text.includes('Wainrope is ready');

const ready = () =>
  fetch(`${address}/api/v1/health/ready`).then(
    async (answer) => (answer.ok ? /** @type {any} */ (await answer.json()) : undefined),
    () => undefined,
  );

/** Ends a start and looks at what is left. @param {ReturnType<typeof begin>} start @param {string} data @param {NodeJS.Signals} signal @param {string} when */
async function endOf({ child, ended }, data, signal, when) {
  const from = performance.now();
  child.kill(signal);
  await ended;
  const took = performance.now() - from;
  expect(processesOf(data).length === 0, `${signal} ${when}: nothing is left (${(took / 1000).toFixed(2)} s)`);
  expect(!existsSync(join(data, 'start.lock')), `${signal} ${when}: the folder is free again`);
}

/** @param {string} data */
const serverPid = (data) => processesOf(data).find((pid) => readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('server/dist/main.js'));
/** @param {string} data */
const databasePid = (data) => {
  const file = readdirSync(data).length > 0 && join(data, 'postgres/cluster/postmaster.pid');
  return file && existsSync(file) ? readFileSync(file, 'utf8').split('\n')[0] : undefined;
};

async function comesBack(/** @type {string} */ data) {
  const start = begin(data);
  await until('the first start', () => isUp(start));
  const before = serverPid(data);
  process.kill(Number(before), 'SIGKILL');
  await until('another server', async () => serverPid(data) !== before && (await ready()));
  const told = (await ready()).startedAgain;
  expect(
    told?.server === 1 && told.last.what === 'server' && told.last.why === 'SIGKILL',
    'a killed server comes back, and readiness says so',
  );
  const database = databasePid(data);
  process.kill(Number(database), 'SIGKILL');
  await until('another database', async () => databasePid(data) !== database && (await ready()));
  expect((await ready()).startedAgain?.database === 1, 'a killed database comes back at its address, and readiness says so');
  const log = readFileSync(join(data, 'logs/server.log'), 'utf8');
  expect(/the server ended by itself/.test(log) && /the database ended by itself/.test(log), 'the log says both');
  const session = /** @type {any} */ (await (await fetch(`${address}/api/v1/session`)).json());
  expect(session.demoPeople.length > 0, 'the demo is whole');
  return start;
}

/** A page that listens. */
async function openStream() {
  const cookie = await signInToDemo(address);
  const answer = await fetch(`${address}/api/v1/events`, { headers: { cookie } });
  const reading = answer.text().catch(() => 'broken');
  return { status: answer.status, reading };
}

async function main() {
  await ensurePackages();
  await ensureBuild();
  const data = mkdtempSync('/var/tmp/wainrope-start-');
  // The user who runs the database goes through it.
  chmodSync(data, 0o755);
  try {
    // In the midst of a first start, at one stage after another; each next start goes on from what the last has left.
    for (const ms of [50, 400, 1500, 3500, 6000]) {
      const start = begin(data);
      await wait(ms);
      await endOf(start, data, ms % 100 === 0 ? 'SIGTERM' : 'SIGINT', `${ms} ms into a first start`);
    }
    const cut = begin(data);
    await until('the demo under way', () => existsSync(join(data, 'postgres/cluster/postmaster.pid')));
    await wait(2500);
    cut.child.kill('SIGKILL');
    await cut.ended;
    const start = await comesBack(data);
    const stream = await openStream();
    expect(stream.status === 200, 'a stream is open');
    await endOf(start, data, 'SIGTERM', 'with an open stream');
    await stream.reading;

    const killed = begin(data);
    await until('a second start', () => isUp(killed));
    killed.child.kill('SIGKILL');
    await killed.ended;
    const next = begin(data);
    await until('a start after a killed one', () => isUp(next) || next.child.exitCode !== null);
    expect(next.child.exitCode === null, 'a start after a killed one takes nothing of it for another program');
    expect(
      processesOf(data).filter((pid) => readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('server/dist/main.js')).length === 1,
      'one server is left',
    );
    await endOf(next, data, 'SIGINT', 'at rest');
  } finally {
    for (const pid of processesOf(data)) process.kill(Number(pid), 'SIGKILL');
    rmSync(data, { recursive: true, force: true });
  }
  console.log(faults.length === 0 ? 'Everything that starts ends.' : `${faults.length} of these do not hold.`);
  process.exitCode = faults.length === 0 ? 0 : 1;
}

await main();
