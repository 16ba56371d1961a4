export { BIN_SHARE, binnedCount, type CycleBin, cyclesOfPulls } from './fatigue/cycle-bins.ts';
export { usageIndex } from './fatigue/usage-index.ts';
export { type DueReason, nextDue, pullsUsedUpOn, wearDueOn } from './logbook/next-due.ts';
export { happenedN, type LoadLimits, type Overload, overloadOf, overloads, quarantineAboveN } from './logbook/overload.ts';
export { ADOPTED_FROM, adoptedFigure, type MeasuredPull, type OwnFigure, ownFigure } from './logbook/own-figure.ts';
export {
  forceUnitChoices,
  type SeriesColumns,
  type SeriesHead,
  type SeriesStated,
  seriesHead,
} from './logbook/series-columns.ts';
export { type SeriesEnvelope, seriesEnvelope } from './logbook/series-envelope.ts';
export { type LineShares, type PieceSeries, seriesOfPieces, withoutMetres } from './logbook/series-of-pieces.ts';
export { type RefusedRow, type SeriesSummary, seriesRows } from './logbook/series-rows.ts';
/** The light door of core: documents, facts, words, formulas and rules, all without the solver. SI units throughout (N, m, kg, s, rad). */

export type {
  AdvantageAt,
  AnchorOption,
  AnchorWay,
  Bag,
  Carrier,
  LightestBag,
  SparedRig,
  Stand,
  TagReading,
  Trial,
} from './advice/answers.ts';
export { carriedIn } from './advice/carried.ts';
export { strapBasket } from './anchors/strap-basket.ts';
export { explainTree, treeCapacity } from './anchors/tree-capacity.ts';
export { unmarkedPoint } from './anchors/unmarked-point.ts';
export { type Codec, type Fault, type JsonSchema, type ReadResult, read, type TypeOf } from './codec/codec.ts';
export { choice, day, flag, numeric, partialDate, text } from './codec/scalars.ts';
export { list, optional, record } from './codec/structures.ts';
export { type CheaperAction, cheaperActions } from './effort/cheaper-actions.ts';
export { type Effort, type EffortOutcome, estimatePull, type MethodId, methodWords, type StuckVehicle } from './effort/estimate-pull.ts';
export { type HelperVehicle, type RespoolAdvice, respoolAdvice } from './effort/respool.ts';
export type { Situation } from './effort/situation.ts';
export { type GlossaryEntry, glossary } from './explanation/glossary.ts';
export { evaluate, type Term } from './explanation/term.ts';
export { wordParts } from './explanation/words-of-trade.ts';
export type { Field } from './gear/classes/fields.ts';
export { type GearClass, gearClasses, gearClassNames } from './gear/classes/gear-classes.ts';
export { eyeLocks, type PointKind, pointKinds, seenTerminations, spoolStates, winchFaces } from './gear/classes/materials.ts';
export { type Role, roleWords } from './gear/classes/roles.ts';
export { type CutSizes, cutBack, SHORTEST_LINE_M } from './gear/cut-back.ts';
export {
  type GearFacts,
  type GearOf,
  type GearState,
  type Grade,
  gearFactsCodec,
  gearStates,
  grades,
  readerOfAttributes,
} from './gear/gear-facts.ts';
export {
  basisWords,
  isUnclear,
  type Mark,
  type MarkBasis,
  type MarkSource,
  markBases,
  markCodec,
  markSources,
  sourceWords,
  type TonUnit,
  tonUnits,
} from './gear/mark.ts';
export { type MarkContext, type ParsedMark, parseMark } from './gear/parse-mark.ts';
export { parseMarks } from './gear/parse-marks.ts';
export {
  hasAxes,
  inLineLengthM,
  isLanyard,
  isRecoveryPoint,
  isRope,
  isWinch,
  liftsOnTheSpot,
  offeredAs,
  servesAs,
  traitsOf,
} from './gear/traits.ts';
export { headingOf, headingVocabulary, headingWords, plainHeading } from './gear/words/heading-words.ts';
export { plainWords, type RecognisedClass, recogniseClass, vocabulary as classVocabulary } from './gear/words/recognise-class.ts';
export { type BendTriangle, type Corridor, type DangerCircle, type DangerZones, dangerZones } from './hazards/danger-zones.ts';
export { keepOutLine } from './hazards/keep-out-line.ts';
export { remoteReachM } from './hazards/remote-reach.ts';
export { type BenchAnswers, benchAnswersCodec } from './inspections/bench-answers.ts';
export {
  type InspectionAnswers,
  inspectionAnswersCodec,
  type MeasuredShare,
  measuredShare,
  newValueOf,
  openPoints,
  type PointAnswer,
  pointAnswers,
} from './inspections/inspection-answers.ts';
export { type DueTime, dueTime, dueTimes, type Exposure, type InspectionDue, inspectionDue } from './inspections/inspection-due.ts';
export {
  type InspectionSheet,
  inspectionSheetCodec,
  limitKinds,
  measuredQuantities,
  type SheetMeasure,
  sheetFaults,
} from './inspections/inspection-sheet.ts';
export { type GradeFault, gradeFault, proposedDue } from './inspections/kept-grade.ts';
export {
  type Measured,
  type MeasureSeries,
  measureSeries,
  trendOfSeries,
  type WearForecast,
  wearForecast,
} from './inspections/measure-series.ts';
export { type ProposedGrade, proposeGrade } from './inspections/propose-grade.ts';
export { standardSheets } from './inspections/standard-sheets.ts';
export type { Rule } from './judgement/ask/rule.ts';
export { type Fix, type Severity, type Subject, severities } from './judgement/ask/told.ts';
export type { PlaceExplanation, ReportFigure } from './judgement/explain/report-figure.ts';
export { type ToldFinding, type ToldReport, told, withWords, wordsOf } from './judgement/finding-words.ts';
export { type GaugedPull, gaugedPull } from './judgement/gauged-pull.ts';
export { policyFaults } from './judgement/policy-faults.ts';
export type { PulleyAt, StrandAt } from './judgement/report/drawing-facts.ts';
export { type AnsweredFor, counted, type Finding, type FindingWords, isAnsweredBy } from './judgement/report/finding.ts';
export { type KeptReport, keptReportCodec, readKeptReport } from './judgement/report/kept-report.ts';
export { reasonOf } from './judgement/report/reason.ts';
export {
  type AttemptReport,
  CORE_VERSION,
  type DrumFigures,
  type MomentReport,
  type MovedBody,
  type PlaceReport,
  type Report,
  type RunUpCurves,
  type RunUpReport,
  type Verdict,
} from './judgement/report/report.ts';
export { type RunUpMoment, runUpMoment } from './judgement/report/run-up-moment.ts';
export { strandSentence } from './judgement/report/strand-sentence.ts';
export { rules } from './judgement/rules/rule-list.ts';
export { type KitPiece, type KitReadiness, kitReadiness, type NotFit, type WantedLine } from './kits/kit-readiness.ts';
export { type Terrain, terrainLists, terrains, type Wanted } from './kits/terrain-lists.ts';
export { type Assignment, assignBodies, bodiesOfLayout, layOnSite, mayStandFor, type SceneBody, vehicleAt } from './layouts/lay-on-site.ts';
export { firstRig, layPlan, type PlanVehicle, relayEdits, vehicleBody, winchOf } from './layouts/lay-plan.ts';
export { type Layout, type LayoutGroup, layoutGroups } from './layouts/layout.ts';
export { layouts } from './layouts/layouts.ts';
export { SKETCH_SIZE, type Sketch, sketchOf } from './layouts/sketch.ts';
export { isSelfRecovery, type LaidLines, layoutOf, laySelfRecovery, type SelfRecoveryLayout } from './layouts/winch-self-recovery.ts';
export { type AdoptedFigure, type FigureKey, figureOfPath, isFigureOf, MOST_FIGURES } from './policy/adopted-figures.ts';
export { canonicalJson } from './policy/canonical-json.ts';
export { type ExposureKind, exposureKinds } from './policy/care-tables.ts';
export { contentDigest } from './policy/content-digest.ts';
export { isTeamsLastResort, refusedByTeam, wantsConsent } from './policy/last-resorts.ts';
export {
  anchorSoils,
  type Depth,
  depths,
  footings,
  holdGrounds,
  type Policy,
  picketPatterns,
  picketSoils,
  plainBends,
  policyCodec,
  type Surface,
  soils,
  surfaces,
  woods,
} from './policy/policy.ts';
export { type PolicyDifference, policyDifferences } from './policy/policy-differences.ts';
export { policyPresets } from './policy/presets.ts';
export { readPolicy, upgradePolicy } from './policy/read-policy.ts';
export { isTouched, type RecordedPolicy, recordedPolicy } from './policy/recorded-policy.ts';
export type { Schools } from './policy/schools.ts';
export { teamStandard } from './policy/team-standard.ts';
export { type EndKind, endWords, isDone } from './pull/ends.ts';
export type { PullEvent } from './pull/events/event.ts';
export { eventWords } from './pull/events/event-list.ts';
export type { HandHaul, Throw } from './pull/hand-haul.ts';
export type { Timeline, TimelinePoint } from './pull/timeline.ts';
export { bearingDegrees, DEGREE } from './quantity/angles.ts';
export { addDays, addMonths, daysBetween } from './quantity/calendar.ts';
export {
  angle,
  count,
  drivingSpeed,
  energy,
  type Figure,
  force,
  formatFigure,
  length,
  mass,
  momentum,
  percent,
  type ReaderUnits,
  type RichText,
  ratio,
  readerForces,
  rich,
  smallLength,
  speed,
  temperature,
  time,
  withoutUnit,
  write,
} from './quantity/format.ts';
export { keyWords } from './quantity/key-words.ts';
export { type DayOrder, type ParsedDate, parseDate } from './quantity/parse-date.ts';
export type { DecimalMark } from './quantity/parse-number.ts';
export { type ParsedQuantity, parseQuantity } from './quantity/parse-quantity.ts';
export { firstDay, isDay, isPartialDate, lastDay } from './quantity/partial-date.ts';
export { type Dimension, FOOT_M, POUND_FORCE_N, STANDARD_GRAVITY } from './quantity/units.ts';
export { explainLimit } from './rating/explain-limit.ts';
export type { LimitContext, PieceLimit } from './rating/piece-limit.ts';
export { pieceLimit } from './rating/piece-limit.ts';
export { useWords, usualUse } from './rating/usual-use.ts';
export { type BreakingStrengthN, type WorkingLimitN, workingLimit } from './rating/working-limit.ts';
export type { Caught, InTheWay, Leaving, LetGo, LetGoAsked } from './release/let-go.ts';
export { type PlannedPull, planPull } from './resolved/plan-pull.ts';
export { type Apart, apartFrom, placedFrom } from './rig/apart.ts';
export { duties } from './rig/bodies.ts';
export { bodyOfUse } from './rig/body-of-use.ts';
export {
  type Case,
  caseCodec,
  RIG_FILE_FORMAT,
  RIG_FILE_VERSION,
  type RigFile,
  readCase,
  readRig,
  readRigDocument,
  readRigFile,
  rigFileCodec,
} from './rig/case.ts';
export { applyEdit, type Edit } from './rig/edits.ts';
export { type FactId, factWords, type RigFactId, rigFacts } from './rig/facts.ts';
export { jointWords, legCalled, legWords, lineWords } from './rig/line-words.ts';
export { gearIdsOf, referenceFaults, usesOf } from './rig/references.ts';
export {
  type Body,
  type Chain,
  type Feature,
  featureKinds,
  type Line,
  type LoadBody,
  type LooseBody,
  type PieceUse,
  type Rig,
  type RigPoint,
  rigCodec,
  type TreeBody,
  type VehicleBody,
} from './rig/rig.ts';
export { rigDifferences } from './rig/rig-differences.ts';
export { bodyOfChain, bodyOfPoint, loadBody, pointOfChain, pointPosition, travelDirection } from './rig/site-geometry.ts';
export { withoutPieces } from './rig/without-pieces.ts';
export { addGrip } from './rigging/add-grip.ts';
export { type BagPiece, bestFor, type Candidate, candidatesFor } from './rigging/candidates.ts';
export { choosePieceEdits } from './rigging/choose-piece.ts';
export { applied, fillEdits, vehicleIdOfUse, withPieces } from './rigging/fill-pieces.ts';
export { goesIn } from './rigging/goes-in.ts';
export { changeEdge, type EdgeBend, leadOver, type PlainEdge, plainEdges, takeOffEdge } from './rigging/plain-edges.ts';
export {
  addBridle,
  addLanyard,
  clearLines,
  extendChain,
  extendLine,
  freeIdIn,
  insertPiece,
  type LanyardReach,
  lanyardReaches,
  removeBody,
  removeLine,
  removeUse,
  tieBack,
} from './rigging/rigging.ts';
export { type Route, type RouteStop, routeEdits, routeFault, routeOf } from './rigging/route-line.ts';
export { type RunInstant, type RunUp, runAt, runUpTakesS } from './shock/run-at.ts';
export { slackForSpeedM } from './shock/slack.ts';
export { ahead, groundHeightM, slopeAlong } from './statics/ground.ts';
export { distance, type Vec3 } from './statics/vec3.ts';
export { median, type TrendLine } from './wear/theil-sen.ts';
export { type Reading, type ReadingQuestion, readingQuestion, type WearTrend, wearTrend } from './wear/wear-trend.ts';
export { type Drum, reserveM, type SpoolLayer, spoolLayers } from './winch/drum-layers.ts';
