import {
  bodyOfChain,
  type DecimalMark,
  type Edit,
  isRecoveryPoint,
  type PieceUse,
  type Policy,
  parseMark,
  pointOfChain,
  type Rig,
  workingLimit,
} from '@wainrope/core';
import type { RegisterPiece } from '../../register/use-register.ts';

export type Judged = NonNullable<PieceUse['judged']>;
type PointKind = NonNullable<NonNullable<PieceUse['named']>['pointKind']>;

/**
 * Edits that hook up at a vehicle's own point, for which a named person answers: no piece of the register stands there, the point
 * goes by the name that is given. Nothing where the place is on no vehicle.
 */
export function judgedPointEdits(rig: Rig, use: PieceUse, label: string, judged: Judged, pointKind?: PointKind): readonly Edit[] {
  const chain = rig.chains.find(({ pieces }) => pieces.some(({ id }) => id === use.id));
  const point = chain && pointOfChain(rig, chain);
  if (point?.place.kind !== 'on-vehicle') return [];
  const { gearId: _piece, named: _before, ...bare } = use;
  const named = pointKind && { pointKind, lastResort: false, person: judged.person, on: judged.on };
  return [
    { kind: 'change-use', useId: use.id, use: { ...bare, judged, ...(named && { named }) } },
    { kind: 'change-point', point: { ...point, label: label.trim().slice(0, 80) || point.label } },
  ];
}

export type MarkedPoint =
  | { readonly kind: 'limit'; readonly workingN: number; readonly failingN: number }
  | { readonly kind: 'fault'; readonly message: string };

/** What a mark read off a vehicle's point means for it, by the team's factors for rated points. */
export function markedPoint(asWritten: string, policy: Policy, decimal: DecimalMark): MarkedPoint {
  const parsed = parseMark(asWritten, { source: 'stamped', decimal });
  if (parsed.kind === 'fault') return parsed;
  const limit = workingLimit([parsed.mark], 'steel-hardware', policy);
  return limit.kind === 'unrated'
    ? { kind: 'fault', message: `“${asWritten.trim()}” gives no limit; a working load limit or a breaking strength does, such as WLL 4 t.` }
    : { kind: 'limit', workingN: limit.wllN, failingN: limit.mbsN };
}

interface MarkedLimit {
  readonly wllN: number;
  readonly mbsN: number;
}

/** Limits of the other points of a vehicle that have a mark: those of the register, and those of the rig that somebody read a mark of. */
export function markedOn(rig: Rig, bodyId: string, useId: string, pieces: readonly RegisterPiece[]): readonly MarkedLimit[] {
  const body = rig.bodies.find(({ id }) => id === bodyId);
  const vehicleId = body?.kind === 'vehicle' ? body.vehicleId : undefined;
  const listed = pieces.flatMap(({ gear, facts, limit }) =>
    isRecoveryPoint(facts) && vehicleId !== undefined && gear.vehicleId === vehicleId && limit.kind === 'rated' ? [limit] : [],
  );
  const read = rig.chains
    .filter((chain) => bodyOfChain(rig, chain)?.id === bodyId)
    .flatMap(({ pieces: uses }) => uses)
    .flatMap(({ id, role, judged }) =>
      id !== useId && role === 'point' && judged ? [{ wllN: judged.workingN, mbsN: judged.failingN }] : [],
    );
  return [...listed, ...read];
}
