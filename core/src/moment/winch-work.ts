import { type BurstPlan, burstPlan } from '../winch/burst-plan.ts';
import { layerDiameterM } from '../winch/drum-layers.ts';
import type { DriveState, Moment } from './moment.ts';

export type WinchWork =
  | { readonly state: DriveState; readonly plan: BurstPlan; readonly ropeM: number }
  /** Figures that are not on record; a hydraulic winch has no such model. */
  | { readonly state: DriveState; readonly missing: readonly string[] };

/** What each electric winch has to do from the load at its place until it is free, at the tension of the start. */
export function winchWork(start: Moment): readonly WinchWork[] {
  return start.drives.flatMap((state) => workOf(start, state) ?? []);
}

function workOf(start: Moment, state: DriveState): WinchWork | undefined {
  const { drive, drum } = state;
  const { plannedPullN, rig } = start;
  if (drive.kind !== 'winch' || drive.winch === undefined || drum.kind === 'no-winch' || plannedPullN === undefined) return undefined;
  const { attributes } = drive.winch;
  if (attributes.drive === 'hydraulic') return undefined;
  const { noLoadCurrentA, fullLoadCurrentA, noLoadSpeedMPerMin, fullLoadSpeedMPerMin, alternatorA, batteryAh } = attributes;
  if (
    noLoadCurrentA === undefined ||
    fullLoadCurrentA === undefined ||
    noLoadSpeedMPerMin === undefined ||
    fullLoadSpeedMPerMin === undefined
  ) {
    const missing = [
      noLoadCurrentA === undefined && 'current without load',
      fullLoadCurrentA === undefined && 'current at rated pull',
      noLoadSpeedMPerMin === undefined && 'line speed without load',
      fullLoadSpeedMPerMin === undefined && 'line speed at rated pull',
    ];
    return { state, missing: missing.filter((entry) => entry !== false) };
  }
  const ropeM = rig.rig.load.travelM * Math.max(0, ropePerTravel(start) ?? 0);
  const plan = burstPlan(
    {
      noLoadA: noLoadCurrentA,
      fullLoadA: fullLoadCurrentA,
      noLoadMPerS: noLoadSpeedMPerMin / 60,
      fullLoadMPerS: fullLoadSpeedMPerMin / 60,
      loadShare: (plannedPullN * state.share) / drum.ratedN,
      layerRatio: drum.kind === 'known' ? layerDiameterM(drum.drum, drum.layer) / layerDiameterM(drum.drum, 1) : 1,
      ropeM,
      ...(alternatorA !== undefined && { alternatorA }),
      ...(batteryAh !== undefined && { batteryAh }),
      engineRunning: rig.rig.answers['engine-off.rig'] !== 'no',
    },
    rig.policy,
  );
  return { state, plan, ropeM };
}

/** Rope hauled per metre of travel without friction, by virtual work: what one newton of line pull gives at the load. */
export function ropePerTravel({ advantage, drives }: Moment): number | undefined {
  if (advantage === undefined) return undefined;
  const shares = drives.reduce((sum, { share }) => sum + share, 0);
  return advantage.frictionless / Math.max(shares, 1);
}
