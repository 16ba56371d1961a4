import type { PointKind } from './classes/materials.ts';
import type { GearFacts } from './gear-facts.ts';

/** Vehicle points that are never pulled on, by what they are, and why. */
const REFUSED: { readonly [kind: string]: string } = {
  'tow-ball': 'a tow ball shears off and flies',
  'receiver-pin': 'the cross-pin of a receiver bends and shears under a strap’s eye',
  'safety-chain-hole': 'safety-chain holes tear out',
  'bumper-or-bar-hole': 'bumper skins and bar holes tear out',
  'axle-tube': 'an axle tube carries brake lines and bends',
  'thin-arm': 'thin arms and links bend and crack',
  'tie-down-eye': 'a tie-down eye holds a rolling vehicle only',
};

const LAST_RESORT: readonly string[] = ['thick-suspension-arm', 'frame-cross-member', 'frame-slot'];

/** Why a vehicle point of a kind must not be pulled on; undefined where it may. */
export const refusedKind = (kind: PointKind | undefined): string | undefined => REFUSED[kind ?? ''];

/** Why a vehicle point must not be pulled on; undefined where it may, or where it is no vehicle point. */
export function refusedPoint(piece: GearFacts): string | undefined {
  return piece.kind === 'recovery-point' ? refusedKind(piece.attributes.pointKind) : undefined;
}

export const isLastResortKind = (kind: PointKind | undefined): boolean => LAST_RESORT.includes(kind ?? '');

/** A vehicle point that was not made for recovery: a steady short pull only, the owner told of the risk. */
export function isLastResortPoint(piece: GearFacts): boolean {
  return piece.kind === 'recovery-point' && isLastResortKind(piece.attributes.pointKind);
}
