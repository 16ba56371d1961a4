// @ts-check
// npm run restore -- FILE [--replace]: a backup into the data folder.
import { existsSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { restoreDatabase } from './backup.mjs';
import { Problem, ROOT, startPostgres } from './postgres.mjs';

const { values, positionals } = parseArgs({ options: { replace: { type: 'boolean', default: false } }, allowPositionals: true });

async function main() {
  const [file] = positionals;
  if (!file) throw new Problem('Say which backup: npm run restore -- FILE');
  if (!existsSync(file)) throw new Problem(`There is no file ${resolve(file)}.`);
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
  console.log(`Restored into ${data}. Start with npm start.`);
}

main().catch((error) => {
  console.error(error instanceof Problem ? `\n${error.message}\n` : error);
  process.exitCode = 1;
});
