// @ts-check
// A thread of its own: clients that ask the server, one request a second each, and the same SQL sent bare between them.
import { setTimeout as wait } from 'node:timers/promises';
import { parentPort, workerData } from 'node:worker_threads';
import pg from 'pg';

/**
 * @typedef {{ text: string, values: unknown[] }} Statement
 * @typedef {{ name: string, path: string, statements: Statement[] }} Asked
 * @type {{ address: string, cookies: string[], databaseUrl: string, asked: Asked[], clients: number, seconds: number }}
 */
const { address, cookies, databaseUrl, asked, clients, seconds } = workerData;

/** So often, that the bare statements are no second load beside the first. */
const BARE_EVERY_MS = 100;

/** @type {Record<string, { served: number[], bare: number[] }>} */
const times = Object.fromEntries(asked.map(({ name }) => [name, { served: [], bare: [] }]));
const until = Date.now() + seconds * 1000;

/** Every client goes through all addresses, each from another one on. @param {number} client */
async function client(client) {
  await wait((client * 1000) / clients);
  for (let turn = 0; Date.now() < until; turn++) {
    const began = performance.now();
    const { name, path } = /** @type {Asked} */ (asked[(client * 7 + turn) % asked.length]);
    const answer = await fetch(`${address}${path}`, { headers: { cookie: cookies[client] ?? '', 'accept-encoding': 'gzip' } });
    await answer.arrayBuffer();
    if (!answer.ok) throw new Error(`${path} answered ${answer.status}`);
    const took = performance.now() - began;
    times[name]?.served.push(took);
    await wait(Math.max(0, 1000 - took));
  }
}

/** The statements of one address after another, as the server sent them, on a connection of their own. */
async function bare() {
  const database = new pg.Client({ connectionString: databaseUrl });
  await database.connect();
  for (let turn = 0; Date.now() < until; turn++) {
    const { name, statements } = /** @type {Asked} */ (asked[turn % asked.length]);
    const began = performance.now();
    for (const { text, values } of statements) await database.query(text, values);
    const took = performance.now() - began;
    times[name]?.bare.push(took);
    await wait(Math.max(0, BARE_EVERY_MS - took));
  }
  await database.end();
}

await Promise.all([bare(), ...Array.from({ length: clients }, (_, index) => client(index))]);
parentPort?.postMessage(times);
