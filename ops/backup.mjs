// @ts-check
// npm run backup [-- FILE]: the whole database in one file, taken while it runs or while it rests.
import { existsSync, mkdirSync, renameSync, statSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { openCluster, Problem, postgresPrograms, ROOT } from './postgres.mjs';
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

/**
 * Writes the whole database to a file; a file that was cut short never takes the wanted name.
 * @param {string} adminUrl @param {string} file @param {string} [name]
 */
export async function backupDatabase(adminUrl, file, name = 'wainrope') {
  mkdirSync(dirname(file), { recursive: true });
  const half = `${file}.part`;
  await runProgram('pg_dump', adminUrl, ['--format=custom', `--file=${half}`, name], 'The backup');
  renameSync(half, file);
}

/** Puts a backup in the place of everything in the database. @param {string} adminUrl @param {string} file */
export async function restoreDatabase(adminUrl, file) {
  const sql = (/** @type {string} */ command) =>
    runProgram('psql', adminUrl, ['-v', 'ON_ERROR_STOP=1', '-d', 'postgres', '-c', command], 'The restore');
  // The file is read through before anything is touched.
  await runProgram('pg_restore', adminUrl, ['--list', '--file=/dev/null', file], 'Reading the backup');
  await sql('drop database if exists wainrope with (force)');
  await sql('create database wainrope owner wainrope_owner');
  await runProgram('pg_restore', adminUrl, ['--exit-on-error', '--dbname=wainrope', file], 'The restore');
  await sql('revoke connect on database wainrope from public');
  await sql('grant connect on database wainrope to wainrope_app');
}

async function main() {
  const data = resolve(process.env.WAINROPE_DATA ?? join(ROOT, '.data'));
  if (!existsSync(data)) throw new Problem(`There is nothing to back up in ${data}. Choose another folder with WAINROPE_DATA.`);
  const stamp = new Date().toISOString().slice(0, 16).replaceAll(':', '');
  const file = resolve(process.argv[2] ?? join(data, 'backups', `wainrope-${stamp}.backup`));
  if (existsSync(file)) throw new Problem(`${file} exists already; choose another name.`);
  const cluster = await openCluster(join(data, 'postgres'));
  try {
    await backupDatabase(cluster.adminUrl, file);
  } finally {
    await cluster.close();
  }
  console.log(`Backed up to ${file} (${Math.ceil(statSync(file).size / 1024)} kB). Keep a copy on another machine.`);
}

if (process.argv[1] === resolve(import.meta.filename))
  main().catch((error) => {
    console.error(error instanceof Problem ? `\n${error.message}\n` : error);
    process.exitCode = 1;
  });
