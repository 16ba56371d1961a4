// @ts-check
// Debian packages: what is missing is named all at once; a busy package lock is waited for.
import { existsSync, readdirSync } from 'node:fs';
import { setTimeout as wait } from 'node:timers/promises';
import { Problem } from './problem.mjs';
import { execute } from './processes.mjs';

export const isRoot = process.getuid?.() === 0;
const POSTGRES = '/usr/lib/postgresql';

/** The newest PostgreSQL's version on this machine; nothing where there is none. */
export const postgresVersion = () =>
  (existsSync(POSTGRES) ? readdirSync(POSTGRES) : [])
    .filter((version) => existsSync(`${POSTGRES}/${version}/bin/initdb`))
    .sort((a, b) => Number(b) - Number(a))[0];

export const POSTGRES_FOLDER = POSTGRES;

/** What is used of Debian, and by what one sees that it is there. */
const PRESENT = {
  postgresql: () => postgresVersion() !== undefined,
  chromium: () => existsSync('/usr/bin/chromium'),
};
/** @typedef {keyof typeof PRESENT} DebianPackage */

/** Those of some packages that are not on this machine. @param {readonly DebianPackage[]} wanted */
export const missingOf = (wanted) => wanted.filter((name) => !PRESENT[name]());

/** Another program has the lock: that passes. */
const BUSY = /could not get lock|unable to (?:lock|acquire)|is another process using it|dpkg frontend (?:lock )?is locked/i;
const UNREACHABLE =
  /could not resolve|temporary failure resolving|could not connect|cannot initiate the connection|unable to connect|connection failed/i;
const UNKNOWN = /unable to locate package|has no installation candidate/i;
const READ_ONLY = /read-only file system/i;
const FULL = /no space left|you don't have enough free space/i;
const LOOK_MS = 3000;
const MOST_MS = 600_000;

/** What a package manager's words mean for a person. @param {string} said @param {readonly string[]} packages @param {string} command */
export function aptProblem(said, packages, command) {
  const names = packages.join(', ');
  const byHand = `\nBy hand, to see more: ${command}`;
  if (UNREACHABLE.test(said))
    return `Installing ${names} failed: the source of Debian packages does not answer. Check the connection and /etc/apt/sources.list, then start again.${byHand}`;
  if (UNKNOWN.test(said))
    return `Installing ${names} failed: the sources in /etc/apt do not have it. Add Debian's own source, or install it another way, then start again.${byHand}`;
  if (FULL.test(said)) return `Installing ${names} failed: the disk is full. Make room, then start again.${byHand}`;
  if (READ_ONLY.test(said)) return `Installing ${names} failed: this system cannot be written to.${byHand}`;
  return `Installing ${names} failed:\n${said.trim().slice(-2000)}${byHand}`;
}

/** Installs what is missing of some packages in one go; who may not is told the one command. @param {readonly DebianPackage[]} wanted */
export async function ensureDebian(wanted) {
  const missing = missingOf(wanted);
  if (missing.length > 0) await installDebian(missing);
}

/** @param {readonly string[]} missing */
export async function installDebian(missing) {
  const names = missing.join(' ');
  const command = `apt-get update && apt-get install -y --no-install-recommends ${names}`;
  if (!isRoot)
    throw new Problem(
      `Not on this machine: ${missing.join(', ')}. It takes an administrator once:\n\n  sudo sh -c '${command}'\n\nThen start again.`,
    );
  console.log(`Installing Debian packages: ${missing.join(', ')} …`);
  for (let waited = 0; ; waited += LOOK_MS) {
    const done = await execute('sh', ['-c', command], { env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive', LC_ALL: 'C.UTF-8' } });
    if (done.status === 0) return;
    const said = `${done.stdout}\n${done.stderr}`;
    if (!BUSY.test(said)) throw new Problem(aptProblem(said, missing, command));
    if (waited >= MOST_MS)
      throw new Problem(`Another program has held the package lock for ${MOST_MS / 60_000} minutes. End it, then start again.`);
    if (waited === 0) console.log('Another program is installing packages; waiting for it to end …');
    await wait(LOOK_MS);
  }
}
