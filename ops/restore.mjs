// @ts-check
// npm run restore -- FILE [--replace | --check]: a backup into the data folder; or only tried, away from what serves.
import { existsSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { restoreDatabase, tryBackup } from './backup.mjs';
import { dataFolder } from './folders.mjs';
import { startPostgres } from './postgres.mjs';
import { commandLine, Problem, tell } from './problem.mjs';

const HELP = `npm run restore -- FILE [--replace | --check]: a backup into the data folder.

  --replace    where there is data already; it stays until npm start has served from the backup
  --check      only tries the backup, in a database of its own: nothing that serves is touched
  -h, --help   this text`;

const { values, positionals } = commandLine({
  help: HELP,
  options: { replace: { type: 'boolean' }, check: { type: 'boolean' } },
  words: 1,
});

async function main() {
  const [file] = positionals;
  if (!file) throw new Problem(`Say which backup.\n\n${HELP}`);
  if (!existsSync(file)) throw new Problem(`There is no file ${resolve(file)}.`);
  if (values.check) return tryBackup(resolve(file));
  const data = dataFolder();
  const lock = join(data, 'start.lock');
  if (existsSync(lock) && existsSync(`/proc/${readFileSync(lock, 'utf8')}`)) throw new Problem(`Wainrope runs on ${data}. Stop it first.`);
  if (existsSync(join(data, 'postgres')) && !values.replace)
    throw new Problem(`${data} holds data already. Back it up, then add --replace; or choose an empty folder with WAINROPE_DATA.`);
  const database = await startPostgres({ folder: join(data, 'postgres') });
  try {
    await restoreDatabase(database.adminUrl, resolve(file));
  } finally {
    await database.stop();
  }
  console.log(`Restored into ${data}. Start with npm start; what was there before stays until then.`);
}

main().catch((error) => {
  tell(error);
  process.exitCode = 1;
});
