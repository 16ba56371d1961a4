import { isDay } from '@wainrope/core';
import { invalid, type ProblemException } from './problem.ts';

/** Entries of a page where nobody says how many. */
export const LISTED = 100;

export const notThePage = (): ProblemException => invalid([{ path: 'before', message: 'Give the `next` of the page before.' }]);

/** The day and what comes after it, out of the `next` of the page before; anything else is refused. */
export function readPageKey(before: string | undefined, second: RegExp): readonly [string, string] | undefined {
  if (before === undefined) return undefined;
  const [day = '', rest = '', ...more] = before.split(' ');
  if (more.length > 0 || !isDay(day) || !second.test(rest)) throw notThePage();
  return [day, rest];
}

export const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;
