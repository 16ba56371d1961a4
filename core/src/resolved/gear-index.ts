import type { GearFacts } from '../gear/gear-facts.ts';
import type { PieceUse } from '../rig/rig.ts';

/** Gear by its id. */
export type GearIndex = ReadonlyMap<string, GearFacts>;

export const gearIndexOf = (gear: readonly GearFacts[]): GearIndex => new Map(gear.map((piece) => [piece.id, piece]));

export const gearOf = ({ gearId }: PieceUse, gear: GearIndex): GearFacts | undefined =>
  gearId === undefined ? undefined : gear.get(gearId);
