import { type InspectionKind, isUseCheck, may, type PersonRole } from '@wainrope/contract';
import type { Grade } from '@wainrope/core';
import { invalid, ProblemException } from '../http/problem.ts';

interface AskedReturn {
  readonly tag: string;
  readonly role: PersonRole;
  readonly kind: InspectionKind;
  readonly grade: Grade | undefined;
  /** Whether the person took the piece out of use themselves. */
  readonly tookItOut: boolean;
}

const refused = (message: string) => invalid([{ path: 'returnsToUse', message }]);
const notAllowed = (detail: string) => new ProblemException({ status: 403, title: 'Not allowed', detail });

/** Why an inspection does not return a piece to use: decided here alone, by the capability table; undefined where it does. */
export function returnRefusal({ tag, role, kind, grade, tookItOut }: AskedReturn): ProblemException | undefined {
  if (isUseCheck(kind)) return refused(`A check before or after use can only take ${tag} out of use; a full inspection returns it.`);
  if (!may(role, 'gear.return')) return notAllowed(`Only a gear keeper may return ${tag} to use. Ask a keeper or the coordinator.`);
  if (grade === undefined || grade === 'D') return refused(`${tag} is graded D; it stays out of use until it is graded better.`);
  if (tookItOut && !may(role, 'gear.return-own'))
    return notAllowed(`You took ${tag} out of use yourself; somebody else must return it. Ask another keeper or the coordinator.`);
  return undefined;
}
