import type { GearFacts } from '../../../gear/gear-facts.ts';
import type { Assessment } from '../../../moment/assessment.ts';
import { gearOf } from '../../../resolved/rig-network.ts';
import type { PieceUse } from '../../../rig/rig.ts';

/** A rope by which a vehicle pulls another as it drives. */
export interface TowRope {
  readonly use: PieceUse;
  readonly piece: GearFacts;
  readonly runUp: boolean;
}

export function towRopes({ rig, gear }: Assessment): readonly TowRope[] {
  return rig.lines.flatMap(({ drive, ropes }) => {
    if (drive.kind !== 'tow') return [];
    return ropes.flatMap((use) => {
      const piece = gearOf(use, gear);
      return piece && use.role === 'tow-rope' ? [{ use, piece, runUp: drive.manner === 'run-up' }] : [];
    });
  });
}
