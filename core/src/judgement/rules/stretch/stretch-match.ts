import type { Assessment } from '../../../moment/assessment.ts';
import { towingVehicle } from '../../../moment/drives.ts';
import { STANDARD_GRAVITY } from '../../../quantity/units.ts';
import { nominalStrengthN } from '../../../release/what-leaves.ts';
import type { PieceUse } from '../../../rig/rig.ts';
import { loadBody } from '../../../rig/site-geometry.ts';
import { pieceName } from '../../rule.ts';

/** A stretch rope between two vehicles: its strength against their weights. */
export interface StretchMatch {
  readonly use: PieceUse;
  readonly name: string;
  readonly mbsN: number;
  readonly heavierN: number;
  readonly lighterN: number;
}

/** Every stretch rope of a tow whose strength and both of whose vehicles are known. */
export function stretchMatches(assessment: Assessment): readonly StretchMatch[] {
  const loadN = loadBody(assessment.rig).massKg * STANDARD_GRAVITY;
  return assessment.drives.flatMap(({ walk }) => {
    const towing = towingVehicle(assessment.rig, walk);
    if (!towing) return [];
    const towN = towing.massKg * STANDARD_GRAVITY;
    return walk.line.ropes.flatMap((use) => {
      const piece = use.gearId === undefined ? undefined : assessment.gear.get(use.gearId);
      const mbsN = piece?.kind === 'stretch-rope' ? nominalStrengthN(piece) : undefined;
      if (!piece || mbsN === undefined) return [];
      return [{ use, name: pieceName(piece), mbsN, heavierN: Math.max(loadN, towN), lighterN: Math.min(loadN, towN) }];
    });
  });
}
