import type { Role } from '../gear/classes/roles.ts';
import type { GearFacts } from '../gear/gear-facts.ts';
import { isRecoveryPoint, joinedLengthM, lengthOf, offeredAs, ropeLawOf, servesAs } from '../gear/traits.ts';
import { isLastResortPoint } from '../gear/vehicle-points.ts';
import { refusedByTeam } from '../policy/last-resorts.ts';
import { carefulSchools, type Schools } from '../policy/schools.ts';
import type { PieceLimit } from '../rating/piece-limit.ts';
import { usesOf } from '../rig/references.ts';
import type { PieceUse, Rig } from '../rig/rig.ts';
import { pointOfChain } from '../rig/site-geometry.ts';
import { type FactsById, goesIn } from './goes-in.ts';
import { isFirstLeg, isRunUpRope, likeLegM, neededLengthM } from './needed-length.ts';

/** A piece of the register as it is chosen from: its facts, its limit for its usual use, and the vehicle it belongs to. */
export interface BagPiece {
  readonly facts: GearFacts;
  readonly limit: PieceLimit;
  readonly vehicleId: string | undefined;
}

export interface Candidate<P extends BagPiece = BagPiece> {
  readonly piece: P;
  /** Why it is not offered; undefined where it is. */
  readonly whyNot: string | undefined;
  /** Offered, but somebody should know. */
  readonly remark: string | undefined;
}

export interface ChoiceContext {
  readonly rig: Rig;
  readonly use: PieceUse;
  readonly today: string;
  readonly vehicleId: string | undefined;
}

/**
 * Every piece whose class may serve in a place, usable ones first and of them those that carry something, by the role's order of classes
 * and then the strongest on top; the others say why not. What a team takes as a last resort is among the usable ones only with its own `schools`.
 */
export function candidatesFor<P extends BagPiece>(
  pieces: readonly P[],
  { rig, use, today, vehicleId }: ChoiceContext,
  schools: Schools,
): readonly Candidate<P>[] {
  const preference = ({ piece }: Candidate) => offeredAs(piece.facts, use.role) ?? Number.POSITIVE_INFINITY;
  const taken = new Map(
    usesOf(rig).flatMap(({ use: other }) => (other.gearId !== undefined && other.id !== use.id ? [[other.gearId, other]] : [])),
  );
  return pieces
    .filter(({ facts }) => servesAs(facts, use.role))
    .filter((piece) => onThisVehicle(use.role, piece.vehicleId, vehicleId))
    .map((piece): Candidate<P> => ({ piece, whyNot: whyNot(piece, taken.has(piece.facts.id), schools), remark: remark(piece, today) }))
    .sort(
      (a, b) =>
        Number(a.whyNot !== undefined) - Number(b.whyNot !== undefined) ||
        Number(carriesNothing(a.piece)) - Number(carriesNothing(b.piece)) ||
        preference(a) - preference(b) ||
        strength(b.piece) - strength(a.piece),
    );
}

/** Winches and points belong to the vehicle they are bolted to; a line on another vehicle's drum stays there. */
function onThisVehicle(role: Role, pieceVehicleId: string | undefined, vehicleId: string | undefined): boolean {
  if (role === 'winch') return pieceVehicleId === vehicleId;
  if (role === 'point') return pieceVehicleId === vehicleId || pieceVehicleId === undefined;
  return pieceVehicleId === undefined || pieceVehicleId === vehicleId;
}

function whyNot({ facts, limit }: BagPiece, taken: boolean, schools: Schools): string | undefined {
  const refused = refusedByTeam(facts, schools);
  if (refused !== undefined) return `never: ${refused}`;
  if (facts.state !== 'in-use') return `${facts.state}: must not be planned with`;
  if (facts.inspection?.grade === 'D') return 'graded D: out of use';
  if (limit.kind === 'unrated') return 'no rating on record';
  return taken ? 'already in this rig' : undefined;
}

function remark({ facts: { inspection } }: BagPiece, today: string): string | undefined {
  if (!inspection) return 'never inspected';
  return inspection.nextDue !== undefined && inspection.nextDue < today ? `inspection overdue since ${inspection.nextDue}` : undefined;
}

function strength({ limit }: BagPiece): number {
  return limit.kind === 'rated' ? limit.wllN : 0;
}

/** It has no strength left, or its class carries none. */
const carriesNothing = ({ limit }: BagPiece): boolean => limit.kind === 'carries-nothing' || (limit.kind === 'rated' && limit.wllN <= 0);

/** An extension that sets a pulley off from its anchor wants to be short. */
const inAChain = ({ rig, use }: ChoiceContext): boolean =>
  use.role === 'extension' && rig.chains.some((chain) => chain.pieces.some(({ id }) => id === use.id));

const reachOf = ({ piece: { facts } }: Candidate): number => lengthOf(facts) ?? Number.POSITIVE_INFINITY;

/**
 * The best piece for a place: what goes into its neighbours and reaches first, a stretch rope for a run-up, a leg like its fellow, the
 * point nearest to where the line is led; of those one on this vehicle for lines and winches, then the strongest without a remark.
 */
export function bestFor(pieces: readonly BagPiece[], context: ChoiceContext): string | undefined {
  // Where somebody else's vehicle may be hooked up at is seen on it, not guessed.
  if (context.use.role === 'point' && context.vehicleId === undefined) return undefined;
  const byId = (gearId: string | undefined) => pieces.find(({ facts }) => facts.id === gearId)?.facts;
  // A last resort takes somebody's consent, so it is never chosen by itself.
  const all = candidatesFor(pieces, context, carefulSchools);
  const open = all.filter(({ whyNot, piece }) => whyNot === undefined && !isLastResortPoint(piece.facts));
  const fitting = preferred(open, ({ piece }) => goesIn(piece.facts, context.rig, context.use, byId));
  const usable = inOrder(reaching(stretching(fitting, context), context, byId), context);
  const own = usable.find(({ piece }) => piece.vehicleId !== undefined && piece.vehicleId === context.vehicleId);
  const clean = usable.find((candidate) => candidate.remark === undefined);
  const bolted = context.use.role === 'point' ? usable[0] : own;
  return (bolted ?? clean ?? usable[0])?.piece.facts.id;
}

/** Those that do, where any does. */
function preferred(all: readonly Candidate[], does: (candidate: Candidate) => boolean): readonly Candidate[] {
  const those = all.filter(does);
  return those.length > 0 ? those : all;
}

const STRETCHES: readonly string[] = ['stretch-rope', 'stretch-strap'];

const stretching = (all: readonly Candidate[], { rig, use }: ChoiceContext): readonly Candidate[] =>
  isRunUpRope(rig, use) ? preferred(all, ({ piece }) => STRETCHES.includes(ropeLawOf(piece.facts) ?? '')) : all;

/** Those that are long enough for the way, else the longest; legs of a bridle as long as their fellow. */
function reaching(all: readonly Candidate[], { rig, use }: ChoiceContext, byId: FactsById): readonly Candidate[] {
  const likeM = likeLegM(rig, use, byId);
  if (likeM !== undefined) return preferred(all, ({ piece }) => alike(lengthOf(piece.facts), likeM));
  if (isFirstLeg(rig, use, byId))
    return preferred(all, ({ piece }) =>
      all.some(({ piece: other }) => other !== piece && alike(lengthOf(piece.facts), lengthOf(other.facts))),
    );
  const neededM = neededLengthM(rig, use, byId);
  if (neededM === undefined) return all;
  const long = ({ piece }: Candidate) => joinedLengthM(piece.facts) ?? 0;
  const enough = all.filter((candidate) => long(candidate) >= neededM);
  return enough.length > 0 ? enough : [...all].sort((a, b) => long(b) - long(a));
}

const alike = (aM: number | undefined, bM: number | undefined): boolean =>
  aM !== undefined && bM !== undefined && Math.abs(aM - bM) < 0.01 * bM;

/** An extension in a chain wants to be short; a vehicle's point to be near where the line is led to it. */
function inOrder(all: readonly Candidate[], context: ChoiceContext): readonly Candidate[] {
  if (inAChain(context)) return [...all].sort((a, b) => reachOf(a) - reachOf(b));
  if (context.use.role !== 'point') return all;
  const awayM = ({ piece }: Candidate) => pointAwayM(context, piece.facts);
  const rank = ({ piece }: Candidate) => offeredAs(piece.facts, context.use.role) ?? Number.POSITIVE_INFINITY;
  return [...all].sort((a, b) => rank(a) - rank(b) || awayM(a) - awayM(b));
}

/** How far a point of the register sits from where the rig has its place, metres; where nobody has measured it, it may be there. */
function pointAwayM({ rig, use }: ChoiceContext, facts: GearFacts): number {
  const chain = rig.chains.find(({ pieces }) => pieces.some(({ id }) => id === use.id));
  const back = rig.backAnchors?.find(({ pieces }) => pieces.some(({ id }) => id === use.id));
  const pointId = chain
    ? pointOfChain(rig, chain)?.id
    : back && (back.pieces.at(-1)?.id === use.id ? back.vehiclePointId : back.anchorPointId);
  const place = rig.points.find(({ id }) => id === pointId)?.place;
  if (place?.kind !== 'on-vehicle' || !isRecoveryPoint(facts)) return 0;
  const { forwardM = place.forwardM, leftM = place.leftM } = facts.attributes;
  return Math.hypot(forwardM - place.forwardM, leftM - place.leftM);
}
