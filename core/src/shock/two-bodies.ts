import {
  forceOn,
  loadingCurve,
  loadingEnergyJ,
  type RopeTrain,
  storedEnergyJ,
  stretchOf,
  type TrainCurve,
  unloadingCurve,
} from './rope-train.ts';

/** The vehicle that runs up. Newtons, kilograms, metres a second; along the line, ahead positive. */
export interface Towing {
  readonly massKg: number;
  /** Its speed as the rope comes tight. */
  readonly speedMPerS: number;
  /** What its wheels push with, from first tension to first slack. */
  readonly driveN: number;
  /** What its rolling takes, against its motion. */
  readonly rollingN: number;
  /** Its weight's component against the way it goes; below 0 downhill. */
  readonly slopeN: number;
}

/** The vehicle that is stuck: held by what breaks away and falls to what rolls over some metres. */
export interface Stuck {
  readonly massKg: number;
  readonly breaksAwayN: number;
  readonly rollsN: number;
  readonly overM: number;
  /** What its own wheels push with, from first tension to first slack. */
  readonly driveN: number;
}

export interface TwoBodies {
  readonly train: RopeTrain;
  readonly towing: Towing;
  readonly stuck: Stuck;
  /** Longest step, seconds, above 0. */
  readonly stepS?: number;
  /** Ends with the first peak instead of at rest. */
  readonly toFirstPeak?: boolean;
  /** Seconds between two entries of the history; none is kept without. */
  readonly historyS?: number;
}

export interface ShockSample {
  readonly timeS: number;
  readonly tensionN: number;
  readonly towingMPerS: number;
  readonly stuckMPerS: number;
  /** How far the towing vehicle has gone since first tension, and how far the stuck one has moved, metres. */
  readonly towedM: number;
  readonly movedM: number;
}

export interface ShockRun {
  readonly peakN: number;
  readonly peakS: number;
  /** When the stuck vehicle was free: it had moved the whole way over which it breaks away. */
  readonly freedS: number | undefined;
  readonly movedM: number;
  readonly endedS: number;
  /** Whether all was at rest in the end. */
  readonly atRest: boolean;
  /** Initial energy and drive work against all that became of them, as a share of them. */
  readonly energyError: number;
  readonly history: readonly ShockSample[];
}

/** Step of the integration, s: halved, its error falls to a quarter. */
export const SHOCK_STEP_S = 1e-3;
const LONGEST_S = 10;
/** An event is found to this, s. */
const EVENT_S = 1e-11;
const MOST_PHASES = 2000;

/** What moves: distances and speeds along the line, and what has been done by drives and taken by rolling, holding and slope. */
interface State {
  readonly x1: number;
  readonly v1: number;
  readonly x2: number;
  readonly v2: number;
  readonly drivenJ: number;
  readonly lostJ: number;
}

/** What holds between two events. */
interface Phase {
  /** Which way the towing vehicle goes; 0 at rest. */
  readonly way: 1 | 0 | -1;
  readonly stuckMoves: boolean;
  readonly taut: boolean;
  /** Greatest tension seen; on the loading curve the rope goes beyond it. */
  readonly peakN: number;
  readonly loading: boolean;
  /** The curve that the ropes are on. */
  readonly curve: TrainCurve;
  /** Drivers lift off at the first slack. */
  readonly driving: boolean;
}

/**
 * Two vehicles and the ropes between them from first tension on, by the midpoint rule: of second order, steps of a millisecond,
 * every change of phase found and begun anew, so that no step runs over one. Ropes load and unload by their laws; the stuck vehicle is
 * held like a thing that sticks until it breaks away; it never rolls back. Source: Newton's law for two bodies on a line.
 */
export function runTwoBodies(subject: TwoBodies): ShockRun {
  const { towing, stepS = SHOCK_STEP_S } = subject;
  const state: State = { x1: 0, v1: towing.speedMPerS, x2: 0, v2: 0, drivenJ: 0, lostJ: 0 };
  const virgin = loadingCurve(subject.train);
  const first: Phase = {
    way: towing.speedMPerS > 0 ? 1 : 0,
    stuckMoves: false,
    taut: true,
    peakN: 0,
    loading: true,
    curve: virgin,
    driving: true,
  };
  const run: Run = { subject, state, phase: settled(subject, state, first), timeS: 0, peakN: 0, peakS: 0, freedS: undefined, history: [] };
  note(run);
  for (let phases = 0; phases < MOST_PHASES && run.timeS < LONGEST_S && !isAtRest(run.state, run.phase); phases++) {
    runPhase(run, stepS);
    if (run.timeS >= LONGEST_S) break;
    const next = settled(subject, run.state, run.phase);
    if (subject.toFirstPeak && run.phase.loading && !next.loading) break;
    run.phase = next;
  }
  if (subject.historyS !== undefined && (run.history.at(-1)?.timeS ?? -1) < run.timeS) run.history.push(sampleOf(run));
  const { peakN, peakS, freedS, timeS, history } = run;
  return {
    peakN,
    peakS,
    freedS,
    movedM: run.state.x2,
    endedS: timeS,
    atRest: isAtRest(run.state, run.phase),
    energyError: energyError(subject, run.state, run.phase),
    history,
  };
}

/** A run as it goes on, changed in place. */
interface Run {
  readonly subject: TwoBodies;
  state: State;
  phase: Phase;
  timeS: number;
  peakN: number;
  peakS: number;
  freedS: number | undefined;
  readonly history: ShockSample[];
}

/** Steps on until something ends the phase, which is found by halves, or the time is up. */
function runPhase(run: Run, stepS: number): void {
  const { subject, phase } = run;
  const from = run.state;
  const live = eventsOf(subject, phase).filter((event) => event(from) >= 0);
  while (run.timeS < LONGEST_S) {
    const wholeS = Math.min(stepS, LONGEST_S - run.timeS);
    const after = stepped(subject, phase, run.state, wholeS);
    if (!happens(live, after)) {
      pass(run, after, wholeS);
      continue;
    }
    let [low, high] = [0, wholeS];
    while (high - low > EVENT_S) {
      const middle = (low + high) / 2;
      if (happens(live, stepped(subject, phase, run.state, middle))) high = middle;
      else low = middle;
    }
    pass(run, stepped(subject, phase, run.state, high), high);
    return;
  }
}

function pass(run: Run, state: State, seconds: number): void {
  run.state = state;
  run.timeS += seconds;
  note(run);
}

function note(run: Run): void {
  const { subject, state, timeS, history } = run;
  const tensionN = tension(state, run.phase);
  if (tensionN > run.peakN) [run.peakN, run.peakS] = [tensionN, timeS];
  if (run.freedS === undefined && state.x2 >= subject.stuck.overM * (1 - 1e-9)) run.freedS = timeS;
  if (subject.historyS !== undefined && timeS >= history.length * subject.historyS * (1 - 1e-12)) history.push(sampleOf(run));
}

const sampleOf = ({ state, phase, timeS }: Run): ShockSample => ({
  timeS,
  tensionN: tension(state, phase),
  towingMPerS: state.v1,
  stuckMPerS: state.v2,
  towedM: state.x1,
  movedM: state.x2,
});

const tension = ({ x1, x2 }: State, { taut, curve }: Phase): number => (taut ? forceOn(curve, x1 - x2) : 0);

const isAtRest = ({ v2 }: State, { way, stuckMoves, taut }: Phase): boolean => !taut && way === 0 && !stuckMoves && Math.abs(v2) < 1e-9;

/** What holds the stuck vehicle after it has moved so far. */
const heldN = ({ breaksAwayN, rollsN, overM }: Stuck, movedM: number): number =>
  rollsN + (breaksAwayN - rollsN) * Math.max(0, 1 - movedM / overM);

/** What acts on the towing vehicle but its rolling. */
const pushN = ({ towing }: TwoBodies, tensionN: number, { driving }: Phase): number =>
  (driving ? towing.driveN : 0) - tensionN - towing.slopeN;

interface Rates {
  readonly a1: number;
  readonly a2: number;
  readonly drivenW: number;
  readonly lostW: number;
}

function ratesAt(subject: TwoBodies, phase: Phase, state: State): Rates {
  const { towing, stuck } = subject;
  const { driving, way, stuckMoves } = phase;
  const tensionN = tension(state, phase);
  const a1 = way === 0 ? 0 : (pushN(subject, tensionN, phase) - way * towing.rollingN) / towing.massKg;
  const holdN = heldN(stuck, state.x2);
  const own = driving ? stuck.driveN : 0;
  const a2 = stuckMoves ? (tensionN + own - holdN) / stuck.massKg : 0;
  return {
    a1,
    a2,
    drivenW: driving ? towing.driveN * state.v1 + stuck.driveN * state.v2 : 0,
    lostW: Math.abs(state.v1) * towing.rollingN + state.v1 * towing.slopeN + state.v2 * holdN,
  };
}

/** One step of the midpoint rule. */
function stepped(subject: TwoBodies, phase: Phase, state: State, seconds: number): State {
  const first = ratesAt(subject, phase, state);
  const half = moved(state, state, first, seconds / 2);
  return moved(state, half, ratesAt(subject, phase, half), seconds);
}

const moved = (from: State, { v1, v2 }: State, { a1, a2, drivenW, lostW }: Rates, seconds: number): State => ({
  x1: from.x1 + v1 * seconds,
  v1: from.v1 + a1 * seconds,
  x2: from.x2 + v2 * seconds,
  v2: from.v2 + a2 * seconds,
  drivenJ: from.drivenJ + drivenW * seconds,
  lostJ: from.lostJ + lostW * seconds,
});

type Event = (state: State) => number;

function happens(events: readonly Event[], state: State): boolean {
  for (const event of events) if (event(state) < 0) return true;
  return false;
}

/** What may end a phase: numbers that are 0 or more while it lasts. */
function eventsOf(subject: TwoBodies, phase: Phase): readonly Event[] {
  const { train, towing, stuck } = subject;
  const { way, stuckMoves, taut, loading, peakN, driving } = phase;
  const events: Event[] = [];
  if (way !== 0) events.push(({ v1 }) => way * v1);
  else events.push((state) => towing.rollingN - Math.abs(pushN(subject, tension(state, phase), phase)));
  if (stuckMoves) {
    events.push(({ v2 }) => v2);
    events.push(({ x2 }) => (x2 < stuck.overM ? stuck.overM - x2 : 0));
  } else events.push((state) => heldN(stuck, state.x2) - tension(state, phase) - (driving ? stuck.driveN : 0));
  if (!taut) events.push(({ x1, x2 }) => x2 - x1);
  else if (loading) events.push(({ v1, v2 }) => v1 - v2);
  else {
    events.push(({ x1, x2 }) => x1 - x2);
    const peakM = stretchOf(train, peakN, peakN);
    events.push(({ x1, x2 }) => peakM - (x1 - x2));
  }
  return events;
}

/** Speeds below this are none, m/s. */
const STILL_MPERS = 1e-9;

/** The phase that follows from a state: what sticks lets go, what stands is at rest, the rope loads, unloads or hangs slack. */
function settled(subject: TwoBodies, state: State, phase: Phase): Phase {
  const rope = ropeAfter(subject, state, phase);
  const tensionN = tension(state, rope);
  const way = wayAfter(subject, state, pushN(subject, tensionN, rope));
  const { stuck } = subject;
  const pullsN = tensionN + (rope.driving ? stuck.driveN : 0);
  return { ...rope, way, stuckMoves: state.v2 > STILL_MPERS || pullsN >= heldN(stuck, state.x2) * (1 - 1e-12) };
}

function ropeAfter({ train }: TwoBodies, state: State, phase: Phase): Phase {
  const stretchM = state.x1 - state.x2;
  const rate = state.v1 - state.v2;
  const taut = phase.taut ? stretchM > 0 || rate > STILL_MPERS : stretchM >= 0 && rate > 0;
  const beyond = phase.peakN === 0 || stretchM >= stretchOf(train, phase.peakN, phase.peakN) * (1 - 1e-12);
  const loading = taut && rate > 0 && beyond;
  const peakN = phase.loading && !loading ? Math.max(phase.peakN, tension(state, phase)) : phase.peakN;
  const curve = loading || peakN === 0 ? loadingCurve(train) : unloadingCurve(train, peakN);
  return { ...phase, taut, loading, peakN, curve, driving: phase.driving && taut };
}

/** Which way the towing vehicle goes on; at rest until what pushes it is more than its rolling takes. */
function wayAfter({ towing }: TwoBodies, { v1 }: State, push: number): Phase['way'] {
  if (Math.abs(v1) > STILL_MPERS) return v1 > 0 ? 1 : -1;
  if (Math.abs(push) <= towing.rollingN * (1 + 1e-12)) return 0;
  return push > 0 ? 1 : -1;
}

/** What was put in, against what is still there and what was taken, as a share of the former. */
function energyError(
  { train, towing, stuck }: TwoBodies,
  { x1, x2, v1, v2, drivenJ, lostJ }: State,
  { peakN, taut, loading, curve }: Phase,
): number {
  const putInJ = 0.5 * towing.massKg * towing.speedMPerS ** 2 + drivenJ;
  const kineticJ = 0.5 * towing.massKg * v1 * v1 + 0.5 * stuck.massKg * v2 * v2;
  const forceN = taut ? forceOn(curve, x1 - x2) : 0;
  // On its loading curve the rope holds all that was put into it; on the unloading one what has not come back.
  const ropeJ = loading
    ? loadingEnergyJ(train, forceN)
    : loadingEnergyJ(train, peakN) - storedEnergyJ(train, peakN, peakN) + storedEnergyJ(train, forceN, peakN);
  return putInJ > 0 ? Math.abs(putInJ - kineticJ - ropeJ - lostJ) / putInJ : 0;
}
