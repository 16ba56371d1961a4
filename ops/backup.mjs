// @ts-check
// npm run backup [-- FILE]: the whole database in one file, taken while it runs or while it rests.
import { createHash } from 'node:crypto';
import {
  appendFileSync,
  chmodSync,
  closeSync,
  createReadStream,
  existsSync,
  mkdirSync,
  mkdtempSync,
  openSync,
  readdirSync,
  readSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { dataFolder } from './folders.mjs';
import { openCluster, postgresPrograms, startPostgres } from './postgres.mjs';
import { commandLine, Problem, tell } from './problem.mjs';
import { execute } from './processes.mjs';

/** The password goes by the environment, never by the command line, where others could read it. @param {string} adminUrl */
function connection(adminUrl) {
  const url = new URL(adminUrl);
  return {
    args: ['-h', url.hostname, '-p', url.port, '-U', url.username],
    env: { ...process.env, PGPASSWORD: url.password, LC_ALL: 'C.UTF-8' },
  };
}

/** @param {string} program @param {string} adminUrl @param {readonly string[]} args @param {string} what */
async function runProgram(program, adminUrl, args, what) {
  const { args: where, env } = connection(adminUrl);
  const done = await execute(join(await postgresPrograms(), program), [...where, ...args], { env });
  if (done.status !== 0) throw new Problem(`${what} failed:\n${`${done.stderr}`.trim().slice(-2000)}`);
}

/** What is live is in no backup: who is signed in, and links that open something. */
const LIVE = ['sign_in_session', 'sign_in_attempt', 'invitation', 'calendar_link'];

/** Behind the dump, which its reader does not go beyond: what is in it, and by what one sees that it is whole. */
const SEAL = '\nwainrope-backup ';

/** @typedef {{ sha256: string, rows: Record<string, number> }} Seal */

/** @param {string} adminUrl @param {string} name */
const inDatabase = (adminUrl, name) => Object.assign(new URL(adminUrl), { pathname: `/${name}` }).href;

/** Rows of each table. @param {import('pg').Client} client @returns {Promise<Record<string, number>>} */
async function countRows(client) {
  const { rows: tables } = await client.query("select tablename from pg_tables where schemaname = 'public' order by 1");
  /** @type {Record<string, number>} */
  const rows = {};
  for (const { tablename } of tables)
    if (!LIVE.includes(tablename)) rows[tablename] = Number((await client.query(`select count(*) from ${tablename}`)).rows[0].count);
  return rows;
}

/** @template T @param {string} url @param {(client: import('pg').Client) => Promise<T>} work @returns {Promise<T>} */
async function connected(url, work) {
  const { default: pg } = await import('pg');
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    return await work(client);
  } finally {
    await client.end();
  }
}

/** The checksum of a file up to an end. @param {string} file @param {number} end */
async function checksum(file, end) {
  const hash = createHash('sha256');
  if (end > 0) for await (const part of createReadStream(file, { end: end - 1 })) hash.update(part);
  return hash.digest('hex');
}

/**
 * Writes the whole database at one moment to a file for its owner's eyes only; one that was cut short never takes the wanted name.
 * @param {string} adminUrl @param {string} file @param {string} [name]
 */
export async function backupDatabase(adminUrl, file, name = 'wainrope') {
  mkdirSync(dirname(file), { recursive: true });
  const half = `${file}.part`;
  writeFileSync(half, '', { mode: 0o600 });
  chmodSync(half, 0o600);
  const rows = await connected(inDatabase(adminUrl, name), async (client) => {
    await client.query('begin isolation level repeatable read read only');
    const { rows: found } = await client.query('select pg_export_snapshot() as snapshot');
    const without = LIVE.map((table) => `--exclude-table-data=${table}`);
    const args = ['--format=custom', `--snapshot=${found[0].snapshot}`, ...without, `--file=${half}`, name];
    await runProgram('pg_dump', adminUrl, args, 'The backup');
    return countRows(client);
  });
  /** @type {Seal} */
  const seal = { sha256: await checksum(half, statSync(half).size), rows };
  appendFileSync(half, `${SEAL}${JSON.stringify(seal)}\n`);
  renameSync(half, file);
}

/** The seal of a backup; nothing where an earlier version made it, which sealed none. @param {string} file @returns {Promise<Seal | undefined>} */
async function sealOf(file) {
  const { size } = statSync(file);
  const from = Math.max(0, size - 64_000);
  const tail = Buffer.alloc(size - from);
  const handle = openSync(file, 'r');
  readSync(handle, tail, 0, tail.length, from);
  closeSync(handle);
  const at = tail.lastIndexOf(SEAL);
  if (at === -1) return undefined;
  /** @type {Seal} */
  const seal = JSON.parse(tail.subarray(at + SEAL.length).toString('utf8'));
  if ((await checksum(file, from + at)) !== seal.sha256)
    throw new Problem(`${file} is damaged: its content is not what was sealed. Nothing was touched; take another backup.`);
  return seal;
}

const RESTORED = 'wainrope_restored';
/** What was there before a restore stays under this name until the restored database has served. */
const EARLIER = 'wainrope_earlier';

/** Puts a backup into a database of its own beside what serves, and holds it against its seal. @param {string} adminUrl @param {string} file */
async function restoredBeside(adminUrl, file) {
  const sql = (/** @type {string} */ command) =>
    runProgram('psql', adminUrl, ['-v', 'ON_ERROR_STOP=1', '-d', 'postgres', '-c', command], 'The restore');
  // The file is read through before anything is begun.
  await runProgram('pg_restore', adminUrl, ['--list', '--file=/dev/null', file], 'Reading the backup');
  const seal = await sealOf(file);
  if (seal === undefined)
    console.log(
      'This file carries no seal: an earlier version made it, or it is cut short. It is tried all the same; what is in it is not counted.',
    );
  await sql(`drop database if exists ${RESTORED} with (force)`);
  await sql(`create database ${RESTORED} owner wainrope_owner`);
  try {
    await runProgram('pg_restore', adminUrl, ['--exit-on-error', `--dbname=${RESTORED}`, file], 'The restore');
    const rows = await connected(inDatabase(adminUrl, RESTORED), countRows);
    for (const [table, count] of Object.entries(seal?.rows ?? {}))
      if (rows[table] !== count)
        throw new Problem(`The restore is not whole: ${table} has ${rows[table] ?? 0} of ${count} rows. What was there stays as it was.`);
    await sql(`revoke connect on database ${RESTORED} from public`);
    await sql(`grant connect on database ${RESTORED} to wainrope_app`);
    return { sql, rows };
  } catch (error) {
    await sql(`drop database if exists ${RESTORED} with (force)`);
    throw error;
  }
}

/** Puts a backup in the place of everything in the database, once it is whole beside it; what was there stays under another name. @param {string} adminUrl @param {string} file */
export async function restoreDatabase(adminUrl, file) {
  const { sql } = await restoredBeside(adminUrl, file);
  await sql(`drop database if exists ${EARLIER} with (force)`);
  await sql("select pg_terminate_backend(pid) from pg_stat_activity where datname = 'wainrope'");
  // Both or neither.
  await sql(`alter database wainrope rename to ${EARLIER}; alter database ${RESTORED} rename to wainrope`);
}

/** Tries a backup: restored whole, counted, and taken away again. How many rows it has. @param {string} adminUrl @param {string} file */
export async function checkBackup(adminUrl, file) {
  const { sql, rows } = await restoredBeside(adminUrl, file);
  await sql(`drop database ${RESTORED} with (force)`);
  return Object.values(rows).reduce((sum, count) => sum + count, 0);
}

/** Takes away what a restore has replaced; asked for once the restored database serves. @param {string} adminUrl */
export async function forgetEarlier(adminUrl) {
  await connected(adminUrl, (client) => client.query(`drop database if exists ${EARLIER} with (force)`));
}

const USAGE = `npm run backup                          into the data folder's backups
npm run backup -- FILE                  into a file
npm run backup -- --keep 14             into the data folder's backups, and the oldest beyond so many go
npm run backup -- --every 24h --keep 14 the same now and then again, as long as it runs

  --check      the new backup is restored into a database of its own and counted, before any older one goes
  -h, --help   this text`;

const UNITS = { m: 60_000, h: 3_600_000, d: 86_400_000 };
const DAY_MS = 86_400_000;

/** A time such as 24h, in milliseconds; at least ten minutes, at most thirty days. @param {string} text */
export function everyMs(text) {
  const [, count, unit] = /^(\d{1,5})([mhd])$/.exec(text) ?? [];
  const ms = Number(count) * UNITS[/** @type {keyof typeof UNITS} */ (unit)];
  if (!(ms >= 10 * UNITS.m && ms <= 30 * DAY_MS))
    throw new Problem(`--every is “${text}”; a time from 10m to 30d is expected, such as 24h.\n\n${USAGE}`);
  return ms;
}

/** Of backups by their names, which carry their time, all but the newest so many. @param {readonly string[]} names @param {number} keep */
export const surplus = (names, keep) =>
  names
    .filter((name) => /^wainrope-.*\.backup$/.test(name))
    .sort()
    .slice(0, -keep);

/** @param {string} data @param {string} file */
async function backUp(data, file) {
  if (existsSync(file)) throw new Problem(`${file} exists already; choose another name.`);
  const cluster = await openCluster(join(data, 'postgres'));
  try {
    await backupDatabase(cluster.adminUrl, file);
  } finally {
    await cluster.close();
  }
  console.log(`Backed up to ${file} (${Math.ceil(statSync(file).size / 1024)} kB). Keep a copy on another machine.`);
}

async function main() {
  const { values, positionals } = commandLine({
    help: USAGE,
    options: { every: { type: 'string' }, keep: { type: 'string' }, check: { type: 'boolean' } },
    words: 1,
  });
  const data = dataFolder();
  if (!existsSync(data)) throw new Problem(`There is nothing to back up in ${data}. Choose another folder with WAINROPE_DATA.`);
  const pause = values.every === undefined ? undefined : everyMs(String(values.every));
  const keep = values.keep === undefined && pause === undefined ? undefined : keepCount(String(values.keep ?? '14'));
  if (positionals[0] !== undefined && keep !== undefined) throw new Problem(`A file of its own is not one of those that go.\n\n${USAGE}`);
  const folder = join(data, 'backups');
  const once = async () => {
    const file = resolve(positionals[0] ?? join(folder, `wainrope-${new Date().toISOString().slice(0, 19).replaceAll(':', '')}.backup`));
    await backUp(data, file);
    if (values.check) await tryBackup(file);
    if (keep !== undefined) for (const name of surplus(readdirSync(folder), keep)) rmSync(join(folder, name), { force: true });
  };
  if (pause === undefined) return once();
  for (;;) {
    // One that fails is said, and tried again at its next time: the others stay.
    await once().catch((error) => console.error(`${new Date().toISOString()} ${error instanceof Problem ? error.message : error}`));
    await wait(pause);
  }
}

/** @param {string} text */
function keepCount(text) {
  const keep = Number(text);
  if (!Number.isInteger(keep) || keep < 1 || keep > 1000)
    throw new Problem(`--keep is “${text}”; a count from 1 to 1000 is expected.\n\n${USAGE}`);
  return keep;
}

/** Restores a backup into a database of its own, counts it, and throws that away: nothing that serves is touched. @param {string} file */
export async function tryBackup(file) {
  const database = await startPostgres({ folder: mkdtempSync('/var/tmp/wainrope-check-'), throwAway: true });
  try {
    const rows = await checkBackup(database.adminUrl, file);
    console.log(`${file} is whole: ${rows.toLocaleString('en')} rows were restored and counted.`);
  } finally {
    await database.stop();
  }
}

if (process.argv[1] === resolve(import.meta.filename))
  main().catch((error) => {
    tell(error);
    process.exitCode = 1;
  });
