import type { PointKind } from '../gear/classes/materials.ts';
import type { GearFacts } from '../gear/gear-facts.ts';
import { isRecoveryPoint, isSecuringStrap } from '../gear/traits.ts';
import { isLastResortPoint, refusedPoint } from '../gear/vehicle-points.ts';
import type { Schools } from './schools.ts';

/** Kinds of points that are refused unless a team takes them as a last resort, and this one does. */
export const isTeamsLastResort = (kind: PointKind | undefined, schools: Schools): boolean =>
  (kind === 'axle-tube' && schools.axleAsLastResort) ||
  (kind === 'tow-ball' && schools.ballMountAsLastResort) ||
  (kind === 'receiver-pin' && schools.receiverPinAsLastResort);

/** Why this team uses a piece in no rig, whatever its place; undefined where it may. */
export function refusedByTeam(piece: GearFacts, schools: Schools): string | undefined {
  if (isSecuringStrap(piece) && !schools.securingStrapAsLastResort) return 'made to hold loads down, not to pull';
  return isRecoveryPoint(piece) && isTeamsLastResort(piece.attributes.pointKind, schools) ? undefined : refusedPoint(piece);
}

/** A vehicle point that is used only where somebody of the owner's side knows the risk and agrees, by name. */
export const wantsConsent = (piece: GearFacts, schools: Schools): boolean =>
  isLastResortPoint(piece) || (isRecoveryPoint(piece) && isTeamsLastResort(piece.attributes.pointKind, schools));
