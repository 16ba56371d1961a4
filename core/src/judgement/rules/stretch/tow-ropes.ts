import { isClass } from '../../../gear/traits.ts';
import { STANDARD_GRAVITY } from '../../../quantity/units.ts';
import { nominalStrengthN } from '../../../release/what-leaves.ts';
import { type ChosenUse, isChosen } from '../../../resolved/parts.ts';
import type { ResolvedRig } from '../../../resolved/resolved-rig.ts';

/** A rope by which a vehicle pulls another as it drives. */
export interface TowRope {
  readonly rope: ChosenUse;
  readonly runUp: boolean;
}

export function towRopes({ lines }: ResolvedRig): readonly TowRope[] {
  return lines.flatMap(({ line: { drive }, ropes }) =>
    drive.kind === 'tow'
      ? ropes.filter(isChosen).flatMap((rope) => (rope.use.role === 'tow-rope' ? [{ rope, runUp: drive.manner === 'run-up' }] : []))
      : [],
  );
}

/** A stretch rope between two vehicles: its strength against their weights, newtons. */
export interface StretchMatch {
  readonly rope: ChosenUse;
  readonly mbsN: number;
  readonly heavierN: number;
  readonly lighterN: number;
}

/** Every stretch rope of a tow whose strength and both of whose vehicles are known. */
export function stretchMatches({ drives, load }: ResolvedRig): readonly StretchMatch[] {
  const loadN = load.body.massKg * STANDARD_GRAVITY;
  return drives.flatMap((drive) => {
    if (drive.kind !== 'tow' || drive.towing === undefined) return [];
    const towN = drive.towing.massKg * STANDARD_GRAVITY;
    return drive.line.ropes.filter(isChosen).flatMap((rope) => {
      const mbsN = isClass(rope.piece, 'stretch-rope') ? nominalStrengthN(rope.piece) : undefined;
      return mbsN === undefined ? [] : [{ rope, mbsN, heavierN: Math.max(loadN, towN), lighterN: Math.min(loadN, towN) }];
    });
  });
}
