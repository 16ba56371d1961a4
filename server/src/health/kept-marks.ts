import { existsSync } from 'node:fs';
import { readdir, readFile, stat } from 'node:fs/promises';
import { join } from 'node:path';

/** When the newest backup of a folder was written, ms; nothing where there is none. */
export async function lastBackup(folder: string | undefined): Promise<number | undefined> {
  if (!folder || !existsSync(folder)) return undefined;
  const names = (await readdir(folder)).filter((name) => name.endsWith('.backup'));
  const times = await Promise.all(names.map(async (name) => (await stat(join(folder, name))).mtimeMs));
  return times.length === 0 ? undefined : Math.max(...times);
}

/** What ended by itself and was started again since the start. */
export interface Restarts {
  readonly server?: number;
  readonly database?: number;
}

/** Where whoever watches over server and database writes down what ended by itself. */
export const RESTARTS_FILE = process.env.WAINROPE_RESTARTS;

export async function restarts(): Promise<Restarts | undefined> {
  if (!RESTARTS_FILE || !existsSync(RESTARTS_FILE)) return undefined;
  return JSON.parse(await readFile(RESTARTS_FILE, 'utf8')) as Restarts;
}
