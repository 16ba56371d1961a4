import type { GearOf } from '../gear/gear-facts.ts';
import { type BurstPlan, burstPlan } from '../winch/burst-plan.ts';
import { layerDiameterM } from '../winch/drum-layers.ts';
import type { Gathered } from './assessment.ts';
import type { DriveReport } from './drives.ts';

export type WinchWork =
  | { readonly drive: DriveReport; readonly plan: BurstPlan; readonly ropeM: number }
  /** Figures that are not on record; a hydraulic winch has no such model. */
  | { readonly drive: DriveReport; readonly missing: readonly string[] };

/** What each electric winch has to do from the load at its place until it is free, at the tension of the start. */
export function winchWork(assessment: Gathered): readonly WinchWork[] {
  return assessment.drives.flatMap((drive) => {
    const { winch } = drive;
    if (winch?.kind !== 'winch' || winch.attributes.drive === 'hydraulic' || assessment.plannedPullN === undefined) return [];
    const work = workOf(assessment, drive, winch);
    return work === undefined ? [] : [work];
  });
}

function workOf(assessment: Gathered, drive: DriveReport, { attributes }: GearOf<'winch'>): WinchWork | undefined {
  const { drum } = drive;
  if (drum.kind === 'no-winch') return undefined;
  const { noLoadCurrentA, fullLoadCurrentA, noLoadSpeedMPerMin, fullLoadSpeedMPerMin, alternatorA, batteryAh } = attributes;
  const missing = [
    noLoadCurrentA === undefined && 'current without load',
    fullLoadCurrentA === undefined && 'current at rated pull',
    noLoadSpeedMPerMin === undefined && 'line speed without load',
    fullLoadSpeedMPerMin === undefined && 'line speed at rated pull',
  ].filter((entry) => entry !== false);
  if (
    noLoadCurrentA === undefined ||
    fullLoadCurrentA === undefined ||
    noLoadSpeedMPerMin === undefined ||
    fullLoadSpeedMPerMin === undefined
  )
    return { drive, missing };
  const ropeM = ropeToHaulM(assessment);
  const plan = burstPlan(
    {
      noLoadA: noLoadCurrentA,
      fullLoadA: fullLoadCurrentA,
      noLoadMPerS: noLoadSpeedMPerMin / 60,
      fullLoadMPerS: fullLoadSpeedMPerMin / 60,
      loadShare: ((assessment.plannedPullN ?? 0) * drive.share) / drum.ratedN,
      layerRatio: drum.kind === 'known' ? layerDiameterM(drum.drum, drum.layer) / layerDiameterM(drum.drum, 1) : 1,
      ropeM,
      ...(alternatorA !== undefined && { alternatorA }),
      ...(batteryAh !== undefined && { batteryAh }),
      engineRunning: assessment.rig.answers['engine-off.rig'] !== 'no',
    },
    assessment.policy,
  );
  return { drive, plan, ropeM };
}

/** Rope hauled per metre of travel without friction, by virtual work: what one newton of line pull gives at the load. */
export function ropePerTravel({ advantage, drives }: Gathered): number | undefined {
  if (advantage === undefined) return undefined;
  const shares = drives.reduce((sum, { share }) => sum + share, 0);
  return advantage.frictionless / Math.max(shares, 1);
}

function ropeToHaulM(assessment: Gathered): number {
  return assessment.rig.load.travelM * Math.max(0, ropePerTravel(assessment) ?? 0);
}
