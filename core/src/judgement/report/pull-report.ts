import { handHauls } from '../../pull/hand-haul.ts';
import type { Attempt } from '../../shock/attempts.ts';
import type { Judged } from '../ask/judged.ts';
import type { AttemptReport, PullReport, RunUpReport } from './report.ts';
import { drumFigures } from './report-figures.ts';

/** How the act goes, from its curves and events. */
export function pullReport(judged: Judged): PullReport {
  const { rig, last, end, events, resets, curves, work } = judged;
  const most = (list: readonly number[]) => worstOn(curves.travelM, list);
  const planned = most(curves.linePullN);
  const sideways = most(curves.sidewaysN.map(Math.abs));
  const downward = most(curves.downwardN);
  const hands = handHauls(judged);
  const minutes = [
    ...work.flatMap((entry) => ('plan' in entry && entry.plan.kind === 'planned' ? [entry.plan.minutes] : [])),
    ...hands.flatMap((haul) => haul.minutes ?? []),
  ];
  return {
    askedM: rig.rig.load.travelM,
    reachedM: end.atM,
    end: end.kind,
    events,
    resets,
    hands,
    plannedN: planned?.value,
    plannedAtM: planned?.atM,
    sidewaysN: sideways?.value,
    sidewaysAtM: sideways?.atM,
    downwardN: downward?.value,
    downwardAtM: downward?.atM,
    lastDrum: drumFigures(last.drives[0]?.drum),
    haulMin: minutes.length > 0 ? Math.max(...minutes) : undefined,
    riggingMin: riggingMinutes(rig),
  };
}

/** The largest of some figures above 0, and where; undefined where none is. */
function worstOn(travelM: readonly number[], list: readonly number[]): { readonly value: number; readonly atM: number } | undefined {
  let worst: { readonly value: number; readonly atM: number } | undefined;
  list.forEach((value, index) => {
    if (value > (worst?.value ?? 0)) worst = { value, atM: travelM[index] ?? 0 };
  });
  return worst;
}

/** A guess: so much for the rig, for every part of its lines and for every piece. */
function riggingMinutes({ policy, lines, uses }: Judged['rig']): number {
  const { rigMin, partMin, pieceMin } = policy.pull;
  const parts = lines.reduce((sum, { spans }) => sum + spans.length, 0);
  return rigMin.value + partMin.value * parts + pieceMin.value * uses.length;
}

export function runUpReport({ runUp, rig }: Judged): RunUpReport | undefined {
  if (runUp?.kind !== 'planned') return undefined;
  const { chosen, proposedMPerS, boundBy, attempts, beyond, slackM, neededSlackM, mostSlackM, accelerationMPerS2, setup } = runUp.plan;
  return {
    chosen,
    proposedMPerS,
    boundBy,
    accelerationMPerS2,
    slackM: finite(slackM),
    neededSlackM: finite(neededSlackM),
    mostSlackM,
    offHeadingRad: setup.offHeadingRad,
    restMin: rig.policy.stretch.restMin.value,
    attempts: attempts.map(attemptReport),
    beyond: attemptReport(beyond),
  };
}

/** A run-up that no length gives is told as one longer than any. */
const LONGEST_M = 1e4;
const finite = (lengthM: number): number => Math.min(lengthM, LONGEST_M);

function attemptReport(attempt: Attempt): AttemptReport {
  const { share, speedMPerS, slackM, peakN, greatestN, peakS, freed, movedM, utilisation, highest, breaking, weakest, breaks, verdict } =
    attempt;
  return {
    share,
    speedMPerS,
    slackM: finite(slackM),
    peakN,
    greatestN,
    peakS,
    freed,
    movedM,
    utilisation,
    highestPlaceId: highest?.id,
    breakingRatio: breaking,
    weakestPlaceId: weakest?.id,
    breaksPlaceId: breaks?.place.id,
    breaksAtS: breaks?.atS,
    verdict,
  };
}
