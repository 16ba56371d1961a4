import type { Actor } from '../actor/actor.ts';
import { ProblemException } from '../http/problem.ts';

/** What a device kept until there was a signal is taken from nobody but the person who confirmed it there. */
export function refuseForOthers({ personId }: Actor, confirmedBy: string | undefined): void {
  if (confirmedBy === undefined || confirmedBy === personId) return;
  throw new ProblemException({
    status: 401,
    title: 'Signed in as somebody else',
    detail: 'Somebody else confirmed this on the device; it waits there until they sign in.',
  });
}
