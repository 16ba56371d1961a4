import type { PlanView } from '@wainrope/contract';
import { type Case, CORE_VERSION, contentDigest, type Rig, type ToldReport } from '@wainrope/core';
import { useMemo } from 'react';

/**
 * What the server says of the open case: its report, where it judged this very case by these very rules; else nothing, and the page has
 * to judge for itself. A register, a day or a policy that has gone on since makes another case, and so does a touch of the rig.
 */
export function useServersReport(plan: PlanView, rig: Rig | undefined, subject: Case | undefined): ToldReport | undefined {
  const { report, caseDigest } = plan.fresh;
  const isAsSaved = rig === plan.rig;
  return useMemo(
    () => (isAsSaved && subject && report.coreVersion === CORE_VERSION && contentDigest(subject) === caseDigest ? report : undefined),
    [isAsSaved, subject, report, caseDigest],
  );
}
