import { may } from '@wainrope/contract';
import type { Actor } from '../actor/actor.ts';
import { ProblemException } from '../http/problem.ts';

/** Refuses whoever may only make the checks before and after use. */
export function refuseFull({ role }: Actor): void {
  if (may(role, 'inspection.full')) return;
  throw new ProblemException({
    status: 403,
    title: 'Not allowed',
    detail: 'Members make the checks before and after use; an inspection that sets a grade is made by a gear keeper.',
  });
}
