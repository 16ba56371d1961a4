import type { ChosenUse } from '../moment/assessment.ts';
import { exceeds } from '../quantity/tolerance.ts';
import type { GearFacts } from './gear-facts.ts';

export const fitKinds = [
  'pin-in-hole',
  'bow-in-throat',
  'soft-shackle-through-bore',
  'rope-in-groove',
  'strap-round-trunk',
  'fitting-in-opening',
] as const;
export type FitKind = (typeof fitKinds)[number];

/** How two pieces meet, and whether what goes in is smaller than what it goes into. */
export interface Joint {
  readonly kind: FitKind;
  /** The piece that goes in, and the one that takes it (or what it goes round). */
  readonly inner: ChosenUse;
  readonly outer: ChosenUse | undefined;
  /** Size of what goes in and of the opening, metres; undefined where not on record. */
  readonly sizeM: number | undefined;
  readonly openingM: number | undefined;
  readonly fits: boolean | undefined;
}

type Parts = Omit<Joint, 'fits'>;

/** A joint with whether what goes in is smaller than what it goes into. */
export const jointOf = ({ kind, inner, outer, sizeM, openingM }: Parts): Joint => {
  const fits = sizeM === undefined || openingM === undefined ? undefined : !exceeds(sizeM, openingM);
  return { kind, inner, outer, sizeM, openingM, fits };
};

/** Bore or eye that a pin or a soft shackle goes through; the class has one though its size may be unknown. */
function boreOf(piece: GearFacts): { readonly boreM: number | undefined; readonly thicknessM: number | undefined } | undefined {
  switch (piece.kind) {
    case 'recovery-point':
    case 'receiver-mount':
    case 'closed-link':
      return { boreM: piece.attributes.boreDiameterM, thicknessM: piece.attributes.thicknessM };
    case 'snatch-block':
      return { boreM: piece.attributes.eyeDiameterM, thicknessM: piece.attributes.eyeThicknessM };
    case 'recovery-ring':
    case 'rope-lock-plate':
      return { boreM: piece.attributes.boreDiameterM, thicknessM: undefined };
    default:
      return undefined;
  }
}

/** The joints in which one piece goes into another. */
export function pairJoints(inner: ChosenUse, outer: ChosenUse): readonly Joint[] {
  const hole = boreOf(outer.piece);
  const { piece } = inner;
  if (piece.kind === 'steel-shackle') return shackleJoints(inner, outer, hole);
  if (piece.kind === 'soft-shackle') {
    const sizeM = piece.attributes.ropeDiameterM === undefined ? undefined : 2 * piece.attributes.ropeDiameterM;
    if (hole) return [jointOf({ kind: 'soft-shackle-through-bore', inner, outer, sizeM, openingM: hole.boreM })];
    if (outer.piece.kind === 'winch-hook')
      return [jointOf({ kind: 'bow-in-throat', inner, outer, sizeM, openingM: outer.piece.attributes.throatM })];
  }
  if (piece.kind === 'carabiner' && hole)
    return [jointOf({ kind: 'pin-in-hole', inner, outer, sizeM: piece.attributes.treadDiameterM, openingM: hole.boreM })];
  return [];
}

function shackleJoints(inner: ChosenUse, outer: ChosenUse, hole: ReturnType<typeof boreOf>): readonly Joint[] {
  const { piece } = inner;
  if (piece.kind !== 'steel-shackle') return [];
  const { pinDiameterM, bowDiameterM, insideWidthM } = piece.attributes;
  if (outer.piece.kind === 'winch-hook')
    return [jointOf({ kind: 'bow-in-throat', inner, outer, sizeM: bowDiameterM, openingM: outer.piece.attributes.throatM })];
  if (!hole) return [];
  const pin = jointOf({ kind: 'pin-in-hole', inner, outer, sizeM: pinDiameterM, openingM: hole.boreM });
  if (outer.piece.kind === 'recovery-ring' || outer.piece.kind === 'rope-lock-plate') return [pin];
  // The lug goes between the shackle's ears: what is inner and outer changes places.
  return [pin, jointOf({ kind: 'fitting-in-opening', inner: outer, outer: inner, sizeM: hole.thicknessM, openingM: insideWidthM })];
}

/** Whether two pieces that meet in a chain go into each other, as far as their sizes are on record: unknown sizes speak against nothing. */
export function pairFits(a: GearFacts, b: GearFacts): boolean {
  const [first, second] = [inChain(a), inChain(b)];
  return [...pairJoints(first, second), ...pairJoints(second, first)].every(({ fits }) => fits !== false);
}

const inChain = (piece: GearFacts): ChosenUse => ({ use: { id: piece.id, role: 'connector' }, piece });
