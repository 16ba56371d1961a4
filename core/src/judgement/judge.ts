import { type Act } from '../moment/act.ts';
import { runAct } from '../moment/run-act.ts';
import { releaseOf } from '../release/release.ts';
import { resolveRig } from '../resolved/resolve-rig.ts';
import type { Case } from '../rig/case.ts';
import type { Judged } from './ask/judged.ts';
import type { Report } from './report/report.ts';
import { reportOf } from './report/write-report.ts';

/**
 * Judges a case: resolves its rig, runs the act, checks every place against its limit, asks every rule, and draws the verdict from
 * the findings alone. The report is plain data in SI units; the same case gives the same report in browser, server and command line.
 */
export function judge(subject: Case): Report {
  return reportOf(judgedAct(runAct(resolveRig(subject))));
}

/** An act with what happens if a line parts. */
export const judgedAct = (act: Act): Judged => ({ ...act, release: releaseOf(act) });

/** What the rules are asked about, for a case. */
export const judgedCase = (subject: Case): Judged => judgedAct(runAct(resolveRig(subject)));
