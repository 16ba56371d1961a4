import type { Policy, Surface } from '../policy/policy.ts';
import { STANDARD_GRAVITY } from '../quantity/units.ts';
import { type EffortOutcome, estimateOf } from './estimate-pull.ts';

export interface HelperVehicle {
  readonly massKg: number;
  /** Slope it is drawn up, rad, 0…π/4. */
  readonly slopeRad: number;
  readonly surface: Surface;
  /** Share of its weight on braked wheels that drag, 0…1. */
  readonly brakeShare: number;
}

export interface RespoolAdvice {
  readonly tensionN: number;
  readonly wantedN: number;
  /** The slope that alone would do, rad, and the brake share that alone would do here; missing where neither reaches it. */
  readonly slopeRad?: number;
  readonly brakeShare?: number;
}

/** What a line is to be spooled under. */
export function respoolPull(policy: Policy): EffortOutcome {
  const { tensionN } = policy.respool;
  const outcome = estimateOf(
    [
      {
        id: 'spooling',
        pullN: tensionN.value,
        terms: [
          {
            label: 'Tension a line is spooled under',
            pullN: tensionN.value,
            source: tensionN.source,
            factors: [{ label: 'tension', value: tensionN.value, unit: 'N' }],
          },
        ],
      },
    ],
    policy,
  );
  return outcome.kind === 'estimated' ? { ...outcome, plannedN: tensionN.value, plannedBy: 'spooling' } : outcome;
}

/**
 * The tension that a helper vehicle drawn along by the line gives: W(sin θ + C_rr·cos θ) + share·μ·W·cos θ, its rolling wheels
 * and its braked ones, against the tension wanted. Says which slope or which brake share would reach it. Newtons, rad.
 */
export function respoolAdvice({ massKg, slopeRad, surface, brakeShare }: HelperVehicle, policy: Policy): RespoolAdvice {
  const weightN = massKg * STANDARD_GRAVITY;
  const rolling = policy.effort.rollingResistance[surface].value;
  const friction = policy.effort.lockedWheelFriction[surface].value;
  const give = (slope: number, share: number) =>
    weightN * (Math.sin(slope) + rolling * Math.cos(slope)) + share * friction * weightN * Math.cos(slope);
  const wantedN = policy.respool.tensionN.value;
  const tensionN = give(slopeRad, brakeShare);
  if (tensionN >= wantedN * (1 - 1e-9)) return { tensionN, wantedN };
  const share = (wantedN - give(slopeRad, 0)) / (friction * weightN * Math.cos(slopeRad));
  const slope = slopeFor(give, wantedN, brakeShare);
  return { tensionN, wantedN, ...(share <= 1 && { brakeShare: share }), ...(slope !== undefined && { slopeRad: slope }) };
}

/** The gentlest slope up to 45° that gives the tension. */
function slopeFor(give: (slope: number, share: number) => number, wantedN: number, share: number): number | undefined {
  if (give(Math.PI / 4, share) < wantedN) return undefined;
  let [low, high] = [0, Math.PI / 4];
  for (let step = 0; step < 50; step++) {
    const middle = (low + high) / 2;
    if (give(middle, share) < wantedN) low = middle;
    else high = middle;
  }
  return high;
}
