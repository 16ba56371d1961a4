import type { Rule } from './rule.ts';
import { advertOnly } from './rules/advert-only.ts';
import { ambiguousTon } from './rules/ambiguous-ton.ts';
import { basisUnstated } from './rules/basis-unstated.ts';
import { blockForOtherRope } from './rules/block-for-other-rope.ts';
import { cannotServeHere } from './rules/cannot-serve-here.ts';
import { carabinerMinorAxis } from './rules/carabiner-minor-axis.ts';
import { chainInLine } from './rules/chain-in-line.ts';
import { drumOverfull } from './rules/drum-overfull.ts';
import { drumSpool } from './rules/drum-spool.ts';
import { fairleadAngle } from './rules/fairlead-angle.ts';
import { forbiddenPoint } from './rules/forbidden-point.ts';
import { hookOpening } from './rules/hook-opening.ts';
import { hookReachesFairlead } from './rules/hook-reaches-fairlead.ts';
import { inspectionOverdue } from './rules/inspection-overdue.ts';
import { knotPlacement } from './rules/knot-placement.ts';
import { lastResortPoint } from './rules/last-resort-point.ts';
import { layerUndecided } from './rules/layer-undecided.ts';
import { lengthUnknown } from './rules/length-unknown.ts';
import { limitedByStatement } from './rules/limited-by-statement.ts';
import { lineRoundTree } from './rules/line-round-tree.ts';
import { lineTooShort } from './rules/line-too-short.ts';
import { loadSecuringStrap } from './rules/load-securing-strap.ts';
import { markAboveQuotient } from './rules/mark-above-quotient.ts';
import { narrowGroove } from './rules/narrow-groove.ts';
import { nearBreaking } from './rules/near-breaking.ts';
import { nearLimit } from './rules/near-limit.ts';
import { neverInspected } from './rules/never-inspected.ts';
import { newAndUninspected } from './rules/new-and-uninspected.ts';
import { noDamper } from './rules/no-damper.ts';
import { noStrength } from './rules/no-strength.ts';
import { notSolved } from './rules/not-solved.ts';
import { offCentrePoint } from './rules/off-centre-point.ts';
import { openHook } from './rules/open-hook.ts';
import { outOfService } from './rules/out-of-service.ts';
import { overBreakingMargin } from './rules/over-breaking-margin.ts';
import { overLimit } from './rules/over-limit.ts';
import { overLinePullLimit } from './rules/over-line-pull-limit.ts';
import { pieceMissing } from './rules/piece-missing.ts';
import { pieceUsedTwice } from './rules/piece-used-twice.ts';
import { pinDoesNotFit } from './rules/pin-does-not-fit.ts';
import { pinSide } from './rules/pin-side.ts';
import { pointUnknown } from './rules/point-unknown.ts';
import { poorTermination } from './rules/poor-termination.ts';
import { pullChosenByPerson } from './rules/pull-chosen-by-person.ts';
import { pullNotEstimated } from './rules/pull-not-estimated.ts';
import { ringOnMetal } from './rules/ring-on-metal.ts';
import { ringWithSteelLine } from './rules/ring-with-steel-line.ts';
import { runsByItself } from './rules/runs-by-itself.ts';
import { settingDecided } from './rules/setting-decided.ts';
import { shackleSideLoad } from './rules/shackle-side-load.ts';
import { softGoodTooOld } from './rules/soft-good-too-old.ts';
import { softOnSharpEdge } from './rules/soft-on-sharp-edge.ts';
import { strapHigh } from './rules/strap-high.ts';
import { strapLegsTooWide } from './rules/strap-legs-too-wide.ts';
import { strapLegsWide } from './rules/strap-legs-wide.ts';
import { strapTooShort } from './rules/strap-too-short.ts';
import { strapTwisted } from './rules/strap-twisted.ts';
import { stretchInWinchRig } from './rules/stretch-in-winch-rig.ts';
import { thinPin } from './rules/thin-pin.ts';
import { tightBend } from './rules/tight-bend.ts';
import { tooFewWraps } from './rules/too-few-wraps.ts';
import { treeChoked } from './rules/tree-choked.ts';
import { treeThin } from './rules/tree-thin.ts';
import { treeTooThin } from './rules/tree-too-thin.ts';
import { unknownTermination } from './rules/unknown-termination.ts';
import { unrated } from './rules/unrated.ts';
import { winchOverRating } from './rules/winch-over-rating.ts';
import { winchSmall } from './rules/winch-small.ts';
import { winchStalls } from './rules/winch-stalls.ts';
import { wrongWay } from './rules/wrong-way.ts';

/** Every rule, in the order in which findings of one severity are shown. Adding a rule touches its file and this list. */
export const rules: readonly Rule[] = [
  notSolved,
  pieceMissing,
  wrongWay,
  pullNotEstimated,
  noStrength,
  unrated,
  outOfService,
  overLimit,
  overBreakingMargin,
  advertOnly,
  ambiguousTon,
  basisUnstated,
  blockForOtherRope,
  cannotServeHere,
  carabinerMinorAxis,
  chainInLine,
  drumOverfull,
  drumSpool,
  fairleadAngle,
  forbiddenPoint,
  hookOpening,
  hookReachesFairlead,
  inspectionOverdue,
  knotPlacement,
  lastResortPoint,
  layerUndecided,
  lengthUnknown,
  limitedByStatement,
  lineRoundTree,
  lineTooShort,
  loadSecuringStrap,
  markAboveQuotient,
  narrowGroove,
  nearBreaking,
  nearLimit,
  neverInspected,
  newAndUninspected,
  noDamper,
  offCentrePoint,
  openHook,
  overLinePullLimit,
  pieceUsedTwice,
  pinDoesNotFit,
  pinSide,
  pointUnknown,
  poorTermination,
  pullChosenByPerson,
  ringOnMetal,
  ringWithSteelLine,
  runsByItself,
  settingDecided,
  shackleSideLoad,
  softGoodTooOld,
  softOnSharpEdge,
  strapHigh,
  strapLegsTooWide,
  strapLegsWide,
  strapTooShort,
  strapTwisted,
  stretchInWinchRig,
  thinPin,
  tightBend,
  tooFewWraps,
  treeChoked,
  treeThin,
  treeTooThin,
  unknownTermination,
  winchOverRating,
  winchSmall,
  winchStalls,
];
