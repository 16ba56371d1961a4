import type { Moment } from '../moment/moment.ts';
import { momentAt } from '../moment/moment-at.ts';
import { type At, loadPose, pointsAt } from '../moment/poses.ts';
import type { ResolvedRig } from '../resolved/resolved-rig.ts';
import type { RunUpOutcome } from '../shock/attempts.ts';
import type { Act } from './act.ts';
import { type Ending, type EndKind, endingsOf } from './ends.ts';
import type { PullEvent, Watch } from './events/event.ts';
import { eventRows } from './events/event-list.ts';
import { type Ledger, ledgerOf } from './ledger.ts';
import type { Margins } from './margins.ts';
import { type CapturedPart, captured, capturedParts, type MovableGrip, movableGrips, regripped } from './regrip.ts';
import { winchRuns } from './winch-runs.ts';

/** Longest step of the load, metres; and how near the metre of an event is found. */
export const STEP_M = 0.02;
export const EVENT_M = 0.001;
/** Moments spread over the travel that are kept for drawing, the last beside. */
const SAMPLES = 8;
/** Steps between two pauses of a run that lets others have their turn. */
const PAUSE_STEPS = 16;
/** Times that grips are moved before it is no haul, and the least that a haul between two must gain, metres of travel. */
const MOST_RESETS = 200;

/** A run as it goes on, changed in place. */
interface Run {
  readonly rig: ResolvedRig;
  readonly ledger: Ledger;
  readonly endings: readonly Ending[];
  readonly watches: readonly Watch[];
  readonly grips: readonly MovableGrip[];
  readonly captures: readonly CapturedPart[];
  readonly start: Moment;
  readonly events: PullEvent[];
  readonly samples: Moment[];
  /** The moment that was taken last. */
  here: Moment;
  resets: number;
  /** The travel at which grips were last moved, metres. */
  resetM: number;
  ended: Act['end'] | undefined;
}

/** The start of a rig's act alone: what a screen may show while something is dragged, or where nobody has said how far it goes. */
export function startOf(rig: ResolvedRig, margins: readonly Margins[]): Act {
  const run = begun(rig, margins);
  return finished(run, rig.rig.load.travelM === undefined ? 'travel-not-said' : 'not-yet-run');
}

/** The act of a rig that frees its load with a run-up: all of it is in its peak. Where it cannot be reckoned, the steady start is all that is known. */
export function runUpAct(rig: ResolvedRig, start: Moment, outcome: RunUpOutcome, margins: readonly Margins[]): Act {
  const moment = outcome.kind === 'planned' ? outcome.peak : start;
  const run = begunAt(rig, moment, margins);
  return { ...finished({ ...run, ended: undefined }, outcome.kind === 'planned' ? undefined : 'run-up-unknown'), work: [], runUp: outcome };
}

/**
 * Runs the act of a rig from first tension until its load is free: steps of 2 cm at most, each begun from the one before, both checks
 * and every margin at each; where a margin falls below 0 or a state changes, the metre is found to 1 mm. It ends with the first of:
 * the travel done, a stall, a fitting at a pulley or fairlead, blocks that meet, outlines that touch, wraps down to the reserve, no
 * balance any more. Where nobody has said how far the load has to go, the start is all that is known.
 */
export function runPull(rig: ResolvedRig, margins: readonly Margins[]): Act {
  const run = pullSteps(rig, margins);
  for (;;) {
    const next = run.next();
    if (next.done) return next.value;
  }
}

/** The same, with a pause every few steps; it tells the share of the travel that is done. */
export function* pullSteps(rig: ResolvedRig, margins: readonly Margins[]): Generator<number, Act> {
  const travelM = travelOf(rig);
  if (travelM === undefined) return startOf(rig, margins);
  const run = begun(rig, margins);
  for (const stretch of stretchesOf(rig, travelM)) yield* runStretch(run, stretch, travelM);
  const upright = rig.way.edgeHeightM !== undefined && travelM < (rig.rig.load.travelM ?? 0);
  run.ended ??= { kind: upright ? 'upright' : 'travel-done', atM: travelM };
  if (run.ended.kind === 'upright') run.events.push({ kind: 'upright', atM: travelM, data: {} });
  return finished(run, undefined);
}

/** Goes along one leg of the way, unless the pull has ended. */
function* runStretch(run: Run, stretch: Stretch, travelM: number): Generator<number, void> {
  if (run.ended === undefined && stretch.turns) turn(run, stretch);
  let steps = 0;
  for (const toM of stepsOf(stretch)) {
    if (run.ended !== undefined) return;
    advance(run, toM, stretch.leg);
    if (run.here.travelM * SAMPLES >= travelM * run.samples.length) run.samples.push(run.here);
    if (++steps % PAUSE_STEPS === 0) yield run.here.travelM / travelM;
  }
}

/** Past this angle what is set upright has its weight beyond the edge and comes over by itself: where it is at least 0.58 as high as its lever is long. */
export const OVER_THE_EDGE_RAD = Math.PI / 3;

/** How far the load is to go, metres; undefined where nobody has said. What is only held goes nowhere, what is set upright no further than that. */
function travelOf({ rig, way }: ResolvedRig): number | undefined {
  const askedM = rig.load.travelM ?? (rig.purpose === 'hold' ? 0 : undefined);
  if (askedM === undefined || way.edgeHeightM === undefined) return askedM;
  return Math.min(askedM, way.edgeHeightM * OVER_THE_EDGE_RAD);
}

interface Stretch {
  readonly fromM: number;
  readonly toM: number;
  readonly leg: number;
  /** Whether the load turns as it begins. */
  readonly turns: boolean;
}

/** The legs of the way up to the travel. */
function stretchesOf({ way }: ResolvedRig, travelM: number): readonly Stretch[] {
  return way.legs.flatMap(({ fromM, toM, turnRad }, leg) =>
    fromM < travelM ? [{ fromM, toM: Math.min(toM, travelM), leg, turns: leg > 0 || turnRad !== 0 }] : [],
  );
}

/** The metres at which a stretch is looked at: equal steps of 2 cm at most, its end among them. */
function* stepsOf({ fromM, toM }: Stretch): Generator<number> {
  const count = Math.ceil((toM - fromM) / STEP_M - 1e-9);
  for (let step = 1; step <= count; step++) yield step === count ? toM : fromM + ((toM - fromM) * step) / count;
}

const begun = (rig: ResolvedRig, margins: readonly Margins[]): Run => begunAt(rig, momentAt(rig, { travelM: 0 }), margins);

function begunAt(rig: ResolvedRig, start: Moment, margins: readonly Margins[]): Run {
  const ledger = ledgerOf(rig, margins);
  ledger.take(start);
  const endings = endingsOf(rig);
  const already = endedBy(endings, start);
  return {
    rig,
    ledger,
    endings,
    watches: eventRows.flatMap(({ watch }) => watch?.(rig) ?? []),
    grips: movableGrips(rig),
    captures: capturedParts(rig),
    start,
    events: [],
    samples: [start],
    here: start,
    resets: 0,
    resetM: 0,
    ended: already && { kind: already, atM: 0 },
  };
}

function finished(run: Run, startOnly: Act['startOnly']): Act {
  const { rig, ledger, start, here, samples, resets } = run;
  const kept = ledger.kept();
  const runs =
    startOnly === 'travel-not-said' || startOnly === 'run-up-unknown'
      ? []
      : winchRuns(start, kept.curves, startOnly && rig.rig.load.travelM);
  const events = [...run.events, ...(startOnly ? [] : runs.flatMap((entry) => entry.events))].sort((a, b) => a.atM - b.atM);
  return {
    rig,
    start,
    last: here,
    startOnly,
    end: run.ended ?? { kind: 'travel-done', atM: here.travelM },
    samples: samples.at(-1) === here ? samples : [...samples, here],
    ...kept,
    events,
    resets,
    work: runs.map(({ work }) => work),
    runUp: undefined,
  };
}

/** What ends the pull in a moment, if anything. */
function endedBy(endings: readonly Ending[], moment: Moment): EndKind | undefined {
  for (const { kind, count, at } of endings)
    for (let index = 0; index < count; index++) if ((at(moment, index) ?? Number.NaN) < 0) return kind;
  return undefined;
}

/** At a corner the load is judged in both directions: as it came, and as it goes on. */
function turn(run: Run, { fromM, leg }: Stretch): void {
  const moment = momentAt(run.rig, { travelM: fromM, leg, lengths: run.here.at.lengths }, run.here);
  pass(run, moment);
  if (leg > 0) run.events.push({ kind: 'corner', atM: fromM, data: {} });
}

/** Goes on to a metre of the travel, by halves where something changes on the way. */
function advance(run: Run, toM: number, leg: number): void {
  const { here } = run;
  const moment = next(run, toM, leg);
  if (toM - here.travelM > EVENT_M && changes(run, moment)) {
    advance(run, (here.travelM + toM) / 2, leg);
    if (run.ended === undefined) advance(run, toM, leg);
    return;
  }
  pass(run, moment);
}

function next(run: Run, travelM: number, leg: number): Moment {
  const at: At = { travelM, leg, lengths: run.here.at.lengths };
  if (run.captures.length === 0) return momentAt(run.rig, at, run.here);
  const positions = pointsAt(run.rig, at, loadPose(run.rig, at));
  return momentAt(run.rig, { ...at, lengths: captured(run.captures, run.here, positions) }, run.here);
}

/** Whether something happens between the moment taken last and another: a rule finds, a state changes, or the pull ends. */
function changes(run: Run, moment: Moment): boolean {
  return endedBy(run.endings, moment) !== undefined || run.ledger.crosses(moment) || stateChanges(run, moment);
}

function stateChanges({ watches, here }: Run, moment: Moment): boolean {
  for (const { count, state } of watches)
    for (let index = 0; index < count; index++) if (state(here, index) !== state(moment, index)) return true;
  return false;
}

/** Takes a moment into account, with what happened since the one before; a haul by grips is set again where blocks meet. */
function pass(run: Run, moment: Moment): void {
  const { watches, here, ledger } = run;
  const end = endedBy(run.endings, moment);
  if ((end === 'blocks-meet' || end === 'reaches-pulley') && moveGrips(run, moment)) return;
  for (const { count, state, tell } of watches)
    for (let index = 0; index < count; index++) {
      if (state(here, index) === state(moment, index)) continue;
      const event = tell(here, moment, index);
      if (event !== undefined) run.events.push(event);
    }
  ledger.take(moment);
  run.here = moment;
  if (end !== undefined) run.ended = { kind: end, atM: moment.travelM };
}

/** Moves the grips of a haul back to where they were as it began; false where there are none, or where that makes no room. */
function moveGrips(run: Run, moment: Moment): boolean {
  const { travelM, at } = moment;
  const thrownM = travelM - run.resetM;
  const lengths =
    run.resets < MOST_RESETS && thrownM >= run.rig.policy.judging.leastThrowM.value ? regripped(run.grips, run.start, moment) : undefined;
  if (lengths === undefined) return false;
  const moved = momentAt(run.rig, { travelM, leg: at.leg, lengths }, run.here);
  if (endedBy(run.endings, moved) !== undefined) return false;
  run.resets++;
  run.resetM = travelM;
  run.events.push({ kind: 'grip-moved', atM: travelM, data: { count: run.resets } });
  run.ledger.take(moved);
  run.here = moved;
  return true;
}
