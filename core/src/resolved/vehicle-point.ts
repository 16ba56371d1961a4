import type { PointKind } from '../gear/classes/materials.ts';
import { isRecoveryPoint } from '../gear/traits.ts';
import { isLastResortKind, isLastResortPoint } from '../gear/vehicle-points.ts';
import { isTeamsLastResort } from '../policy/last-resorts.ts';
import type { Policy } from '../policy/policy.ts';
import type { ResolvedUse } from './parts.ts';

/** What a vehicle's point is: as the register has it, else as somebody named it; undefined where nobody says. */
export const pointKindOf = ({ piece, use }: ResolvedUse): PointKind | undefined =>
  (isRecoveryPoint(piece) ? piece.attributes.pointKind : undefined) ?? use.named?.pointKind;

/** Whether a point was not made for recovery, by the register, the hook-up book, a person, or what this team takes all the same. */
export const isLastResort = (use: ResolvedUse, { schools }: Policy): boolean =>
  (use.piece !== undefined && isLastResortPoint(use.piece)) ||
  use.use.named?.lastResort === true ||
  isLastResortKind(use.use.named?.pointKind) ||
  isTeamsLastResort(pointKindOf(use), schools);
