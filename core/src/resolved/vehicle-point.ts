import type { PointKind } from '../gear/classes/materials.ts';
import { isRecoveryPoint } from '../gear/traits.ts';
import { isLastResortKind, isLastResortPoint } from '../gear/vehicle-points.ts';
import type { ResolvedUse } from './parts.ts';

/** What a vehicle's point is: as the register has it, else as somebody named it; undefined where nobody says. */
export const pointKindOf = ({ piece, use }: ResolvedUse): PointKind | undefined =>
  (isRecoveryPoint(piece) ? piece.attributes.pointKind : undefined) ?? use.named?.pointKind;

/** Whether a point was not made for recovery, by the register, the hook-up book or a person. */
export const isLastResort = ({ piece, use: { named } }: ResolvedUse): boolean =>
  (piece !== undefined && isLastResortPoint(piece)) || named?.lastResort === true || isLastResortKind(named?.pointKind);
