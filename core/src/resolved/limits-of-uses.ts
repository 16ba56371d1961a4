import { unmarkedPoint } from '../anchors/unmarked-point.ts';
import { isRecoveryPoint } from '../gear/traits.ts';
import { factoredUseIn, type PieceLimit, pieceLimit } from '../rating/piece-limit.ts';
import type { Case } from '../rig/case.ts';
import type { VehicleBody } from '../rig/rig.ts';
import type { OpenUse, OpenUses } from './resolve-uses.ts';

/** Gives every chosen use its limit; an unmarked point of a vehicle is judged by its vehicle's weight. */
export function limitUses({ rig, policy, asOf }: Case, { all, chains }: OpenUses): void {
  const context = { policy, asOf, wet: rig.situation.wet };
  for (const open of all) {
    if (open.piece === undefined) continue;
    open.limit = pieceLimit(open.piece, factoredUseIn(open.piece, open.use.role), context);
  }
  for (const open of all) {
    if (open.limit?.kind !== 'unrated' || !isRecoveryPoint(open.piece)) continue;
    const vehicle = vehicleOf(open);
    const kind = open.piece.attributes.pointKind;
    if (vehicle && (kind === 'factory-hook' || kind === 'tie-down-eye'))
      open.limit = { kind: 'judged', ...unmarkedPoint(kind, vehicle.massKg, policy, markedOn(vehicle, chains)) };
  }
}

function vehicleOf({ seat }: OpenUse): VehicleBody | undefined {
  const body = seat.kind === 'chain' ? seat.chain.point?.on.body : seat.kind === 'back-anchor' ? endOf(seat)?.on.body : undefined;
  return body?.kind === 'vehicle' ? body : undefined;
}

/** Where the first or the last piece of a back-anchor sits: at what holds, or at the vehicle. */
const endOf = ({ tie, order }: Extract<OpenUse['seat'], { kind: 'back-anchor' }>) =>
  order === tie.uses.length - 1 ? tie.vehicle : order === 0 ? tie.anchor : undefined;

/** Marked points of the same vehicle: an unmarked one is never trusted with more. */
function markedOn(vehicle: VehicleBody, chains: OpenUses['chains']): readonly Extract<PieceLimit, { kind: 'rated' }>[] {
  return chains.flatMap(([first]) =>
    first && first.use.role === 'point' && vehicleOf(first) === vehicle && first.limit?.kind === 'rated' ? [first.limit] : [],
  );
}
