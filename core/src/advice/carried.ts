import type { GearFacts } from '../gear/gear-facts.ts';
import { lengthOf, numberAt, ropeDiameterOf, ropeLawOf } from '../gear/traits.ts';
import { ropeMassKg } from '../hazards/rope-energy.ts';
import type { Policy } from '../policy/policy.ts';
import type { Case } from '../rig/case.ts';
import { gearIdsOf, usesOf } from '../rig/references.ts';
import type { PieceUse } from '../rig/rig.ts';

const IN_PLACE: readonly PieceUse['role'][] = ['winch', 'winch-line', 'point'];

/** Whether what is in a place is carried there; a winch, its line and a point are on the vehicle. */
export const isCarried = ({ role }: PieceUse): boolean => !IN_PLACE.includes(role);

/** What a piece weighs in the hand, kg: as on record, else a rope by its kind, thickness and length; undefined where neither is known. */
export function carriedKg(piece: GearFacts, { stretch }: Pick<Policy, 'stretch'>): number | undefined {
  const law = ropeLawOf(piece);
  const [lengthM, diameterM] = [lengthOf(piece), ropeDiameterOf(piece)];
  const ofRope = law && lengthM !== undefined && diameterM !== undefined ? ropeMassKg(stretch.laws[law], diameterM, lengthM) : undefined;
  return numberAt(piece, 'massKg') ?? ofRope;
}

/** Everything that has to be carried to a rig, dampers, lanyards and tools too, each with its weight where that is known. */
export function carriedIn({ rig, gear, policy }: Case): readonly { readonly piece: GearFacts; readonly massKg: number | undefined }[] {
  const bolted = new Set(usesOf(rig).flatMap(({ use }) => (isCarried(use) ? [] : [use.gearId])));
  return gearIdsOf(rig).flatMap((id) => {
    const piece = bolted.has(id) ? undefined : gear.find((entry) => entry.id === id);
    return piece ? [{ piece, massKg: carriedKg(piece, policy) }] : [];
  });
}
