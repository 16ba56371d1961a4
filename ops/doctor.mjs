// @ts-check
// npm run doctor: what is there, what is old, what is full, which port, which database, when the last backup was made. Changes nothing.
import { existsSync, readdirSync, readFileSync, statfsSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { missingOf, postgresVersion } from './debian.mjs';
import { dataFolder, ROOT, whyNotWritable } from './folders.mjs';
import { whatIsBuilt } from './packages.mjs';
import { databaseOf } from './postgres.mjs';
import { commandLine, tell } from './problem.mjs';

const HELP = `npm run doctor [-- --json]: looks at this installation and its data folder; changes nothing.

  --json       for a program
  -h, --help   this text

Exit code: 0 all is well, 1 something wants doing.`;

/** @typedef {'well' | 'note' | 'wanted'} How */
/** @typedef {{ what: string, how: How, says: string }} Line */

const DAY_MS = 86_400_000;
/** A backup is asked for at least so often. */
const BACKUP_DAYS = 7;
/** A disk with less than this is spoken of. */
const LOW_BYTES = 1e9;

/** @param {number} bytes */
const size = (bytes) => (bytes >= 1e9 ? `${(bytes / 1e9).toFixed(1)} GB` : `${Math.ceil(bytes / 1e6)} MB`);

/** Bytes of all files below a folder; what may not be looked into is left out. @param {string} folder @returns {number} */
function bytesOf(folder) {
  try {
    return readdirSync(folder, { withFileTypes: true }).reduce((sum, entry) => {
      const path = join(folder, entry.name);
      return sum + (entry.isDirectory() ? bytesOf(path) : entry.isFile() ? statSync(path).size : 0);
    }, 0);
  } catch {
    // A file that goes while it is looked at, or a folder of the database’s own user.
    return 0;
  }
}

/** @param {string} path */
const existingAbove = (path) => {
  let at = path;
  while (!existsSync(at)) at = join(at, '..');
  return at;
};

/** @returns {Line[]} */
function programs() {
  const { packages, build } = whatIsBuilt();
  const postgres = postgresVersion();
  const isDone = packages === 'as the lock file says';
  return [
    { what: 'Node', how: 'well', says: `${process.versions.node}, ${process.execPath}` },
    { what: 'Packages', how: isDone ? 'well' : 'note', says: isDone ? packages : `${packages}; npm start installs them` },
    {
      what: 'Build',
      how: build === 'of these sources' ? 'well' : 'note',
      says: build === 'of these sources' ? build : `${build}; npm start builds`,
    },
    postgres === undefined
      ? { what: 'PostgreSQL', how: 'wanted', says: 'not on this machine; npm start installs it, or says how' }
      : { what: 'PostgreSQL', how: 'well', says: `${postgres}, from Debian's packages` },
    missingOf(['chromium']).length > 0
      ? { what: 'Chromium', how: 'note', says: 'not on this machine; only npm test wants it' }
      : { what: 'Chromium', how: 'well', says: 'there; only npm test wants it' },
  ];
}

/** @param {string} data @returns {Line[]} */
function folders(data) {
  const why = whyNotWritable(data);
  const { bavail, bsize } = statfsSync(existingAbove(data));
  const free = bavail * bsize;
  return [
    why
      ? { what: 'Data folder', how: 'wanted', says: `${data} cannot be written: ${why}. Choose another with WAINROPE_DATA` }
      : {
          what: 'Data folder',
          how: 'well',
          says: existsSync(data) ? `${data}, ${size(bytesOf(data))}` : `${data}, not there yet; npm start makes it`,
        },
    { what: 'Free on its disk', how: free < LOW_BYTES ? 'wanted' : 'well', says: `${size(free)}${free < LOW_BYTES ? '; make room' : ''}` },
  ];
}

/** @param {string} data @param {number} now @returns {Line[]} */
function backups(data, now) {
  const folder = join(data, 'backups');
  const files = (existsSync(folder) ? readdirSync(folder) : []).filter((name) => name.endsWith('.backup'));
  if (files.length === 0)
    return [{ what: 'Last backup', how: existsSync(data) ? 'wanted' : 'note', says: 'none; npm run backup makes one' }];
  const newest = files.map((name) => ({ name, at: statSync(join(folder, name)).mtimeMs })).sort((a, b) => b.at - a.at)[0];
  const at = newest?.at ?? 0;
  const isOld = now - at >= BACKUP_DAYS * DAY_MS;
  const says = `${new Date(at).toISOString().slice(0, 16).replace('T', ' ')} UTC, ${newest?.name}; ${files.length} in ${folder}`;
  return [{ what: 'Last backup', how: isOld ? 'wanted' : 'well', says: isOld ? `${says}. It is old: npm run backup` : says }];
}

/** What the address of the server answers; undefined where nobody does. @param {string} address */
async function readiness(address) {
  try {
    const answer = await fetch(`${address}/api/v1/health/ready`, { signal: AbortSignal.timeout(3000) });
    return { status: answer.status, body: await answer.json().catch(() => undefined) };
  } catch {
    return undefined;
  }
}

/** The process that serves a data folder; nothing where none does. @param {string} data */
function processOf(data) {
  const lock = join(data, 'start.lock');
  const pid = existsSync(lock) ? readFileSync(lock, 'utf8').trim() : undefined;
  return pid !== undefined && existsSync(`/proc/${pid}`) ? pid : undefined;
}

/** @param {string} data @returns {Promise<Line>} */
async function server(data) {
  const [host, port] = [process.env.WAINROPE_HOST ?? '127.0.0.1', process.env.WAINROPE_PORT ?? '4810'];
  const address = `http://${host === '0.0.0.0' ? '127.0.0.1' : host}:${port}`;
  const answer = await readiness(address);
  const pid = processOf(data);
  const what = 'Server';
  if (!answer && pid) return { what, how: 'wanted', says: `${address} does not answer, though process ${pid} runs` };
  if (!answer) return { what, how: 'note', says: `does not run; ${address} is free` };
  const isReady = answer.body?.status === 'ready';
  if (!isReady && answer.body?.title !== 'Not ready')
    return { what, how: 'wanted', says: `port ${port} is taken by another program; choose another with WAINROPE_PORT` };
  if (!pid)
    return {
      what,
      how: 'note',
      says: `does not run; ${address} is taken by a Wainrope of another data folder: choose another with WAINROPE_PORT`,
    };
  return isReady
    ? { what, how: 'well', says: `${address} is ready, process ${pid}` }
    : { what, how: 'wanted', says: `${address} is not ready: ${answer.body?.detail}` };
}

/** @param {string} data @returns {Line[]} */
function startedAgain(data) {
  const restarts = join(data, 'restarts.json');
  if (!existsSync(restarts)) return [];
  return [{ what: 'Started again', how: 'note', says: `${describe(readFileSync(restarts, 'utf8'))}; its log is in ${join(data, 'logs')}` }];
}

/** @param {string} text */
function describe(text) {
  const { server = 0, database = 0, last } = JSON.parse(text);
  return `server ${server}, database ${database} times since npm start; last ${last?.what} at ${last?.at} (${last?.why})`;
}

/** @param {string} data @returns {Promise<Line[]>} */
async function database(data) {
  const found = await databaseOf(join(data, 'postgres'));
  if (found === undefined) return [{ what: 'Database', how: 'note', says: 'none in this data folder yet; npm start makes it' }];
  const { folder, port, version } = found;
  const old = version !== postgresVersion() ? `; made by PostgreSQL ${version}, which is not the one here` : '';
  return [
    {
      what: 'Database',
      how: old ? 'wanted' : 'well',
      says: `${folder}, ${port === undefined ? 'at rest' : `running on 127.0.0.1:${port}`}${old}`,
    },
  ];
}

const MARKS = { well: 'ok  ', note: '    ', wanted: 'DO  ' };

async function main() {
  const { values } = commandLine({ help: HELP, options: { json: { type: 'boolean' } } });
  const data = dataFolder();
  const lines = [
    ...programs(),
    ...folders(data),
    ...(await database(data)),
    await server(data),
    ...startedAgain(data),
    ...backups(data, Date.now()),
  ];
  const wanted = lines.filter(({ how }) => how === 'wanted').length;
  if (values.json) console.log(JSON.stringify({ root: ROOT, wanted, lines }, null, 2));
  else {
    const width = Math.max(...lines.map(({ what }) => what.length));
    for (const { what, how, says } of lines) console.log(`${MARKS[how]}${what.padEnd(width)}  ${says}`);
    console.log(
      wanted === 0
        ? '\nNothing wants doing.'
        : `\n${wanted === 1 ? 'One thing wants' : `${wanted} things want`} doing: the lines that begin with DO.`,
    );
  }
  process.exitCode = wanted === 0 ? 0 : 1;
}

main().catch((error) => {
  tell(error);
  process.exitCode = 1;
});
