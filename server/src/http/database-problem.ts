import type { Problem } from '@wainrope/contract';

type Told = Omit<Problem, 'type'>;

interface DatabaseError {
  readonly code?: unknown;
  readonly message?: unknown;
}

/** The connection is gone, or there is none to be had: by PostgreSQL’s code, the system’s, or the words of the pool. */
const GONE_CODES = ['ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ENOENT', 'ETIMEDOUT', '57P01', '57P02', '57P03', '53300'];
const GONE_WORDS = [/^Connection terminated/, /^timeout exceeded when trying to connect/, /^Client has encountered a connection error/];
/** Waited too long: for a lock, for a statement, for another transaction. */
const WAITED = ['55P03', '57014', '40001', '40P01'];
/** No room left, or the database says that it cannot write. */
const FULL = ['53100', '53200', 'ENOSPC'];

export function isConnectionLost(error: unknown): boolean {
  const { code, message } = (error ?? {}) as DatabaseError;
  if (typeof code === 'string' && (GONE_CODES.includes(code) || code.startsWith('08'))) return true;
  return typeof message === 'string' && GONE_WORDS.some((words) => words.test(message));
}

/** What the database could not do, in words; undefined for anything that is not its doing. */
export function databaseProblem(error: unknown): Told | undefined {
  const { code } = (error ?? {}) as DatabaseError;
  if (isConnectionLost(error))
    return {
      status: 503,
      title: 'The database does not answer',
      detail: 'Nothing was saved. Try again in a moment; it is started anew if it has stopped.',
    };
  if (typeof code !== 'string') return undefined;
  if (FULL.includes(code))
    return {
      status: 507,
      title: 'The disk is full',
      detail: 'The database has no room left, so nothing was saved. Make room on the disk of the server, then try again.',
    };
  if (WAITED.includes(code))
    return {
      status: 503,
      title: 'Busy',
      detail: 'Others are changing the same thing right now. Nothing was saved; try again in a moment.',
    };
  if (code === '23505')
    return {
      status: 409,
      title: 'Changed by somebody else',
      detail: 'Somebody else saved the same thing at this moment. Look at what they saved, then try again.',
    };
  if (/^22/.test(code))
    return { status: 422, title: 'Not accepted', detail: 'A value of the request is out of the range that can be kept.' };
  return undefined;
}
