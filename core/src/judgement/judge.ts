import { momentAt } from '../moment/moment-at.ts';
import type { Act } from '../pull/act.ts';
import type { Margins } from '../pull/margins.ts';
import { pullSteps, runUpAct, startOf } from '../pull/run-pull.ts';
import { releaseOf } from '../release/release-of.ts';
import { energyMargins } from '../release/what-leaves.ts';
import { resolveRig } from '../resolved/resolve-rig.ts';
import type { ResolvedRig } from '../resolved/resolved-rig.ts';
import type { Case } from '../rig/case.ts';
import { planRunUp } from '../shock/run-up-plan.ts';
import type { Judged } from './ask/judged.ts';
import type { RuleMargins } from './ask/rule.ts';
import { alongTheForce } from './path-asked.ts';
import type { Report, Verdict } from './report/report.ts';
import { reportOf } from './report/write-report.ts';
import { rules } from './rules/rule-list.ts';

/**
 * Judges a case over its whole act: resolves its rig, runs the pull from first tension to the last metre, or the run-up to its peak,
 * checks every place against its limit, asks every rule, and draws the verdict from the findings alone. The report is plain data in SI
 * units; the same case gives the same report in browser, server and command line.
 */
export const judge = (subject: Case): Report => reportOf(judgedCase(subject));

/** A case judged, from which its report is written and every figure of it explained, with nothing solved again. */
export function judgedCase(subject: Case): Judged {
  const steps = judgedSteps(subject);
  for (;;) {
    const next = steps.next();
    if (next.done) return next.value;
  }
}

/** The same, with a pause every few steps of the pull, for whoever has other things to do in between; it tells the share that is done. */
export function* judgedSteps(subject: Case): Generator<number, Judged> {
  const judged = yield* actSteps(resolveRig(subject));
  const other = alongTheForce(judged);
  if (other === undefined) return judged;
  // Which way it will go is not said: both are judged, and where they differ the worse stands and the question is asked.
  const aside = yield* actSteps(resolveRig(other));
  const [verdict, asideVerdict] = [reportOf(judged).verdict, reportOf(aside).verdict];
  if (asideVerdict === verdict) return judged;
  return GRAVITY.indexOf(asideVerdict) > GRAVITY.indexOf(verdict)
    ? { ...aside, pathAsked: 'along-force' }
    : { ...judged, pathAsked: 'along-heading' };
}

const GRAVITY: readonly Verdict[] = ['clear', 'clear-judged', 'watch', 'stop'];

/** Judges the start of a case alone, which its findings say: for the time while something is dragged. */
export const judgeStart = (subject: Case): Report => reportOf(judgedStart(subject));

/** The start of a case judged alone. */
export function judgedStart(subject: Case): Judged {
  const rig = resolveRig(subject);
  const margins = marginsOf(rig);
  return judgedAct(actAtOnce(rig, margins.all) ?? startOf(rig, margins.all), margins);
}

function* actSteps(rig: ResolvedRig): Generator<number, Judged> {
  const margins = marginsOf(rig);
  return judgedAct(actAtOnce(rig, margins.all) ?? (yield* pullSteps(rig, margins.all)), margins);
}

/** The act of a rig that has no travel to run: a pull with a run-up. */
function actAtOnce(rig: ResolvedRig, margins: readonly Margins[]): Act | undefined {
  const drive = rig.drives.some(({ line }) => line.line.drive.kind === 'tow' && line.line.drive.manner === 'run-up');
  if (!drive) return undefined;
  const start = momentAt(rig, { travelM: 0 });
  const outcome = planRunUp(start);
  return outcome && runUpAct(rig, start, outcome, margins);
}

interface AskedMargins {
  readonly all: readonly Margins[];
  /** The margins of each rule, and where they stand. */
  readonly at: ReadonlyMap<string, { readonly set: number; readonly asked: RuleMargins }>;
  /** Where those of the energies stand. */
  readonly energies: number;
}

/** Every margin that an act is run with: those of all rules of the moment, then what the lines store. */
function marginsOf(rig: ResolvedRig): AskedMargins {
  const all: Margins[] = [];
  const at = new Map<string, { readonly set: number; readonly asked: RuleMargins }>();
  for (const { code, margins } of rules) {
    const asked = margins?.(rig);
    if (asked === undefined) continue;
    at.set(code, { set: all.length, asked });
    all.push(asked);
  }
  const energies = all.length;
  all.push(energyMargins(rig));
  return { all, at, energies };
}

function judgedAct(act: Act, { at, energies }: AskedMargins): Judged {
  return {
    ...act,
    release: releaseOf(act, act.tracks(energies)),
    energies: act.tracks(energies),
    tracksOf: (code) => act.tracks(at.get(code)?.set ?? -1),
    askedOf: (code) => at.get(code)?.asked,
  };
}
