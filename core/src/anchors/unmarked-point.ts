import type { Policy } from '../policy/policy.ts';
import { STANDARD_GRAVITY } from '../quantity/units.ts';

export type UnmarkedPointKind = 'factory-hook' | 'tie-down-eye';

/** What an unmarked point of a vehicle is trusted with, newtons, and by what right. */
export interface UnmarkedPoint {
  readonly workingN: number;
  readonly failingN: number;
  readonly reason: string;
  readonly source: string;
}

/**
 * An unmarked point by the weight of its vehicle: share × mass × g₀, one share for work and one for failing. A frame-fixed factory
 * hook and a tie-down eye (for a rolling vehicle only) have their rows in the policy. Never more than a marked point of the same
 * vehicle, whose limits come in newtons. Mass in kg, above 0. Source: the rows.
 */
export function unmarkedPoint(
  kind: UnmarkedPointKind,
  massKg: number,
  { anchors }: Pick<Policy, 'anchors'>,
  marked: readonly { readonly wllN: number; readonly mbsN: number }[],
): UnmarkedPoint {
  const weightN = massKg * STANDARD_GRAVITY;
  const hook = kind === 'factory-hook';
  const [working, failing] = hook
    ? [anchors.factoryHookWorking, anchors.factoryHookFailing]
    : [anchors.tieDownWorking, anchors.tieDownFailing];
  return {
    workingN: Math.min(working.value * weightN, ...marked.map(({ wllN }) => wllN)),
    failingN: Math.min(failing.value * weightN, ...marked.map(({ mbsN }) => mbsN)),
    reason: hook ? 'unmarked factory hook, by the vehicle’s weight' : 'tie-down eye, for a rolling vehicle only',
    source: working.source,
  };
}
