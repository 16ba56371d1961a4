import { breakingRatioAt, stopRatio, utilisationAt, worstIndex } from '../moment/margins.ts';
import type { Moment } from '../moment/moment.ts';
import { momentWith } from '../moment/moment-at.ts';
import { exceeds, fallsShort } from '../quantity/tolerance.ts';
import type { Place } from '../resolved/place.ts';
import type { Attempt, RunUpOutcome, RunUpPlan } from './attempts.ts';
import { closedFormPeakN } from './rope-train.ts';
import { type RunUpSetup, runUpDrive, setUpRunUp } from './run-up-setup.ts';
import { slackForSpeedM } from './slack.ts';
import { runTwoBodies, type ShockRun, type TwoBodies } from './two-bodies.ts';

/** Slowest run-up that is worth the name, m/s: a walking pace. */
const SLOWEST_MPERS = 0.3;
const SEARCH_STEPS = 40;
const SPEED_TOLERANCE = 1e-5;

/**
 * The plan of a pull with a run-up: attempts that rise to the greatest speed whose peak keeps every piece within its working limit and
 * whose greatest check keeps its margin to breaking, or to the speed that somebody chose. Undefined for a rig without one.
 */
export function planRunUp(start: Moment): RunUpOutcome | undefined {
  const drive = runUpDrive(start.rig);
  if (drive === undefined) return undefined;
  const outcome = setUpRunUp(start, drive);
  if (outcome.kind === 'unknown') return outcome;
  const { setup } = outcome;
  const { policy } = start.rig;
  const acceleration = accelerationOf(setup, policy.runUp.mostAccelerationMPerS2.value);
  const mostSlackM = Math.max(0, setup.ropesM - policy.runUp.leftOutM.value);
  const fastest = Math.sqrt(2 * acceleration * mostSlackM);
  const search = setup.stretches
    ? greatestSpeed(start, setup, { acceleration, fastest })
    : { speed: undefined, boundBy: 'static' as const };
  const own = drive.line.line.drive.kind === 'tow' ? drive.line.line.drive : undefined;
  const unsafe = Math.sqrt(2 * Math.max(acceleration, 0.1) * policy.runUp.staticSlackM.value);
  const speed = own?.runUp?.speedMPerS ?? search.speed ?? unsafe;
  const count = own?.attempts ?? 3;
  const shares = Array.from({ length: count }, (_, index) => (count === 1 ? 1 : 0.5 + (0.5 * index) / (count - 1)));
  const attempt = (share: number) => attemptAt(start, setup, { share, speed: share * speed, acceleration, proposed: search.speed });
  const attempts = shares.map(attempt);
  const neededSlackM = slackForSpeedM(speed, acceleration);
  const plan: RunUpPlan = {
    setup,
    chosen: own?.runUp !== undefined,
    proposedMPerS: search.speed,
    boundBy: search.boundBy,
    attempts,
    beyond: attempt(1 + 0.5 / Math.max(1, count - 1)),
    slackM: own?.runUp?.slackM ?? neededSlackM,
    neededSlackM,
    mostSlackM,
    accelerationMPerS2: acceleration,
  };
  const last = attempts.at(-1) as Attempt;
  const proposed = search.speed !== undefined && !exceeds(last.speedMPerS, search.speed);
  return { kind: 'planned', plan, peak: loaded(start, { plannedN: last.peakN, greatestN: last.greatestN, proposed }) };
}

/** The run-up's acceleration: the policy's, or what the wheels give beside rolling and slope; 0 where they give none. */
function accelerationOf({ towing }: RunUpSetup, most: number): number {
  return Math.max(0, Math.min(most, (towing.tractionN - towing.rollingN - towing.slopeN) / towing.massKg));
}

/** The two checks of a speed. As planned the drive is that of the run-up; the greatest check has all the grip there is. */
export function bodiesAt(
  setup: RunUpSetup,
  train: RunUpSetup['trains'][number],
  check: { readonly speedMPerS: number; readonly driveN: number; readonly stuckDrives: boolean },
): TwoBodies {
  const { towing, stuck } = setup;
  return {
    train,
    towing: { massKg: towing.massKg, speedMPerS: check.speedMPerS, driveN: check.driveN, rollingN: towing.rollingN, slopeN: towing.slopeN },
    stuck: { ...stuck, driveN: check.stuckDrives ? stuck.driveN : 0 },
  };
}

/** What the towing vehicle’s wheels push with as planned, from first tension on: what the run-up took, at most their grip. Newtons. */
export const plannedDriveN = ({ towing }: RunUpSetup, acceleration: number): number =>
  Math.min(towing.tractionN, Math.max(0, towing.massKg * acceleration + towing.rollingN + towing.slopeN));

type Reckoning = 'first-peak' | 'whole';

/** The run as planned, by the reading of the marks that pulls hardest; its peak is never below that of the closed form. */
export function runAsPlanned(setup: RunUpSetup, speedMPerS: number, acceleration: number, reckoning: Reckoning = 'whole') {
  const driveN = plannedDriveN(setup, acceleration);
  // A stuck driver who helps only ever takes load off; the peak is reckoned without, what becomes of it with.
  const stuckDrives = setup.stuck.driveN > 0 && reckoning === 'whole';
  return hardest(setup, { speedMPerS, driveN, stuckDrives }, reckoning);
}

/** The greatest check of a speed. */
export function runAtGreatest(setup: RunUpSetup, speedMPerS: number, factor: number, reckoning: Reckoning = 'whole') {
  return hardest(setup, { speedMPerS: speedMPerS * factor, driveN: setup.towing.tractionN, stuckDrives: false }, reckoning);
}

interface Hardest {
  readonly peakN: number;
  readonly run: ShockRun;
}

function hardest(setup: RunUpSetup, check: Parameters<typeof bodiesAt>[2], reckoning: Reckoning): Hardest {
  let worst: Hardest | undefined;
  for (const train of setup.trains) {
    const toFirstPeak = reckoning === 'first-peak';
    const run = runTwoBodies({ ...bodiesAt(setup, train, check), toFirstPeak });
    const alone = check.stuckDrives ? runTwoBodies({ ...bodiesAt(setup, train, { ...check, stuckDrives: false }), toFirstPeak }).peakN : 0;
    const peakN = Math.max(run.peakN, alone, closedFormPeakN(train, setup.towing.massKg, check.speedMPerS));
    if (worst === undefined || peakN > worst.peakN) worst = { peakN, run };
  }
  return worst as Hardest;
}

interface Bounds {
  readonly acceleration: number;
  /** The speed that all the rope laid back would give. */
  readonly fastest: number;
}

/** The greatest speed whose two checks keep in order; a tension bounds each. */
function greatestSpeed(start: Moment, setup: RunUpSetup, { acceleration, fastest }: Bounds) {
  const { policy } = start.rig;
  const limits = tensionBounds(start);
  const factor = policy.runUp.greatestFactor.value;
  /** Above 0 where a speed is in order; what bounds it otherwise. */
  const room = (speed: number): { readonly left: number; readonly by: 'limit' | 'breaking' } => {
    const planned = limits.withinN / runAsPlanned(setup, speed, acceleration, 'first-peak').peakN - 1;
    const greatest = limits.breakingN / runAtGreatest(setup, speed, factor, 'first-peak').peakN - 1;
    return planned <= greatest ? { left: planned, by: 'limit' } : { left: greatest, by: 'breaking' };
  };
  if (!(fastest > SLOWEST_MPERS)) return { speed: undefined, boundBy: 'slack' as const };
  const most = room(fastest);
  if (most.left >= 0) return { speed: fastest, boundBy: 'slack' as const };
  const least = room(SLOWEST_MPERS);
  if (least.left < 0) return { speed: undefined, boundBy: 'no-speed' as const };
  let by = most.by;
  const speed = lastInOrder({ speed: SLOWEST_MPERS, left: least.left }, { speed: fastest, left: most.left }, (at) => {
    const here = room(at);
    by = here.by;
    return here.left;
  });
  return { speed, boundBy: by };
}

interface Bracket {
  readonly speed: number;
  readonly left: number;
}

/** The last speed in order between one that is and one that is not: false position, the end that stays halved, so that both come in. */
function lastInOrder(from: Bracket, to: Bracket, left: (speed: number) => number): number {
  let [low, high] = [from, to];
  let stayed = 0;
  for (let step = 0; step < SEARCH_STEPS && high.speed - low.speed > SPEED_TOLERANCE * high.speed; step++) {
    const share = Math.min(0.98, Math.max(0.02, low.left / (low.left - high.left)));
    const speed = low.speed + (high.speed - low.speed) * share;
    const here = { speed, left: left(speed) };
    if (here.left >= 0) {
      low = here;
      if (here.left < SPEED_TOLERANCE) break;
      if (stayed === 1) high = { ...high, left: high.left / 2 };
      stayed = 1;
    } else {
      high = here;
      if (stayed === -1) low = { ...low, left: low.left / 2 };
      stayed = -1;
    }
  }
  return low.speed;
}

/** The line tension that keeps every place within its working limit, and the one that keeps the greatest check's margin. */
function tensionBounds({ rig, places }: Moment): { readonly withinN: number; readonly breakingN: number } {
  const margin = rig.policy.runUp.breakingMargin.value;
  let [withinN, breakingN] = [Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY];
  for (const { index, kind } of rig.places) {
    const [per = Number.NaN, wllN = Number.NaN, mbsN = Number.NaN] = [places.perPullN[index], places.wllN[index], places.mbsN[index]];
    if (places.present[index] !== 1 || !(per > 0)) continue;
    if (wllN >= 0) withinN = Math.min(withinN, wllN / per);
    if (kind !== 'drum' && mbsN >= 0) breakingN = Math.min(breakingN, mbsN / (margin * per));
  }
  return { withinN, breakingN };
}

/** The rig under a peak tension: every load of the moment in proportion. */
function loaded(start: Moment, runUp: NonNullable<Moment['runUp']>): Moment {
  const { states } = start;
  const { plannedN: peakN, greatestN } = runUp;
  const at = (scale: number) => states.unit.map(({ balance }) => ({ balance, scale }));
  const planned = start.balances ? [{ balance: start.balances.hauling, scale: peakN }] : [];
  return momentWith({
    ...start,
    runUp,
    states: { unit: states.unit, planned, stands: planned, greatest: at(greatestN) },
    greatestPullN: greatestN,
  });
}

interface AttemptAt {
  readonly share: number;
  readonly speed: number;
  readonly acceleration: number;
  readonly proposed: number | undefined;
}

function attemptAt(start: Moment, setup: RunUpSetup, { share, speed, acceleration, proposed }: AttemptAt): Attempt {
  const { rig } = start;
  const planned = runAsPlanned(setup, speed, acceleration);
  const greatest = runAtGreatest(setup, speed, rig.policy.runUp.greatestFactor.value, 'first-peak');
  const moment = loaded(start, { plannedN: planned.peakN, greatestN: greatest.peakN, proposed: false });
  const judged = rig.places.filter(({ index, kind }) => kind !== 'drum' && moment.places.present[index] === 1);
  const highest = judged[worstIndex(judged.map((place) => utilisationAt(moment, place) || 0)) ?? -1];
  const weakest = judged[worstIndex(judged.map((place) => stopRatio(rig, place) / breakingRatioAt(moment, place) || 0)) ?? -1];
  const breaks = judged.filter(
    ({ index }) => (moment.places.plannedN[index] ?? 0) > (moment.places.mbsN[index] ?? Number.POSITIVE_INFINITY),
  )[0];
  const utilisation = highest && utilisationAt(moment, highest);
  const breaking = weakest && breakingRatioAt(moment, weakest);
  const within = proposed !== undefined && !exceeds(speed, proposed);
  return {
    share,
    speedMPerS: speed,
    slackM: slackForSpeedM(speed, acceleration),
    peakN: planned.peakN,
    greatestN: greatest.peakN,
    peakS: planned.run.peakS,
    freed: planned.run.freedS !== undefined,
    movedM: planned.run.movedM,
    utilisation,
    highest,
    breaking,
    weakest,
    breaks: breaks && { place: breaks, atS: breaksAtS(moment, breaks, setup, { speed, acceleration }) },
    verdict: verdictOf(moment, { utilisation, breaking, within, weakest, place: highest }),
  };
}

/** When the tension first reaches what a place breaks at, s from first tension; the peak's time where only the closed form gets there. */
function breaksAtS(
  moment: Moment,
  { index }: Place,
  setup: RunUpSetup,
  { speed, acceleration }: { readonly speed: number; readonly acceleration: number },
): number {
  const tensionN = (moment.places.mbsN[index] ?? 0) / (moment.places.perPullN[index] ?? 1);
  const driveN = plannedDriveN(setup, acceleration);
  const runs = setup.trains.map((train) =>
    runTwoBodies({ ...bodiesAt(setup, train, { speedMPerS: speed, driveN, stuckDrives: false }), historyS: 0.002, toFirstPeak: true }),
  );
  const times = runs.map(({ history, peakS }) => history.find((sample) => sample.tensionN >= tensionN)?.timeS ?? peakS);
  return Math.min(...times);
}

interface Strains {
  readonly utilisation: number | undefined;
  readonly breaking: number | undefined;
  /** It is no faster than what is proposed. */
  readonly within: boolean;
  readonly place: Place | undefined;
  readonly weakest: Place | undefined;
}

function verdictOf(
  { rig }: Moment,
  { utilisation = 0, breaking = Number.POSITIVE_INFINITY, within, weakest }: Strains,
): Attempt['verdict'] {
  const { limits } = rig.policy;
  if (exceeds(utilisation, 1) || (weakest && fallsShort(breaking, stopRatio(rig, weakest)))) return 'stop';
  const near = !within && exceeds(utilisation, limits.nearLimit.value);
  return near || fallsShort(breaking, limits.nearBreaking.value) ? 'watch' : 'clear';
}
