// @ts-check
// Where data is kept, and whether a folder can be written to.
import { accessSync, constants, existsSync, mkdirSync, statSync } from 'node:fs';
import { userInfo } from 'node:os';
import { dirname, join, resolve } from 'node:path';
import { Problem } from './problem.mjs';

export const ROOT = resolve(import.meta.dirname, '..');

export const dataFolder = () => resolve(process.env.WAINROPE_DATA ?? join(ROOT, '.data'));

/** The folder, else the nearest one above it that there is. @param {string} folder @returns {string} */
const existing = (folder) => (existsSync(folder) || dirname(folder) === folder ? folder : existing(dirname(folder)));

/** Why a folder cannot be written to or made, in words; nothing where it can. @param {string} folder */
export function whyNotWritable(folder) {
  const at = existing(folder);
  try {
    accessSync(at, constants.W_OK);
    if (!statSync(at).isDirectory()) return `${at} is no folder`;
    return undefined;
  } catch (error) {
    const { code } = /** @type {NodeJS.ErrnoException} */ (error);
    if (code === 'EROFS') return `${at} lies on a file system that is read-only`;
    return `${at} belongs to somebody else (user ${statSync(at).uid}); this is ${userInfo().username}`;
  }
}

/** Refuses a folder that cannot be written to, with what to do. @param {string} folder @param {string} what @param {string} instead */
export function needWritable(folder, what, instead) {
  const why = whyNotWritable(folder);
  if (why) throw new Problem(`${what} cannot be written: ${why}.\n${instead}`);
}

/** Makes the data folder, or says why it cannot be. */
export function makeDataFolder() {
  const data = dataFolder();
  needWritable(data, `The data folder ${data}`, 'Choose another: WAINROPE_DATA=FOLDER npm start');
  mkdirSync(data, { recursive: true });
  return data;
}
