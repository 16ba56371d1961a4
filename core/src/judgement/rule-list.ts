import type { Rule } from './rule.ts';
import { anchorCreep } from './rules/anchors/anchor-creep.ts';
import { anchorUnrated } from './rules/anchors/anchor-unrated.ts';
import { backAnchorStretches } from './rules/anchors/back-anchor-stretches.ts';
import { deadmanLog } from './rules/anchors/deadman-log.ts';
import { lineRoundTree } from './rules/anchors/line-round-tree.ts';
import { parallelStraps } from './rules/anchors/parallel-straps.ts';
import { slackLeg } from './rules/anchors/slack-leg.ts';
import { strapHigh } from './rules/anchors/strap-high.ts';
import { strapLegsTooWide } from './rules/anchors/strap-legs-too-wide.ts';
import { strapLegsWide } from './rules/anchors/strap-legs-wide.ts';
import { strapTooShort } from './rules/anchors/strap-too-short.ts';
import { strapTwisted } from './rules/anchors/strap-twisted.ts';
import { treeChoked } from './rules/anchors/tree-choked.ts';
import { treeThin } from './rules/anchors/tree-thin.ts';
import { treeTooThin } from './rules/anchors/tree-too-thin.ts';
import { unequalBridle } from './rules/anchors/unequal-bridle.ts';
import { inspectionOverdue } from './rules/condition/inspection-overdue.ts';
import { neverInspected } from './rules/condition/never-inspected.ts';
import { newAndUninspected } from './rules/condition/new-and-uninspected.ts';
import { noStrength } from './rules/condition/no-strength.ts';
import { outOfService } from './rules/condition/out-of-service.ts';
import { poorTermination } from './rules/condition/poor-termination.ts';
import { softGoodTooOld } from './rules/condition/soft-good-too-old.ts';
import { unknownTermination } from './rules/condition/unknown-termination.ts';
import { batteryLow } from './rules/drum/battery-low.ts';
import { burstShortened } from './rules/drum/burst-shortened.ts';
import { drumOverfull } from './rules/drum/drum-overfull.ts';
import { drumSpool } from './rules/drum/drum-spool.ts';
import { fairleadAngle } from './rules/drum/fairlead-angle.ts';
import { layerUndecided } from './rules/drum/layer-undecided.ts';
import { lineTooShort } from './rules/drum/line-too-short.ts';
import { respoolTooLight } from './rules/drum/respool-too-light.ts';
import { tooFewWraps } from './rules/drum/too-few-wraps.ts';
import { winchOverRating } from './rules/drum/winch-over-rating.ts';
import { winchSmall } from './rules/drum/winch-small.ts';
import { winchStalls } from './rules/drum/winch-stalls.ts';
import { lengthUnknown } from './rules/fit/length-unknown.ts';
import { narrowGroove } from './rules/fit/narrow-groove.ts';
import { openingTooNarrow } from './rules/fit/opening-too-narrow.ts';
import { pinDoesNotFit } from './rules/fit/pin-does-not-fit.ts';
import { softShackleDoesNotPass } from './rules/fit/soft-shackle-does-not-pass.ts';
import { thinPin } from './rules/fit/thin-pin.ts';
import { throatTooNarrow } from './rules/fit/throat-too-narrow.ts';
import { tightBend } from './rules/fit/tight-bend.ts';
import { gripSlips } from './rules/limits/grip-slips.ts';
import { handTooFew } from './rules/limits/hand-too-few.ts';
import { limitedByStatement } from './rules/limits/limited-by-statement.ts';
import { nearBreaking } from './rules/limits/near-breaking.ts';
import { nearLimit } from './rules/limits/near-limit.ts';
import { notSolved } from './rules/limits/not-solved.ts';
import { overBreakingMargin } from './rules/limits/over-breaking-margin.ts';
import { overLimit } from './rules/limits/over-limit.ts';
import { overLinePullLimit } from './rules/limits/over-line-pull-limit.ts';
import { pullChosenByPerson } from './rules/limits/pull-chosen-by-person.ts';
import { pullNotEstimated } from './rules/limits/pull-not-estimated.ts';
import { sharedDrives } from './rules/limits/shared-drives.ts';
import { towHasNoGrip } from './rules/limits/tow-has-no-grip.ts';
import { wrongWay } from './rules/limits/wrong-way.ts';
import { advertOnly } from './rules/marks/advert-only.ts';
import { ambiguousTon } from './rules/marks/ambiguous-ton.ts';
import { basisUnstated } from './rules/marks/basis-unstated.ts';
import { markAboveQuotient } from './rules/marks/mark-above-quotient.ts';
import { settingDecided } from './rules/marks/setting-decided.ts';
import { unrated } from './rules/marks/unrated.ts';
import { cutOffOutOfReach } from './rules/people/cut-off-out-of-reach.ts';
import { noSignaller } from './rules/people/no-signaller.ts';
import { notPractised } from './rules/people/not-practised.ts';
import { operatorBelowSlide } from './rules/people/operator-below-slide.ts';
import { operatorInZone } from './rules/people/operator-in-zone.ts';
import { operatorNotPlaced } from './rules/people/operator-not-placed.ts';
import { operatorOutOfReach } from './rules/people/operator-out-of-reach.ts';
import { ownerNotTold } from './rules/people/owner-not-told.ts';
import { personInZone } from './rules/people/person-in-zone.ts';
import { lanyardFixed } from './rules/release/lanyard-fixed.ts';
import { lanyardTooShort } from './rules/release/lanyard-too-short.ts';
import { lanyardTooWeak } from './rules/release/lanyard-too-weak.ts';
import { noDamper } from './rules/release/no-damper.ts';
import { hookReachesFairlead } from './rules/route/hook-reaches-fairlead.ts';
import { lineCrossesObstacle } from './rules/route/line-crosses-obstacle.ts';
import { lineOverEdge } from './rules/route/line-over-edge.ts';
import { lineOverLip } from './rules/route/line-over-lip.ts';
import { lineUnderVehicle } from './rules/route/line-under-vehicle.ts';
import { loadReachesAnchor } from './rules/route/load-reaches-anchor.ts';
import { spliceReachesPulley } from './rules/route/splice-reaches-pulley.ts';
import { blockForOtherRope } from './rules/service/block-for-other-rope.ts';
import { cannotServeHere } from './rules/service/cannot-serve-here.ts';
import { carabinerMinorAxis } from './rules/service/carabiner-minor-axis.ts';
import { chainInLine } from './rules/service/chain-in-line.ts';
import { forbiddenPoint } from './rules/service/forbidden-point.ts';
import { hookOpening } from './rules/service/hook-opening.ts';
import { knotPlacement } from './rules/service/knot-placement.ts';
import { lastResortPoint } from './rules/service/last-resort-point.ts';
import { loadSecuringStrap } from './rules/service/load-securing-strap.ts';
import { offCentrePoint } from './rules/service/off-centre-point.ts';
import { openHook } from './rules/service/open-hook.ts';
import { pieceMissing } from './rules/service/piece-missing.ts';
import { pieceUsedTwice } from './rules/service/piece-used-twice.ts';
import { pinSide } from './rules/service/pin-side.ts';
import { pointUnknown } from './rules/service/point-unknown.ts';
import { ringOnMetal } from './rules/service/ring-on-metal.ts';
import { ringWithSteelLine } from './rules/service/ring-with-steel-line.ts';
import { shackleSideLoad } from './rules/service/shackle-side-load.ts';
import { softOnSharpEdge } from './rules/service/soft-on-sharp-edge.ts';
import { engineOff } from './rules/stance/engine-off.ts';
import { heldOnPark } from './rules/stance/held-on-park.ts';
import { jackWithoutStand } from './rules/stance/jack-without-stand.ts';
import { mayTip } from './rules/stance/may-tip.ts';
import { noChocks } from './rules/stance/no-chocks.ts';
import { runsByItself } from './rules/stance/runs-by-itself.ts';
import { tips } from './rules/stance/tips.ts';
import { tipsAtGreatest } from './rules/stance/tips-at-greatest.ts';
import { vehicleSlides } from './rules/stance/vehicle-slides.ts';
import { vehicleSlidesAtGreatest } from './rules/stance/vehicle-slides-at-greatest.ts';
import { metalBetweenStretch } from './rules/stretch/metal-between-stretch.ts';
import { restTooShort } from './rules/stretch/rest-too-short.ts';
import { staticWithRunUp } from './rules/stretch/static-with-run-up.ts';
import { stretchInWinchRig } from './rules/stretch/stretch-in-winch-rig.ts';
import { stretchNotAllowed } from './rules/stretch/stretch-not-allowed.ts';
import { stretchPullsUsedUp } from './rules/stretch/stretch-pulls-used-up.ts';
import { stretchTooStiff } from './rules/stretch/stretch-too-stiff.ts';
import { stretchTooWeak } from './rules/stretch/stretch-too-weak.ts';
import { winchLineAsTow } from './rules/stretch/winch-line-as-tow.ts';

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
