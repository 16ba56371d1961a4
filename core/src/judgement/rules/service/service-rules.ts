import type { Rule } from '../../ask/rule.ts';
import { blockForOtherRope } from './block-for-other-rope.ts';
import { cannotServeHere } from './cannot-serve-here.ts';
import { carabinerMinorAxis } from './carabiner-minor-axis.ts';
import { chainInLine } from './chain-in-line.ts';
import { drivingWhileHooked } from './driving-while-hooked.ts';
import { forbiddenPoint } from './forbidden-point.ts';
import { hookOpening } from './hook-opening.ts';
import { knotPlacement } from './knot-placement.ts';
import { lastResortPoint } from './last-resort-point.ts';
import { loadSecuringStrap } from './load-securing-strap.ts';
import { notTheTeamsWay } from './not-the-teams-way.ts';
import { offCentrePoint } from './off-centre-point.ts';
import { openHook } from './open-hook.ts';
import { pieceMissing } from './piece-missing.ts';
import { pieceUsedTwice } from './piece-used-twice.ts';
import { pinSide } from './pin-side.ts';
import { pointNotNamed } from './point-not-named.ts';
import { pointUnknown } from './point-unknown.ts';
import { ringOnMetal } from './ring-on-metal.ts';
import { ringWithSteelLine } from './ring-with-steel-line.ts';
import { securingStrapLastResort } from './securing-strap-last-resort.ts';
import { shackleSideLoad } from './shackle-side-load.ts';
import { softOnSharpEdge } from './soft-on-sharp-edge.ts';

export const serviceRules: readonly Rule[] = [
  blockForOtherRope,
  cannotServeHere,
  carabinerMinorAxis,
  chainInLine,
  drivingWhileHooked,
  forbiddenPoint,
  hookOpening,
  knotPlacement,
  lastResortPoint,
  loadSecuringStrap,
  notTheTeamsWay,
  offCentrePoint,
  openHook,
  pieceMissing,
  pieceUsedTwice,
  pinSide,
  pointNotNamed,
  pointUnknown,
  ringOnMetal,
  ringWithSteelLine,
  securingStrapLastResort,
  shackleSideLoad,
  softOnSharpEdge,
];
