import type { PointKind } from '../gear/classes/materials.ts';
import { isRecoveryPoint } from '../gear/traits.ts';
import { isLastResortKind, isLastResortPoint } from '../gear/vehicle-points.ts';
import type { Policy } from '../policy/policy.ts';
import type { ResolvedUse } from './parts.ts';

/** What a vehicle's point is: as the register has it, else as somebody named it; undefined where nobody says. */
export const pointKindOf = ({ piece, use }: ResolvedUse): PointKind | undefined =>
  (isRecoveryPoint(piece) ? piece.attributes.pointKind : undefined) ?? use.named?.pointKind;

/** Points that are refused unless a team takes them as a last resort, and this one does. */
export const isTeamsLastResort = (kind: PointKind | undefined, { schools }: Policy): boolean =>
  (kind === 'axle-tube' && schools.axleAsLastResort) ||
  (kind === 'tow-ball' && schools.ballMountAsLastResort) ||
  (kind === 'receiver-pin' && schools.receiverPinAsLastResort);

/** Whether a point was not made for recovery, by the register, the hook-up book or a person. */
export const isLastResort = ({ piece, use: { named } }: ResolvedUse): boolean =>
  (piece !== undefined && isLastResortPoint(piece)) || named?.lastResort === true || isLastResortKind(named?.pointKind);
