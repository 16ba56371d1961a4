import type { GearFacts } from '../gear/gear-facts.ts';
import { isPulley } from '../gear/pulleys.ts';
import { exceeds } from '../quantity/tolerance.ts';
import { bodyOfChain, roundDiameterM } from '../rig/places.ts';
import type { PieceUse } from '../rig/rig.ts';
import { gearOf } from '../rig/rig-network.ts';
import type { ChosenUse, Gathered } from './assessment.ts';

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

const judged = ({ kind, inner, outer, sizeM, openingM }: Parts): Joint => {
  const fits = sizeM === undefined || openingM === undefined ? undefined : !exceeds(sizeM, openingM);
  return { kind, inner, outer, sizeM, openingM, fits };
};

/** Every rigid joint of a rig: neighbours in its chains, ropes in grooves, straps round trunks. */
export function jointsOf(assessment: Gathered): readonly Joint[] {
  return [...chainJoints(assessment), ...grooveJoints(assessment), ...trunkJoints(assessment)];
}

function chainJoints({ rig, gear }: Gathered): readonly Joint[] {
  const rows = [...rig.chains.map(({ pieces }) => pieces), ...(rig.backAnchors ?? []).map(({ pieces }) => pieces)];
  return rows.flatMap((pieces) =>
    pieces.slice(1).flatMap((use, index) => {
      const before = pieces[index];
      const pair = [before && chosen(before, gear), chosen(use, gear)];
      const [a, b] = pair;
      return a && b ? [...between(a, b), ...between(b, a)] : [];
    }),
  );
}

function chosen(use: PieceUse, gear: Gathered['gear']): ChosenUse | undefined {
  const piece = gearOf(use, gear);
  return piece && { use, piece };
}

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
function between(inner: ChosenUse, outer: ChosenUse): readonly Joint[] {
  const hole = boreOf(outer.piece);
  const { piece } = inner;
  if (piece.kind === 'steel-shackle') return shackleJoints(inner, outer, hole);
  if (piece.kind === 'soft-shackle') {
    const sizeM = piece.attributes.ropeDiameterM === undefined ? undefined : 2 * piece.attributes.ropeDiameterM;
    if (hole) return [judged({ kind: 'soft-shackle-through-bore', inner, outer, sizeM, openingM: hole.boreM })];
    if (outer.piece.kind === 'winch-hook')
      return [judged({ kind: 'bow-in-throat', inner, outer, sizeM, openingM: outer.piece.attributes.throatM })];
  }
  if (piece.kind === 'carabiner' && hole)
    return [judged({ kind: 'pin-in-hole', inner, outer, sizeM: piece.attributes.treadDiameterM, openingM: hole.boreM })];
  return [];
}

function shackleJoints(inner: ChosenUse, outer: ChosenUse, hole: ReturnType<typeof boreOf>): readonly Joint[] {
  const { piece } = inner;
  if (piece.kind !== 'steel-shackle') return [];
  const { pinDiameterM, bowDiameterM, insideWidthM } = piece.attributes;
  if (outer.piece.kind === 'winch-hook')
    return [judged({ kind: 'bow-in-throat', inner, outer, sizeM: bowDiameterM, openingM: outer.piece.attributes.throatM })];
  if (!hole) return [];
  const pin = judged({ kind: 'pin-in-hole', inner, outer, sizeM: pinDiameterM, openingM: hole.boreM });
  if (outer.piece.kind === 'recovery-ring' || outer.piece.kind === 'rope-lock-plate') return [pin];
  // The lug goes between the shackle's ears: what is inner and outer changes places.
  return [pin, judged({ kind: 'fitting-in-opening', inner: outer, outer: inner, sizeM: hole.thicknessM, openingM: insideWidthM })];
}

function grooveJoints({ rig, gear, network }: Gathered): readonly Joint[] {
  return network.lines.flatMap(({ line, stops }) => {
    const rope = line.ropes[0] && chosen(line.ropes[0], gear);
    if (!rope) return [];
    return stops.flatMap(({ kind, chainId }) => {
      const last = kind === 'pulley' ? rig.chains.find(({ id }) => id === chainId)?.pieces.at(-1) : undefined;
      const pulley = last && chosen(last, gear);
      if (!pulley || !isPulley(pulley.piece) || pulley.piece.kind === 'carabiner') return [];
      const sizeM = 'ropeDiameterM' in rope.piece.attributes ? rope.piece.attributes.ropeDiameterM : undefined;
      return [judged({ kind: 'rope-in-groove', inner: rope, outer: pulley, sizeM, openingM: pulley.piece.attributes.grooveWidthM })];
    });
  });
}

function trunkJoints({ rig, gear }: Gathered): readonly Joint[] {
  return rig.chains.flatMap((chain) => {
    const diameterM = roundDiameterM(bodyOfChain(rig, chain));
    const first = chain.pieces[0] && chosen(chain.pieces[0], gear);
    if (diameterM === undefined || !first || first.use.hitch === undefined || first.use.hitch === 'in-line') return [];
    const openingM = 'lengthM' in first.piece.attributes ? first.piece.attributes.lengthM : undefined;
    return [judged({ kind: 'strap-round-trunk', inner: first, outer: undefined, sizeM: Math.PI * diameterM, openingM })];
  });
}
