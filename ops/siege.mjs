// @ts-check
// npm run siege [-- seconds]: thirty hostile or heavy requests at once, again and again, while somebody else reads ordinary pages.
// Fails where the reader's p99 is over 250 ms and over five times its idle figure, where the server takes more than 1 GB, ends, or answers
// anything with a 500.
import { randomUUID } from 'node:crypto';
import { mkdtempSync, readFileSync } from 'node:fs';
import { setTimeout as wait } from 'node:timers/promises';
import { Worker } from 'node:worker_threads';
import { ensureBuild, ensurePackages } from './packages.mjs';
import { freePort, startPostgres } from './postgres.mjs';
import { prepareDatabase, startServer } from './serve.mjs';
import { signInToDemo } from './sign-in.mjs';

const SECONDS = Number(process.argv[2] ?? 60);
const READS = 500;
const MOST_MS = 250;
const TIMES_IDLE = 5;
const MOST_MB = 1024;

const base64 = (/** @type {string} */ text) => Buffer.from(text).toString('base64');
const file = (/** @type {string} */ text) => JSON.stringify({ fileName: 'a.csv', contentBase64: base64(text) });
const keys = (/** @type {number} */ count) => Array.from({ length: count }, (_, key) => `"k${key}":1`).join();
const manyRows = `tag,class,name,mark\n${Array.from({ length: 19_000 }, (_, row) => `S-${row},tree-strap,Strap ${row},WLL 3 t`).join('\n')}\n`;

/** @typedef {{ name: string, method: string, path: string, body?: string, signedOut?: boolean }} Attack */

/** Thirty requests that once froze or ended the server, or that are heavy by right. @param {any} plan @param {any} policy @returns {Attack[]} */
function attacks(plan, policy) {
  const post = (/** @type {string} */ name, /** @type {string} */ path, /** @type {string} */ body, signedOut = false) => ({
    name,
    method: 'POST',
    path,
    body,
    signedOut,
  });
  const preview = (/** @type {string} */ name, /** @type {string} */ text) => post(name, 'gear/import/preview', file(text));
  const plans = (/** @type {string} */ name, /** @type {object} */ rig) =>
    post(name, 'plans', JSON.stringify({ planId: randomUUID(), name: `Siege ${randomUUID().slice(0, 8)}`, rig }));
  const changed = (/** @type {number} */ share) => {
    const content = structuredClone(policy.content);
    content.condition.A.value = share;
    return JSON.stringify({ content });
  };
  return [
    preview('5 MB of line breaks', '\n'.repeat(5_000_000)),
    preview('400,000 blank rows', `tag,class\n${'\n'.repeat(400_000)}`),
    preview('21,002 rows', `tag,class\n${'A,chain\n'.repeat(21_002)}`),
    preview('a row of 100,000 cells', `tag,class\nA,${','.repeat(100_000)}\n`),
    preview('an open quote to its end', `tag,class\n"${'A,\n'.repeat(400_000)}`),
    preview('a mark of 20,000 spaces', `tag,class,name,mark\nA-1,chain,Chain,1${' '.repeat(20_000)}t\n`),
    preview('19,000 rows, by right', manyRows),
    preview('19,000 rows, again', manyRows),
    preview('one byte, a million times', 'x'.repeat(1_000_000)),
    post('80,000 unknown keys, from nobody', 'session', `{${keys(80_000)}}`, true),
    post('a sign-in that is wrong', 'session', JSON.stringify({ login: `nobody${randomUUID()}`, password: 'peat and heather' }), true),
    post('an invitation that is none', 'invitations/look', JSON.stringify({ token: 'x'.repeat(43) }), true),
    post('a team’s file, from nobody', 'invitations/bundle', `{"token":"x","bundle":${'['.repeat(200_000)}`, true),
    post('a megabyte, from nobody', 'plans', `{"name":"${'x'.repeat(1_000_000)}"}`, true),
    post('400,000 brackets', 'plans', '['.repeat(400_000)),
    post('60,000 unknown keys in a plan', 'plans', `{"rig":{${keys(60_000)}}}`),
    post('18,000 unknown keys in a plan', 'plans', `{"planId":"${randomUUID()}","name":"Keys","rig":{${keys(18_000)}}}`),
    plans('a plan, judged on save', plan.rig),
    plans('another plan, judged on save', { ...plan.rig, load: { ...plan.rig.load, travelM: 40 } }),
    plans('a path of 10,000 points', {
      ...plan.rig,
      load: { ...plan.rig.load, path: Array.from({ length: 9000 }, (_, x) => ({ xM: x / 100, yM: 0 })) },
    }),
    post('a settings preview', 'policy/preview', changed(0.9)),
    post('another settings preview', 'policy/preview', changed(0.8)),
    post('a photo of 3 MB of nothing', 'photos', JSON.stringify({ photoId: randomUUID(), contentBase64: 'A'.repeat(2_700_000) })),
    post(
      'an inspection of nothing',
      'inspections',
      JSON.stringify({ answers: { points: Object.fromEntries(Array.from({ length: 900 }, (_, n) => [`p${n}`, 'ok'])) } }),
    ),
    { name: 'the team’s file', method: 'GET', path: 'bundle' },
    { name: 'the team’s file, again', method: 'GET', path: 'bundle' },
    { name: 'the register as a file', method: 'GET', path: 'gear/export.csv' },
    { name: 'the whole register', method: 'GET', path: 'gear?limit=1000' },
    { name: 'the API document', method: 'GET', path: '../docs/openapi.json' },
    { name: 'an absurd cursor', method: 'GET', path: `audit?before=${'9'.repeat(300)}` },
  ];
}

/** Ordinary pages, read on a thread of its own so that only the server's slowness counts. */
const READER = `
const { parentPort, workerData } = require('node:worker_threads');
const wait = (ms) => new Promise((done) => setTimeout(done, ms));
(async () => {
  const { address, cookie, reads, everyMs } = workerData;
  const pages = ['gear', 'plans', 'team', 'kits', 'outings', 'people', 'visit', 'visit/reminders', 'audit', 'vehicles'];
  const times = [];
  for (let read = 0; read < reads; read++) {
    const began = performance.now();
    const answer = await fetch(address + '/api/v1/' + pages[read % pages.length], { headers: { cookie } });
    await answer.arrayBuffer();
    if (!answer.ok) throw new Error('a page answered ' + answer.status);
    const took = performance.now() - began;
    times.push(took);
    await wait(Math.max(0, everyMs - took));
  }
  parentPort.postMessage(times);
})();`;

/** @param {object} workerData @returns {Promise<number[]>} */
const readPages = (workerData) =>
  new Promise((done, fail) => {
    const worker = new Worker(READER, { eval: true, workerData });
    worker.once('message', done);
    worker.once('error', fail);
  });

/** @param {readonly number[]} times @param {number} share */
const quantile = (times, share) => [...times].sort((a, b) => a - b)[Math.ceil(times.length * share) - 1] ?? Number.NaN;

/** @param {number} pid */
const residentMb = (pid) => Number(/VmRSS:\s+(\d+) kB/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;

/** Each attack again and again until the time is over. @param {string} address @param {string} cookie @param {Attack[]} all @param {number} until */
async function lay(address, cookie, all, until) {
  /** @type {Record<string, Record<string, number>>} */
  const answers = {};
  await Promise.all(
    all.map(async ({ name, method, path, body, signedOut }) => {
      /** @type {Record<string, number>} */
      const counts = {};
      answers[name] = counts;
      while (Date.now() < until) {
        const headers = { 'content-type': 'application/json', ...(!signedOut && { cookie }) };
        // What names itself by an id is something new each time.
        const fresh = body?.replace(/"planId":"[^"]+"/, `"planId":"${randomUUID()}"`);
        const status = await fetch(`${address}/api/v1/${path}`, { method, headers, ...(fresh !== undefined && { body: fresh }) }).then(
          async (answer) => {
            await answer.arrayBuffer();
            return answer.status;
          },
          () => 'broken off',
        );
        counts[status] = (counts[status] ?? 0) + 1;
        await wait(20);
      }
    }),
  );
  return answers;
}

async function main() {
  await ensurePackages();
  await ensureBuild();
  const database = await startPostgres({ folder: mkdtempSync('/var/tmp/wainrope-siege-'), throwAway: true });
  const extra = { WAINROPE_TODAY: '2026-01-15', WAINROPE_LOG_LEVEL: 'fatal' };
  /** @type {string[]} */
  const faults = [];
  try {
    await prepareDatabase(database, extra);
    const server = await startServer(database, { host: '127.0.0.1', port: await freePort(), extra });
    const { address, pid } = server;
    const [cookie, other] = [await signInToDemo(address), await signInToDemo(address)];
    const get = async (/** @type {string} */ path) =>
      /** @type {any} */ (await (await fetch(`${address}/api/v1/${path}`, { headers: { cookie } })).json());
    const plan = await get(`plans/${(await get('plans')).items[0].planId}`);
    const all = attacks(plan, await get('policy'));
    const everyMs = (SECONDS * 1000) / READS;
    const idle = await readPages({ address, cookie: other, reads: READS, everyMs: 0 });
    let most = 0;
    const memory = setInterval(() => {
      most = Math.max(most, residentMb(pid));
    }, 100);
    const [answers, besieged] = await Promise.all([
      lay(address, cookie, all, Date.now() + SECONDS * 1000),
      readPages({ address, cookie: other, reads: READS, everyMs }),
    ]);
    clearInterval(memory);
    const sent = Object.values(answers)
      .flatMap((counts) => Object.values(counts))
      .reduce((sum, count) => sum + count, 0);
    console.log(`${all.length} kinds of requests at once for ${SECONDS} s, ${sent} in all; ${READS} pages read by somebody else\n`);
    console.log('| | p50 ms | p99 ms | longest ms |\n| --- | --: | --: | --: |');
    for (const [name, times] of /** @type {const} */ ([
      ['idle', idle],
      ['besieged', besieged],
    ]))
      console.log(
        `| ${name} | ${quantile(times, 0.5).toFixed(1)} | ${quantile(times, 0.99).toFixed(1)} | ${Math.max(...times).toFixed(0)} |`,
      );
    console.log(`\nmemory of the server at most ${most.toFixed(0)} MB\n`);
    console.log('| request | answers |\n| --- | --- |');
    for (const [name, counts] of Object.entries(answers))
      console.log(
        `| ${name} | ${Object.entries(counts)
          .map(([status, count]) => `${count} × ${status}`)
          .join(', ')} |`,
      );
    const allowed = Math.max(MOST_MS, TIMES_IDLE * quantile(idle, 0.99));
    if (quantile(besieged, 0.99) > allowed) faults.push(`p99 is over ${allowed.toFixed(0)} ms`);
    if (most > MOST_MB) faults.push(`the server took more than ${MOST_MB} MB`);
    for (const [name, counts] of Object.entries(answers))
      for (const status of ['500', 'broken off']) if (counts[status]) faults.push(`${name}: ${counts[status]} × ${status}`);
    await server.stop();
  } finally {
    await database.stop();
  }
  console.log(faults.length === 0 ? '\nThe reader was not kept waiting.' : `\n${faults.join('\n')}`);
  process.exitCode = faults.length === 0 ? 0 : 1;
}

await main();
