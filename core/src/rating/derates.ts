import type { GearFacts } from '../gear/gear-facts.ts';
import type { Policy } from '../policy/policy.ts';
import { addMonths } from '../quantity/calendar.ts';
import { firstDay } from '../quantity/partial-date.ts';

/** A factor on a limit, by name, with its reason. `factor` 0…1. */
export interface Derate {
  readonly name: string;
  readonly factor: number;
  readonly reason: string;
  readonly source: string;
}

/** Where the condition comes from; the rules ask. `none-young` is 0.90 by a note, `none-old` 0.75 by a caution. */
export type ConditionBasis = 'graded' | 'none-young' | 'none-old' | 'out-of-use';

export interface Condition {
  readonly basis: ConditionBasis;
  readonly derate: Derate;
}

/**
 * Condition factor from the last inspection: A, B, C by policy, D 0 (out of use). Nothing on record: 0.90 when known to be
 * first used under `youngMonths` ago with no overload logged, else 0.75. `asOf` is a calendar day.
 */
export function conditionDerate(piece: GearFacts, policy: Policy, asOf: string): Condition {
  const { inspection } = piece;
  if (inspection?.grade === 'D')
    return {
      basis: 'out-of-use',
      derate: { name: 'condition D', factor: 0, reason: `inspected ${inspection.on}: out of use`, source: 'inspection' },
    };
  if (inspection !== undefined) {
    const { value, source } = policy.condition[inspection.grade];
    return {
      basis: 'graded',
      derate: { name: `condition ${inspection.grade}`, factor: value, reason: `inspected ${inspection.on}`, source },
    };
  }
  const youngUntil = piece.firstUsedOn === undefined ? undefined : addMonths(firstDay(piece.firstUsedOn), policy.care.youngMonths.value);
  const young = youngUntil !== undefined && youngUntil > asOf && piece.overloadsSinceInspection === 0;
  const { value, source } = young ? policy.condition.noneYoung : policy.condition.noneOld;
  const reason = young ? `never inspected, first used ${piece.firstUsedOn}` : 'never inspected';
  return { basis: young ? 'none-young' : 'none-old', derate: { name: 'condition unknown', factor: value, reason, source } };
}

/** The factor for wet polyamide; undefined where water changes nothing. */
export function wetDerate(piece: GearFacts, wet: boolean, policy: Policy): Derate | undefined {
  const material = 'material' in piece.attributes ? piece.attributes.material : undefined;
  if (!wet || material !== 'polyamide') return undefined;
  return {
    name: 'wet polyamide',
    factor: policy.wetPolyamide.value,
    reason: 'polyamide loses strength when wet',
    source: policy.wetPolyamide.source,
  };
}

interface CurvePoint {
  readonly ratio: number;
  readonly value: number;
}

/** Linear between the points of a rising curve, clamped to its first and last value outside. */
export function interpolate(points: readonly CurvePoint[], ratio: number): number {
  const first = points[0];
  const last = points[points.length - 1];
  if (first === undefined || last === undefined) return Number.NaN;
  if (ratio <= first.ratio) return first.value;
  for (let index = 1; index < points.length; index++) {
    const low = points[index - 1] as CurvePoint;
    const high = points[index] as CurvePoint;
    if (ratio <= high.ratio) return low.value + ((ratio - low.ratio) / (high.ratio - low.ratio)) * (high.value - low.value);
  }
  return last.value;
}

export interface Bend {
  readonly treadDiameterM: number;
  readonly ropeDiameterM: number;
  /** Angle of wrap on the tread, 0…π. */
  readonly wrapRad: number;
  readonly steelWire: boolean;
}

/**
 * Strength kept by rope bent in its length over a sheave, ring or pin: the curve of D/d in full from 30° of wrap, linear to 1 at none.
 * D tread diameter and d rope diameter in metres, above 0.
 */
export function bendFactor({ wrapRad, ...bend }: Bend, policy: Policy): number {
  return bentBy(fullBendFactor(bend, policy), wrapRad, policy);
}

/** The same in full, from 30° of wrap on; it stays as it is whatever moves. */
export function fullBendFactor({ treadDiameterM, ropeDiameterM, steelWire }: Omit<Bend, 'wrapRad'>, policy: Policy): number {
  const { points } = steelWire ? policy.bends.steelWire : policy.bends.fibre;
  return interpolate(points, treadDiameterM / ropeDiameterM);
}

/** A bend's factor at a wrap, rad, from its factor in full. */
export function bentBy(full: number, wrapRad: number, { bends }: Policy): number {
  return 1 - (1 - full) * Math.min(1, (wrapRad * 180) / Math.PI / bends.fullFromWrapDeg);
}

/** Strength kept by a rope's eye seated on a pin or hook: 1 from D/d 1 upwards, the policy's share below. */
export function eyeFactor(pinDiameterM: number, ropeDiameterM: number, policy: Policy): number {
  return pinDiameterM >= ropeDiameterM * (1 - 1e-9) ? 1 : policy.bends.eyeOnTightPin.value;
}

/** Shackle loaded in its plane, off the bow's axis: 0° 1, 45° 0.70, 90° 0.50, linear; undefined beyond 90°, which is refused. */
export function bowAngleFactor(angleRad: number): number | undefined {
  const degrees = (Math.abs(angleRad) * 180) / Math.PI;
  if (degrees > 90) return undefined;
  return degrees <= 45 ? 1 - (0.3 * degrees) / 45 : 0.7 - (0.2 * (degrees - 45)) / 45;
}
