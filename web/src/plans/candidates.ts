import {
  goesIn,
  isLastResortPoint,
  type PieceUse,
  type Rig,
  type Role,
  refusedPoint,
  roleClasses,
  type Trial,
  usesOf,
} from '@wainrope/core';
import { stateWords } from '../gear/gear-words.ts';
import type { RegisterPiece } from '../gear/use-register.ts';

export interface Candidate {
  readonly piece: RegisterPiece;
  /** Why it is not offered; undefined where it is. */
  readonly whyNot: string | undefined;
  /** Offered, but somebody should know. */
  readonly remark: string | undefined;
}

interface Context {
  readonly rig: Rig;
  readonly use: PieceUse;
  readonly today: string;
  readonly vehicleId: string | undefined;
}

/** Every piece whose class may serve in a place, usable ones first, by the role's order of classes and then the strongest on top; the others say why not. */
export function candidatesFor(pieces: readonly RegisterPiece[], { rig, use, today, vehicleId }: Context): readonly Candidate[] {
  const preference = ({ piece }: Candidate) => roleClasses[use.role].indexOf(piece.gear.kind);
  const taken = new Map(
    usesOf(rig).flatMap(({ use: other }) => (other.gearId !== undefined && other.id !== use.id ? [[other.gearId, other]] : [])),
  );
  return pieces
    .filter(({ gear }) => roleClasses[use.role].includes(gear.kind))
    .filter(({ gear }) => onThisVehicle(use.role, gear.vehicleId, vehicleId))
    .map((piece): Candidate => ({ piece, whyNot: whyNot(piece, taken.has(piece.gear.gearId)), remark: remark(piece, today) }))
    .sort(
      (a, b) =>
        Number(a.whyNot !== undefined) - Number(b.whyNot !== undefined) ||
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

function whyNot({ gear, facts, limit }: RegisterPiece, taken: boolean): string | undefined {
  const refused = refusedPoint(facts);
  if (refused !== undefined) return `never: ${refused}`;
  if (gear.state !== 'in-use') return `${stateWords[gear.state].toLowerCase()}: must not be planned with`;
  if (gear.inspection?.grade === 'D') return 'graded D: out of use';
  if (limit.kind === 'unrated') return 'no rating on record';
  return taken ? 'already in this rig' : undefined;
}

function remark({ gear }: RegisterPiece, today: string): string | undefined {
  if (!gear.inspection) return 'never inspected';
  return gear.inspection.nextDue !== undefined && gear.inspection.nextDue < today
    ? `inspection overdue since ${gear.inspection.nextDue}`
    : undefined;
}

function strength({ limit }: RegisterPiece): number {
  return limit.kind === 'rated' ? limit.wllN : 0;
}

/** An extension that sets a pulley off from its anchor wants to be short. */
const inAChain = ({ rig, use }: Context): boolean =>
  use.role === 'extension' && rig.chains.some((chain) => chain.pieces.some(({ id }) => id === use.id));

function lengthOf({ piece: { facts } }: Candidate): number {
  return 'lengthM' in facts.attributes ? (facts.attributes.lengthM ?? Number.POSITIVE_INFINITY) : Number.POSITIVE_INFINITY;
}

/** The best piece for a place: what goes into its neighbours first, of those on this vehicle for lines and winches, then the strongest without a remark. */
export function bestFor(pieces: readonly RegisterPiece[], context: Context): string | undefined {
  // Where somebody else's vehicle may be hooked up at is seen on it, not guessed.
  if (context.use.role === 'point' && context.vehicleId === undefined) return undefined;
  const byId = (gearId: string | undefined) => pieces.find(({ gear }) => gear.gearId === gearId)?.facts;
  // A last resort takes somebody's consent, so it is never chosen by itself.
  const open = candidatesFor(pieces, context).filter(({ whyNot, piece }) => whyNot === undefined && !isLastResortPoint(piece.facts));
  const fitting = open.filter(({ piece }) => goesIn(piece.facts, context.rig, context.use, byId));
  const offered = fitting.length > 0 ? fitting : open;
  const usable = inAChain(context) ? [...offered].sort((a, b) => lengthOf(a) - lengthOf(b)) : offered;
  const own = usable.find(({ piece }) => piece.gear.vehicleId !== undefined && piece.gear.vehicleId === context.vehicleId);
  const clean = usable.find((candidate) => candidate.remark === undefined);
  return (own ?? clean ?? usable[0])?.piece.gear.gearId;
}

/** Candidates as trying them ranks them, best first; those that are not offered last; untried ones as they were. */
export function ranked(candidates: readonly Candidate[], trials: ReadonlyMap<string, Trial> | undefined): readonly Candidate[] {
  if (!trials) return candidates;
  const order = new Map([...trials.keys()].map((gearId, index) => [gearId, index]));
  const rank = ({ piece }: Candidate) => order.get(piece.gear.gearId) ?? order.size;
  return [...candidates].sort((a, b) => rank(a) - rank(b));
}

/** Names of kits as they were kept on the device; nothing where what was kept is no list of names. */
export function keptKits(text: string | null): readonly string[] {
  try {
    const kept: unknown = JSON.parse(text ?? '[]');
    return Array.isArray(kept) ? kept.filter((entry) => typeof entry === 'string') : [];
  } catch {
    return [];
  }
}
