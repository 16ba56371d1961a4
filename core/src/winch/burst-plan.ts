import type { Policy } from '../policy/policy.ts';

/** An electric winch and what feeds it. Currents in amperes, speeds in metres a second on the first layer. */
export interface WinchMotor {
  readonly noLoadA: number;
  readonly fullLoadA: number;
  readonly noLoadMPerS: number;
  readonly fullLoadMPerS: number;
  /** Alternator's nameplate current and battery's capacity; missing where not known. */
  readonly alternatorA?: number;
  readonly batteryAh?: number;
  readonly engineRunning: boolean;
}

/** A stretch of a pull under one load. */
export interface MotorStretch {
  /** Line pull ÷ rated pull on the working layer, 0 or more. */
  readonly loadShare: number;
  /** Mean diameter of the working layer ÷ that of the first, 1 or more. */
  readonly layerRatio: number;
  /** Rope to be hauled, metres, 0 or more. */
  readonly ropeM: number;
}

/** Where a burst ends, and how. */
export interface BurstEnd {
  /** Which stretch it ends in, and the share of it that is hauled by then, 0…1. */
  readonly stretch: number;
  readonly share: number;
  readonly atS: number;
  readonly byHeat: boolean;
  readonly restS: number;
}

/** How the motor stands at one instant of the pull. */
export interface MotorAt {
  /** Which stretch is being hauled, and the share of it that is hauled by then, 0…1. */
  readonly stretch: number;
  readonly share: number;
  readonly clockS: number;
  readonly heatC: number;
  /** Missing where the battery is not known. */
  readonly chargeShare?: number;
  /** Whether a rest ends here. */
  readonly rested?: true;
}

export type BurstPlan =
  | {
      readonly kind: 'planned';
      readonly bursts: number;
      readonly minutes: number;
      /** The first burst, s; shorter than the policy's where heat ends it. */
      readonly firstBurstS: number;
      readonly endedByHeat: boolean;
      readonly currentA: number;
      readonly speedMPerS: number;
      /** Line pull ÷ rated pull where it is hardest. */
      readonly loadShare: number;
      readonly hottestC: number;
      /** Every burst but the last. */
      readonly ends: readonly BurstEnd[];
      /** The motor at the end of every stretch, burst and rest, in order; it begins cold and at rest. */
      readonly trace: readonly MotorAt[];
      /** Lowest charge of the battery as a share of its capacity; missing where the battery is not known. */
      readonly lowestChargeShare?: number;
    }
  /** At this load the line does not move. */
  | { readonly kind: 'stalled'; readonly currentA: number; readonly loadShare: number }
  /** More bursts than anybody would pull. */
  | { readonly kind: 'endless'; readonly currentA: number; readonly loadShare: number };

/** Bursts beyond which a plan is no plan. */
const MOST_BURSTS = 400;

/**
 * Bursts, minutes, heat and charge of a pull, stretch by stretch. Current I = I₀ + (I_F − I₀)·τ; line speed
 * v = (v₀ − (v₀ − v_F)·τ)·D_n/D₁, never below 0. Heat by C·dϑ/dt = I²R − (ϑ − ϑ_amb)/R_th, whose exact solution is used:
 * ϑ = ϑ_∞ + (ϑ₀ − ϑ_∞)·e^(−t/(R_th·C)). A burst ends at the policy's time or at the hottest temperature, a rest after the
 * policy's time and below the restart temperature. Charge: ∫(I − I_alt)dt, I_alt a share of the nameplate, none with the
 * engine off, never above capacity or below nothing. Current and speed told are those of the hardest stretch. Defaults by the
 * policy; the maker's duty figures win.
 */
export function burstPlan(winch: WinchMotor, stretches: readonly MotorStretch[], { electric }: Policy): BurstPlan {
  const legs = stretches.map((stretch): Leg => {
    const currentA = winch.noLoadA + (winch.fullLoadA - winch.noLoadA) * stretch.loadShare;
    const speed = Math.max(0, winch.noLoadMPerS - (winch.noLoadMPerS - winch.fullLoadMPerS) * stretch.loadShare) * stretch.layerRatio;
    const workingC = electric.ambientC.value + currentA * currentA * electric.windingOhm.value * electric.thermalResistanceKPerW.value;
    return { currentA, speed, workingC, seconds: stretch.ropeM / speed, loadShare: stretch.loadShare };
  });
  const hardest = legs.reduce<Leg | undefined>(
    (worst, leg) => (worst === undefined || leg.currentA > worst.currentA ? leg : worst),
    undefined,
  );
  const currentA = hardest?.currentA ?? winch.noLoadA;
  const loadShare = hardest?.loadShare ?? 0;
  if (legs.some(({ speed }) => !(speed > 0))) return { kind: 'stalled', currentA, loadShare };
  const motor: Motor = {
    timeConstantS: electric.thermalResistanceKPerW.value * electric.heatCapacityJPerK.value,
    ambientC: electric.ambientC.value,
    alternatorA: winch.engineRunning ? (winch.alternatorA ?? 0) * electric.alternatorIdleShare.value : 0,
    capacityAh: winch.batteryAh ?? 0,
  };
  const run = pullInBursts(motor, legs, electric);
  if (run === undefined) return { kind: 'endless', currentA, loadShare };
  const { lowestAh, trace, ...figures } = run;
  const { batteryAh } = winch;
  const charge = batteryAh === undefined ? {} : { lowestChargeShare: lowestAh / batteryAh };
  return {
    kind: 'planned',
    currentA,
    loadShare,
    speedMPerS: hardest?.speed ?? winch.noLoadMPerS,
    ...figures,
    trace: trace.map((at) => motorAt(at, batteryAh)),
    ...charge,
  };
}

const motorAt = ({ state, stretch, share, rested }: Traced, batteryAh: number | undefined): MotorAt => ({
  stretch,
  share,
  clockS: state.clockS,
  heatC: state.heatC,
  ...(batteryAh !== undefined && { chargeShare: state.chargeAh / batteryAh }),
  ...(rested && { rested }),
});

/** A stretch as the motor sees it. */
interface Leg {
  readonly currentA: number;
  readonly speed: number;
  /** Where the temperature would end if it ran for ever. */
  readonly workingC: number;
  readonly seconds: number;
  readonly loadShare: number;
}

/** A pull as it goes on, changed in place. */
interface Hauling {
  state: Running;
  bursts: number;
  /** Seconds of the burst at hand; 0 while it rests. */
  burstS: number;
  firstBurstS: number;
  endedByHeat: boolean;
  hottestC: number;
  lowestAh: number;
  readonly ends: BurstEnd[];
  readonly trace: Traced[];
}

interface Traced extends Pick<MotorAt, 'stretch' | 'share' | 'rested'> {
  readonly state: Running;
}

/** Bursts and rests until the rope is hauled; undefined where there would be no end. */
function pullInBursts(motor: Motor, legs: readonly Leg[], electric: Policy['electric']) {
  const state: Running = { clockS: 0, heatC: motor.ambientC, chargeAh: motor.capacityAh * electric.startChargeShare.value };
  const hauling: Hauling = {
    state,
    bursts: 0,
    burstS: 0,
    firstBurstS: 0,
    endedByHeat: false,
    hottestC: state.heatC,
    lowestAh: state.chargeAh,
    ends: [],
    trace: [],
  };
  const whole = legs.reduce((sum, { seconds }) => sum + seconds, 0);
  let doneS = 0;
  for (const [stretch, leg] of legs.entries()) {
    let leftS = leg.seconds;
    while (leftS > whole * 1e-12) {
      const ran = runOn(hauling, { motor, leg, leftS, electric });
      if (ran === undefined) return undefined;
      leftS -= ran.seconds;
      doneS += ran.seconds;
      hauling.trace.push({ state: hauling.state, stretch, share: 1 - leftS / leg.seconds });
      if (ran.over && doneS < whole * (1 - 1e-9))
        rest(hauling, { motor, electric, stretch, share: 1 - leftS / leg.seconds, byHeat: ran.byHeat });
    }
  }
  const { state: last, ...figures } = hauling;
  return {
    bursts: figures.bursts,
    minutes: last.clockS / 60,
    firstBurstS: figures.firstBurstS,
    endedByHeat: figures.endedByHeat,
    hottestC: figures.hottestC,
    ends: figures.ends,
    trace: figures.trace,
    lowestAh: figures.lowestAh,
  };
}

interface RunOn {
  readonly motor: Motor;
  readonly leg: Leg;
  readonly leftS: number;
  readonly electric: Policy['electric'];
}

/** Runs on to the end of the stretch or of the burst, whichever comes first; undefined where the motor cannot run at all. */
function runOn(hauling: Hauling, { motor, leg, leftS, electric }: RunOn) {
  if (hauling.burstS === 0) hauling.bursts++;
  const heatS = secondsToHottest(motor, leg, hauling.state.heatC, electric);
  const seconds = Math.min(leftS, electric.burstS.value - hauling.burstS, heatS);
  if (hauling.bursts > MOST_BURSTS || (hauling.burstS === 0 && !(seconds > 0))) return undefined;
  hauling.state = ran(motor, hauling.state, leg, seconds);
  hauling.burstS += seconds;
  hauling.hottestC = Math.max(hauling.hottestC, hauling.state.heatC);
  hauling.lowestAh = Math.min(hauling.lowestAh, hauling.state.chargeAh);
  if (hauling.bursts === 1) hauling.firstBurstS = hauling.burstS;
  const byHeat = seconds === heatS;
  return { seconds, byHeat, over: byHeat || hauling.burstS >= electric.burstS.value * (1 - 1e-12) };
}

interface Rest extends Pick<BurstEnd, 'stretch' | 'share' | 'byHeat'> {
  readonly motor: Motor;
  readonly electric: Policy['electric'];
}

function rest(hauling: Hauling, { motor, electric, stretch, share, byHeat }: Rest): void {
  const { clockS } = hauling.state;
  if (hauling.bursts === 1) hauling.endedByHeat = byHeat;
  hauling.state = rested(motor, hauling.state, electric);
  hauling.trace.push({ state: hauling.state, stretch, share, rested: true });
  hauling.ends.push({ stretch, share, atS: clockS, byHeat, restS: hauling.state.clockS - clockS });
  hauling.burstS = 0;
}

interface Motor {
  readonly timeConstantS: number;
  readonly ambientC: number;
  readonly alternatorA: number;
  readonly capacityAh: number;
}

interface Running {
  readonly clockS: number;
  readonly heatC: number;
  readonly chargeAh: number;
}

/** Temperature after a time towards an end temperature. */
export function heatAfter(fromC: number, towardsC: number, seconds: number, timeConstantS: number): number {
  return towardsC + (fromC - towardsC) * Math.exp(-seconds / timeConstantS);
}

/** Time until a temperature on the way to another is reached; infinite where it never is. */
function secondsUntil(fromC: number, towardsC: number, untilC: number, timeConstantS: number): number {
  const share = (towardsC - untilC) / (towardsC - fromC);
  return share > 0 && share < 1 ? -timeConstantS * Math.log(share) : Number.POSITIVE_INFINITY;
}

function secondsToHottest({ timeConstantS }: Motor, { workingC }: Leg, heatC: number, { hottestC }: Policy['electric']): number {
  if (!(workingC > hottestC.value)) return Number.POSITIVE_INFINITY;
  return heatC >= hottestC.value ? 0 : secondsUntil(heatC, workingC, hottestC.value, timeConstantS);
}

function ran(motor: Motor, state: Running, { workingC, currentA }: Leg, seconds: number): Running {
  return {
    clockS: state.clockS + seconds,
    heatC: heatAfter(state.heatC, workingC, seconds, motor.timeConstantS),
    chargeAh: charged(state.chargeAh, ((motor.alternatorA - currentA) * seconds) / 3600, motor.capacityAh),
  };
}

function rested(motor: Motor, state: Running, { restartC, restS }: Policy['electric']): Running {
  const { ambientC, timeConstantS } = motor;
  const cooledS = state.heatC > restartC.value ? secondsUntil(state.heatC, ambientC, restartC.value, timeConstantS) : 0;
  const seconds = Math.max(restS.value, Number.isFinite(cooledS) ? cooledS : restS.value);
  return {
    clockS: state.clockS + seconds,
    heatC: heatAfter(state.heatC, ambientC, seconds, timeConstantS),
    chargeAh: charged(state.chargeAh, (motor.alternatorA * seconds) / 3600, motor.capacityAh),
  };
}

const charged = (chargeAh: number, byAh: number, capacityAh: number) => Math.min(capacityAh, Math.max(0, chargeAh + byAh));
