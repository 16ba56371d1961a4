import type { Rule } from './rule.ts';
import { advertOnly } from './rules/advert-only.ts';
import { ambiguousTon } from './rules/ambiguous-ton.ts';
import { anchorCreep } from './rules/anchor-creep.ts';
import { anchorUnrated } from './rules/anchor-unrated.ts';
import { backAnchorStretches } from './rules/back-anchor-stretches.ts';
import { basisUnstated } from './rules/basis-unstated.ts';
import { batteryLow } from './rules/battery-low.ts';
import { blockForOtherRope } from './rules/block-for-other-rope.ts';
import { burstShortened } from './rules/burst-shortened.ts';
import { cannotServeHere } from './rules/cannot-serve-here.ts';
import { carabinerMinorAxis } from './rules/carabiner-minor-axis.ts';
import { chainInLine } from './rules/chain-in-line.ts';
import { cutOffOutOfReach } from './rules/cut-off-out-of-reach.ts';
import { deadmanLog } from './rules/deadman-log.ts';
import { drumOverfull } from './rules/drum-overfull.ts';
import { drumSpool } from './rules/drum-spool.ts';
import { engineOff } from './rules/engine-off.ts';
import { fairleadAngle } from './rules/fairlead-angle.ts';
import { forbiddenPoint } from './rules/forbidden-point.ts';
import { gripSlips } from './rules/grip-slips.ts';
import { handTooFew } from './rules/hand-too-few.ts';
import { heldOnPark } from './rules/held-on-park.ts';
import { hookOpening } from './rules/hook-opening.ts';
import { hookReachesFairlead } from './rules/hook-reaches-fairlead.ts';
import { inspectionOverdue } from './rules/inspection-overdue.ts';
import { jackWithoutStand } from './rules/jack-without-stand.ts';
import { knotPlacement } from './rules/knot-placement.ts';
import { lanyardFixed } from './rules/lanyard-fixed.ts';
import { lanyardTooShort } from './rules/lanyard-too-short.ts';
import { lanyardTooWeak } from './rules/lanyard-too-weak.ts';
import { lastResortPoint } from './rules/last-resort-point.ts';
import { layerUndecided } from './rules/layer-undecided.ts';
import { lengthUnknown } from './rules/length-unknown.ts';
import { limitedByStatement } from './rules/limited-by-statement.ts';
import { lineCrossesObstacle } from './rules/line-crosses-obstacle.ts';
import { lineOverEdge } from './rules/line-over-edge.ts';
import { lineOverLip } from './rules/line-over-lip.ts';
import { lineRoundTree } from './rules/line-round-tree.ts';
import { lineTooShort } from './rules/line-too-short.ts';
import { lineUnderVehicle } from './rules/line-under-vehicle.ts';
import { loadReachesAnchor } from './rules/load-reaches-anchor.ts';
import { loadSecuringStrap } from './rules/load-securing-strap.ts';
import { markAboveQuotient } from './rules/mark-above-quotient.ts';
import { mayTip } from './rules/may-tip.ts';
import { metalBetweenStretch } from './rules/metal-between-stretch.ts';
import { narrowGroove } from './rules/narrow-groove.ts';
import { nearBreaking } from './rules/near-breaking.ts';
import { nearLimit } from './rules/near-limit.ts';
import { neverInspected } from './rules/never-inspected.ts';
import { newAndUninspected } from './rules/new-and-uninspected.ts';
import { noChocks } from './rules/no-chocks.ts';
import { noDamper } from './rules/no-damper.ts';
import { noSignaller } from './rules/no-signaller.ts';
import { noStrength } from './rules/no-strength.ts';
import { notPractised } from './rules/not-practised.ts';
import { notSolved } from './rules/not-solved.ts';
import { offCentrePoint } from './rules/off-centre-point.ts';
import { openHook } from './rules/open-hook.ts';
import { openingTooNarrow } from './rules/opening-too-narrow.ts';
import { operatorBelowSlide } from './rules/operator-below-slide.ts';
import { operatorInZone } from './rules/operator-in-zone.ts';
import { operatorNotPlaced } from './rules/operator-not-placed.ts';
import { operatorOutOfReach } from './rules/operator-out-of-reach.ts';
import { outOfService } from './rules/out-of-service.ts';
import { overBreakingMargin } from './rules/over-breaking-margin.ts';
import { overLimit } from './rules/over-limit.ts';
import { overLinePullLimit } from './rules/over-line-pull-limit.ts';
import { ownerNotTold } from './rules/owner-not-told.ts';
import { parallelStraps } from './rules/parallel-straps.ts';
import { personInZone } from './rules/person-in-zone.ts';
import { pieceMissing } from './rules/piece-missing.ts';
import { pieceUsedTwice } from './rules/piece-used-twice.ts';
import { pinDoesNotFit } from './rules/pin-does-not-fit.ts';
import { pinSide } from './rules/pin-side.ts';
import { pointUnknown } from './rules/point-unknown.ts';
import { poorTermination } from './rules/poor-termination.ts';
import { pullChosenByPerson } from './rules/pull-chosen-by-person.ts';
import { pullNotEstimated } from './rules/pull-not-estimated.ts';
import { respoolTooLight } from './rules/respool-too-light.ts';
import { restTooShort } from './rules/rest-too-short.ts';
import { ringOnMetal } from './rules/ring-on-metal.ts';
import { ringWithSteelLine } from './rules/ring-with-steel-line.ts';
import { runsByItself } from './rules/runs-by-itself.ts';
import { settingDecided } from './rules/setting-decided.ts';
import { shackleSideLoad } from './rules/shackle-side-load.ts';
import { sharedDrives } from './rules/shared-drives.ts';
import { slackLeg } from './rules/slack-leg.ts';
import { softGoodTooOld } from './rules/soft-good-too-old.ts';
import { softOnSharpEdge } from './rules/soft-on-sharp-edge.ts';
import { softShackleDoesNotPass } from './rules/soft-shackle-does-not-pass.ts';
import { spliceReachesPulley } from './rules/splice-reaches-pulley.ts';
import { staticWithRunUp } from './rules/static-with-run-up.ts';
import { strapHigh } from './rules/strap-high.ts';
import { strapLegsTooWide } from './rules/strap-legs-too-wide.ts';
import { strapLegsWide } from './rules/strap-legs-wide.ts';
import { strapTooShort } from './rules/strap-too-short.ts';
import { strapTwisted } from './rules/strap-twisted.ts';
import { stretchInWinchRig } from './rules/stretch-in-winch-rig.ts';
import { stretchNotAllowed } from './rules/stretch-not-allowed.ts';
import { stretchPullsUsedUp } from './rules/stretch-pulls-used-up.ts';
import { stretchTooStiff } from './rules/stretch-too-stiff.ts';
import { stretchTooWeak } from './rules/stretch-too-weak.ts';
import { thinPin } from './rules/thin-pin.ts';
import { throatTooNarrow } from './rules/throat-too-narrow.ts';
import { tightBend } from './rules/tight-bend.ts';
import { tips } from './rules/tips.ts';
import { tipsAtGreatest } from './rules/tips-at-greatest.ts';
import { tooFewWraps } from './rules/too-few-wraps.ts';
import { towHasNoGrip } from './rules/tow-has-no-grip.ts';
import { treeChoked } from './rules/tree-choked.ts';
import { treeThin } from './rules/tree-thin.ts';
import { treeTooThin } from './rules/tree-too-thin.ts';
import { unequalBridle } from './rules/unequal-bridle.ts';
import { unknownTermination } from './rules/unknown-termination.ts';
import { unrated } from './rules/unrated.ts';
import { vehicleSlides } from './rules/vehicle-slides.ts';
import { vehicleSlidesAtGreatest } from './rules/vehicle-slides-at-greatest.ts';
import { winchLineAsTow } from './rules/winch-line-as-tow.ts';
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
  anchorCreep,
  anchorUnrated,
  backAnchorStretches,
  basisUnstated,
  batteryLow,
  blockForOtherRope,
  burstShortened,
  cannotServeHere,
  carabinerMinorAxis,
  chainInLine,
  cutOffOutOfReach,
  deadmanLog,
  drumOverfull,
  drumSpool,
  engineOff,
  fairleadAngle,
  forbiddenPoint,
  gripSlips,
  handTooFew,
  heldOnPark,
  hookOpening,
  hookReachesFairlead,
  inspectionOverdue,
  jackWithoutStand,
  knotPlacement,
  lanyardFixed,
  lanyardTooShort,
  lanyardTooWeak,
  lastResortPoint,
  layerUndecided,
  lengthUnknown,
  limitedByStatement,
  lineOverEdge,
  lineRoundTree,
  lineTooShort,
  lineCrossesObstacle,
  lineOverLip,
  lineUnderVehicle,
  loadReachesAnchor,
  loadSecuringStrap,
  markAboveQuotient,
  mayTip,
  metalBetweenStretch,
  narrowGroove,
  nearBreaking,
  nearLimit,
  neverInspected,
  newAndUninspected,
  noChocks,
  noDamper,
  noSignaller,
  notPractised,
  offCentrePoint,
  openHook,
  openingTooNarrow,
  operatorBelowSlide,
  operatorInZone,
  operatorNotPlaced,
  operatorOutOfReach,
  overLinePullLimit,
  ownerNotTold,
  parallelStraps,
  personInZone,
  pieceUsedTwice,
  pinDoesNotFit,
  pinSide,
  pointUnknown,
  poorTermination,
  pullChosenByPerson,
  respoolTooLight,
  restTooShort,
  ringOnMetal,
  ringWithSteelLine,
  runsByItself,
  settingDecided,
  shackleSideLoad,
  sharedDrives,
  slackLeg,
  softGoodTooOld,
  softOnSharpEdge,
  softShackleDoesNotPass,
  spliceReachesPulley,
  staticWithRunUp,
  strapHigh,
  strapLegsTooWide,
  strapLegsWide,
  strapTooShort,
  strapTwisted,
  stretchInWinchRig,
  stretchNotAllowed,
  stretchPullsUsedUp,
  stretchTooStiff,
  stretchTooWeak,
  thinPin,
  throatTooNarrow,
  tightBend,
  tips,
  tipsAtGreatest,
  tooFewWraps,
  towHasNoGrip,
  treeChoked,
  treeThin,
  treeTooThin,
  unequalBridle,
  unknownTermination,
  vehicleSlides,
  vehicleSlidesAtGreatest,
  winchLineAsTow,
  winchOverRating,
  winchSmall,
  winchStalls,
];
