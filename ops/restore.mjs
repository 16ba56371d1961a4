// @ts-check
// npm run restore -- FILE [--replace | --check]: a backup into the data folder; or only tried, away from what serves.
import { existsSync, mkdtempSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { checkBackup, restoreDatabase } from './backup.mjs';
import { Problem, ROOT, startPostgres } from './postgres.mjs';

const { values, positionals } = parseArgs({
  options: { replace: { type: 'boolean', default: false }, check: { type: 'boolean', default: false } },
  allowPositionals: true,
});

async function main() {
  const [file] = positionals;
  if (!file) throw new Problem('Say which backup: npm run restore -- FILE');
  if (!existsSync(file)) throw new Problem(`There is no file ${resolve(file)}.`);
  if (values.check) return check(resolve(file));
  const data = resolve(process.env.WAINROPE_DATA ?? join(ROOT, '.data'));
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

/** In a database of its own, thrown away afterwards: nothing that serves is touched. @param {string} file */
async function check(file) {
  const database = await startPostgres({ folder: mkdtempSync('/var/tmp/wainrope-check-'), throwAway: true });
  try {
    const rows = await checkBackup(database.adminUrl, file);
    console.log(`${file} is whole: ${rows.toLocaleString('en')} rows were restored and counted.`);
  } finally {
    await database.stop();
  }
}

main().catch((error) => {
  console.error(error instanceof Problem ? `\n${error.message}\n` : error);
  process.exitCode = 1;
});
