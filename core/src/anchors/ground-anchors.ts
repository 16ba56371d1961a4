import type { Policy, PullSlope } from '../policy/policy.ts';
import { interpolate } from '../rating/derates.ts';
import type { Deadman, Pickets } from './anchor-body.ts';

/** Failing number of a picket line, newtons: the pattern's table value × soil × lines side by side. Source: the policy's table. */
export function picketsFailingN({ pattern, soil, lines }: Pickets, { anchors }: Policy): number {
  return anchors.picketsFailingN[pattern].value * anchors.picketSoil[soil].value * lines;
}

/** Rise over run at which each column of the deadman table begins; a slope between two takes the steeper, weaker one. */
const COLUMNS: readonly (readonly [PullSlope, number])[] = [
  ['1:4', 1 / 4],
  ['1:3', 1 / 3],
  ['1:2', 1 / 2],
  ['1:1', 1],
];

/** The column for a pull that rises at an angle from the level, rad, 0…π/2; flatter than one in four counts as one in four. */
export function pullSlopeOf(riseRad: number): PullSlope {
  const rise = Math.tan(Math.max(0, Math.min(riseRad, Math.PI / 2 - 1e-9)));
  return COLUMNS.find(([, limit]) => rise <= limit * (1 + 1e-9))?.[0] ?? 'vertical';
}

/**
 * Failing number of a deadman, newtons: bearing face × the table's pressure for the mean depth of its centre and the slope of
 * the pull; linear in depth, nothing above the shallowest row, the deepest row below it. The log itself is not checked.
 */
export function deadmanFailingN({ lengthM, faceHeightM, depthM }: Deadman, riseRad: number, { anchors }: Policy): number {
  const { depthsM, failingPa } = anchors.deadman;
  const column = failingPa[pullSlopeOf(riseRad)];
  if (depthM < (depthsM[0] ?? Number.POSITIVE_INFINITY) * (1 - 1e-9)) return 0;
  const points = depthsM.map((depth, index) => ({ ratio: depth, value: column[index] ?? 0 }));
  return interpolate(points, depthM) * lengthM * faceHeightM;
}
