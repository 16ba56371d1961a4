// @ts-check
// Programs that this one runs to their end: each in a group of its own, ended together with it, and by the system where it is killed.
import { spawn } from 'node:child_process';
import { existsSync } from 'node:fs';
import { setTimeout as wait } from 'node:timers/promises';

/** Asked to end: nothing new is begun. */
export class Ended extends Error {}

/** @type {Set<import('node:child_process').ChildProcess>} */
const underWay = new Set();
let isEnding = false;

export const isAskedToEnd = () => isEnding;

export function refuseIfEnding() {
  if (isEnding) throw new Ended('Asked to end.');
}

/** Before a command: the system ends it where whoever began it is killed and can end nothing any more. */
export const WITH_PARENT = existsSync('/usr/bin/setpriv') ? ['/usr/bin/setpriv', '--pdeathsig', 'TERM', '--'] : [];

/** A whole group, the program and what it has begun itself. @param {number | undefined} pid @param {NodeJS.Signals} signal */
export function signalGroup(pid, signal) {
  if (pid === undefined) return;
  try {
    process.kill(-pid, signal);
  } catch (error) {
    if (/** @type {NodeJS.ErrnoException} */ (error).code !== 'ESRCH') throw error;
  }
}

/**
 * Runs a program to its end and keeps what it says; meanwhile signals are heard.
 * @param {string} command @param {readonly string[]} args
 * @param {{ cwd?: string, env?: NodeJS.ProcessEnv, outlives?: boolean }} [options] `outlives`: what it begins goes on after it.
 * @returns {Promise<{ status: number | null, stdout: string, stderr: string }>}
 */
export function execute(command, args, { cwd, env, outlives = false } = {}) {
  refuseIfEnding();
  const [program = command, ...rest] = outlives ? [command, ...args] : [...WITH_PARENT, command, ...args];
  return new Promise((done, fail) => {
    const child = spawn(program, rest, { cwd, env, stdio: ['ignore', 'pipe', 'pipe'], detached: true });
    underWay.add(child);
    let [stdout, stderr] = ['', ''];
    child.stdout.setEncoding('utf8').on('data', (part) => {
      stdout += part;
    });
    child.stderr.setEncoding('utf8').on('data', (part) => {
      stderr += part;
    });
    child.once('error', (error) => {
      underWay.delete(child);
      fail(error);
    });
    child.once('close', (status) => {
      underWay.delete(child);
      if (isEnding) fail(new Ended(`${command} was ended.`));
      else done({ status, stdout, stderr });
    });
  });
}

/** Ends what runs, politely for a moment; nothing is begun from now on. */
export async function endAll() {
  isEnding = true;
  const running = [...underWay];
  for (const { pid } of running) signalGroup(pid, 'SIGTERM');
  for (let waited = 0; underWay.size > 0 && waited < 500; waited += 20) await wait(20);
  for (const { pid } of underWay) signalGroup(pid, 'SIGKILL');
}
