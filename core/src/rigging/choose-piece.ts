import type { GearFacts, GearOf } from '../gear/gear-facts.ts';
import { isRecoveryPoint, isWinch } from '../gear/traits.ts';
import type { Edit } from '../rig/edits.ts';
import type { PieceUse, Rig } from '../rig/rig.ts';
import { pointOfChain } from '../rig/site-geometry.ts';

/** A winch brings its fairlead's place on the vehicle along. */
function fairleadEdits(rig: Rig, use: PieceUse, { attributes }: GearOf<'winch'>): readonly Edit[] {
  const line = rig.lines.find(({ drive }) => drive.kind === 'winch' && drive.use.id === use.id);
  const pointId = line?.drive.kind === 'winch' ? line.drive.pointId : undefined;
  const point = rig.points.find(({ id }) => id === pointId);
  if (point?.place.kind !== 'on-vehicle') return [];
  const { forwardM = point.place.forwardM, leftM = point.place.leftM, heightM = point.place.heightM } = attributes;
  return [{ kind: 'change-point', point: { ...point, place: { kind: 'on-vehicle', forwardM, leftM, heightM } } }];
}

/** Edits that choose a piece for a place; a winch's fairlead and a recovery point go to where they sit on the vehicle. */
export function choosePieceEdits(rig: Rig, use: PieceUse, piece: GearFacts): readonly Edit[] {
  // What somebody judged was the point that was there before.
  const { judged: _before, named: _said, ...bare } = use;
  if (use.judged || use.named) return [{ kind: 'change-use', useId: use.id, use: bare }, ...choosePieceEdits(rig, bare, piece)];
  const choose: Edit = { kind: 'choose-piece', useId: use.id, gearId: piece.id };
  if (isWinch(piece)) return [choose, ...fairleadEdits(rig, use, piece)];
  const chain = rig.chains.find(({ pieces }) => pieces.some(({ id }) => id === use.id));
  const point = chain && pointOfChain(rig, chain);
  if (!isRecoveryPoint(piece) || point?.place.kind !== 'on-vehicle') return [choose];
  const { forwardM = point.place.forwardM, leftM = point.place.leftM, heightM = point.place.heightM } = piece.attributes;
  return [
    choose,
    { kind: 'change-point', point: { ...point, label: piece.name, place: { kind: 'on-vehicle', forwardM, leftM, heightM } } },
  ];
}
