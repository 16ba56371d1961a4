import type { Policy } from '../policy/policy.ts';

/** An electric winch under a steady load. Currents in amperes, speeds in metres a second on the first layer. */
export interface MotorLoad {
  readonly noLoadA: number;
  readonly fullLoadA: number;
  readonly noLoadMPerS: number;
  readonly fullLoadMPerS: number;
  /** Line pull ÷ rated pull on the working layer, 0 or more. */
  readonly loadShare: number;
  /** Mean diameter of the working layer ÷ that of the first, 1 or more. */
  readonly layerRatio: number;
  /** Rope to be hauled, metres. */
  readonly ropeM: number;
  /** Alternator's nameplate current and battery's capacity; missing where not known. */
  readonly alternatorA?: number;
  readonly batteryAh?: number;
  readonly engineRunning: boolean;
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
      readonly hottestC: number;
      /** Lowest charge of the battery as a share of its capacity; missing where the battery is not known. */
      readonly lowestChargeShare?: number;
    }
  /** At this load the line does not move. */
  | { readonly kind: 'stalled'; readonly currentA: number }
  /** More bursts than anybody would pull. */
  | { readonly kind: 'endless'; readonly currentA: number };

/** Bursts beyond which a plan is no plan. */
const MOST_BURSTS = 400;

/**
 * Bursts, minutes, heat and charge of a pull under a steady load. Current I = I₀ + (I_F − I₀)·τ; line speed
 * v = (v₀ − (v₀ − v_F)·τ)·D_n/D₁, never below 0. Heat by C·dϑ/dt = I²R − (ϑ − ϑ_amb)/R_th, whose exact solution is used:
 * ϑ = ϑ_∞ + (ϑ₀ − ϑ_∞)·e^(−t/(R_th·C)). A burst ends at the policy's time or at the hottest temperature, a rest after the
 * policy's time and below the restart temperature. Charge: ∫(I − I_alt)dt, I_alt a share of the nameplate, none with the
 * engine off, never above capacity or below nothing. Defaults by the policy; the maker's duty figures win.
 */
export function burstPlan(load: MotorLoad, { electric }: Policy): BurstPlan {
  const currentA = load.noLoadA + (load.fullLoadA - load.noLoadA) * load.loadShare;
  const speed = Math.max(0, load.noLoadMPerS - (load.noLoadMPerS - load.fullLoadMPerS) * load.loadShare) * load.layerRatio;
  if (!(speed > 0)) return { kind: 'stalled', currentA };
  const motor: Motor = {
    timeConstantS: electric.thermalResistanceKPerW.value * electric.heatCapacityJPerK.value,
    workingC: electric.ambientC.value + currentA * currentA * electric.windingOhm.value * electric.thermalResistanceKPerW.value,
    ambientC: electric.ambientC.value,
  };
  const alternatorA = load.engineRunning ? (load.alternatorA ?? 0) * electric.alternatorIdleShare.value : 0;
  const draw: Draw = { motorA: currentA, alternatorA, capacityAh: load.batteryAh ?? 0 };
  const run = pullInBursts(motor, draw, load.ropeM / speed, electric);
  if (run === undefined) return { kind: 'endless', currentA };
  const { lowestAh, ...figures } = run;
  const charge = load.batteryAh === undefined ? {} : { lowestChargeShare: lowestAh / load.batteryAh };
  return { kind: 'planned', currentA, speedMPerS: speed, ...figures, ...charge };
}

/** Bursts and rests until the rope is hauled; undefined where there would be no end. */
function pullInBursts(motor: Motor, draw: Draw, wholeS: number, electric: Policy['electric']) {
  const done = wholeS * (1 - 1e-9);
  let state: Running = { hauledS: 0, clockS: 0, heatC: motor.ambientC, chargeAh: draw.capacityAh * electric.startChargeShare.value };
  let [bursts, hottestC, lowestAh, firstBurstS] = [0, state.heatC, state.chargeAh, 0];
  let endedByHeat = false;
  while (state.hauledS < done) {
    const burst = burstFrom(motor, state.heatC, electric);
    if (bursts >= MOST_BURSTS || !(burst.seconds > 0)) return undefined;
    const seconds = Math.min(burst.seconds, wholeS - state.hauledS);
    if (bursts === 0) firstBurstS = seconds;
    if (bursts === 0) endedByHeat = burst.byHeat && seconds === burst.seconds;
    const after = ran(motor, state, seconds, draw);
    bursts++;
    hottestC = Math.max(hottestC, after.heatC);
    lowestAh = Math.min(lowestAh, after.chargeAh);
    state = after.hauledS < done ? rested(motor, after, draw, electric) : after;
  }
  return { bursts, minutes: state.clockS / 60, firstBurstS, endedByHeat, hottestC, lowestAh };
}

interface Motor {
  readonly timeConstantS: number;
  /** Where the temperature would end if it ran for ever. */
  readonly workingC: number;
  readonly ambientC: number;
}

interface Running {
  readonly hauledS: number;
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

function burstFrom({ workingC, timeConstantS }: Motor, heatC: number, electric: Policy['electric']) {
  const byHeatS =
    workingC > electric.hottestC.value ? secondsUntil(heatC, workingC, electric.hottestC.value, timeConstantS) : Number.POSITIVE_INFINITY;
  return byHeatS < electric.burstS.value ? { seconds: byHeatS, byHeat: true } : { seconds: electric.burstS.value, byHeat: false };
}

interface Draw {
  readonly motorA: number;
  readonly alternatorA: number;
  readonly capacityAh: number;
}

function ran({ workingC, timeConstantS }: Motor, state: Running, seconds: number, { motorA, alternatorA, capacityAh }: Draw): Running {
  return {
    hauledS: state.hauledS + seconds,
    clockS: state.clockS + seconds,
    heatC: heatAfter(state.heatC, workingC, seconds, timeConstantS),
    chargeAh: charged(state.chargeAh, ((alternatorA - motorA) * seconds) / 3600, capacityAh),
  };
}

function rested(
  { ambientC, timeConstantS }: Motor,
  state: Running,
  { alternatorA, capacityAh }: Draw,
  { restartC, restS }: Policy['electric'],
): Running {
  const cooledS = state.heatC > restartC.value ? secondsUntil(state.heatC, ambientC, restartC.value, timeConstantS) : 0;
  const seconds = Math.max(restS.value, Number.isFinite(cooledS) ? cooledS : restS.value);
  return {
    ...state,
    clockS: state.clockS + seconds,
    heatC: heatAfter(state.heatC, ambientC, seconds, timeConstantS),
    chargeAh: charged(state.chargeAh, (alternatorA * seconds) / 3600, capacityAh),
  };
}

const charged = (chargeAh: number, byAh: number, capacityAh: number) => Math.min(capacityAh, Math.max(0, chargeAh + byAh));
