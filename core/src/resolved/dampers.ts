import { numberAt, traitsOf } from '../gear/traits.ts';
import type { Policy } from '../policy/policy.ts';
import { fallsShort } from '../quantity/tolerance.ts';
import type { Rig } from '../rig/rig.ts';
import type { GearIndex } from './gear-index.ts';
import type { ResolvedDamper } from './parts.ts';

/** Every damper of a rig, and whether it counts: a piece for one leg alone, in service, and no lighter than the policy's least. */
export function resolveDampers({ dampers }: Rig, gear: GearIndex, policy: Policy): readonly ResolvedDamper[] {
  const taken = new Set<string>();
  return dampers.map(({ lineId, strand, gearId }) => {
    const piece = gear.get(gearId);
    const again = taken.has(gearId);
    taken.add(gearId);
    const whyNot = again ? 'already hangs on another leg' : piece && uselessFor(piece, policy);
    const heavy = piece === undefined ? undefined : isHeavy(piece, policy);
    return { lineId, strand, piece, whyNot, counts: whyNot !== undefined ? 'no' : heavy === undefined ? 'unknown' : 'yes' };
  });
}

type Piece = NonNullable<ResolvedDamper['piece']>;

/** Why a piece damps nothing; undefined where it may, or where its mass is not on record. */
function uselessFor(piece: Piece, policy: Policy): string | undefined {
  if (!traitsOf(piece).damps) return 'is not a damper';
  if (piece.state !== 'in-use') return `is ${piece.state}`;
  if (piece.inspection?.grade === 'D') return 'is graded D';
  return isHeavy(piece, policy) === false ? 'is lighter than the team asks for' : undefined;
}

/** Whether it is heavy enough; undefined where its mass is not on record and its usual range would decide. */
function isHeavy(piece: Piece, { care, usual }: Policy): boolean | undefined {
  const massKg = numberAt(piece, 'massKg');
  const leastKg = care.damperLeastKg.value;
  if (massKg !== undefined) return !fallsShort(massKg, leastKg);
  return leastKg === 0 ? true : fallsShort(usual.damperMostKg.value, leastKg) ? false : undefined;
}
