import type { BurstPlan } from '../winch/burst-plan.ts';
import type { DriveState, Moment } from './moment.ts';

export type WinchWork =
  | { readonly state: DriveState; readonly plan: BurstPlan; readonly ropeM: number }
  /** Figures that are not on record; a hydraulic winch has no such model. */
  | { readonly state: DriveState; readonly missing: readonly string[] };

/** Rope hauled per metre of travel without friction, by virtual work: what one newton of line pull gives at the load. */
export function ropePerTravel({ advantage, drives }: Moment): number | undefined {
  if (advantage === undefined) return undefined;
  const shares = drives.reduce((sum, { share }) => sum + share, 0);
  return advantage.frictionless / Math.max(shares, 1);
}
