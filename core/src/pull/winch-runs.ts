import { drumOf } from '../moment/drives.ts';
import type { Moment } from '../moment/moment.ts';
import { ropePerTravel, type WinchWork } from '../moment/winch-work.ts';
import type { ResolvedRig } from '../resolved/resolved-rig.ts';
import { type BurstPlan, burstPlan, type MotorStretch, type WinchMotor } from '../winch/burst-plan.ts';
import { layerDiameterM } from '../winch/drum-layers.ts';
import type { Curves } from './act.ts';
import type { PullEvent } from './events/event.ts';

interface WinchRun {
  readonly work: WinchWork;
  readonly events: readonly PullEvent[];
}

/**
 * What each electric winch has to do over the whole way: bursts, rests, heat and charge from its tension at every step. Where the
 * start alone is known, the travel of `foretoldM` metres at the start's tension; undefined where nobody has said how far.
 */
export function winchRuns(start: Moment, curves: Curves, foretoldM: number | undefined): readonly WinchRun[] {
  return start.rig.winches.flatMap((drive): readonly WinchRun[] => {
    const state = start.drives[drive.index];
    const drum = drumOf(start, drive);
    if (state === undefined || drive.winch === undefined || drum.kind === 'no-winch' || start.plannedPullN === undefined) return [];
    const motor = motorOf(start.rig, drive.winch);
    if (motor === undefined) return [];
    if ('missing' in motor) return [{ work: { state, missing: motor.missing }, events: [] }];
    const path = curves.pathM[drive.line.index] ?? [];
    const stretchOf = (step: number, ropeM: number): MotorStretch => {
      const layer = curves.layers[drive.index]?.[step] ?? Number.NaN;
      const layerRatio = drum.kind === 'known' && layer > 0 ? layerDiameterM(drum.drum, layer) / layerDiameterM(drum.drum, 1) : 1;
      return { loadShare: curves.loadShares[drive.index]?.[step] || 0, layerRatio, ropeM };
    };
    // A pull that ends where no balance is found has no path at its last step.
    const known = path.filter(Number.isFinite);
    const stretches =
      foretoldM === undefined
        ? known.slice(1).map((lengthM, step) => stretchOf(step, Math.abs((known[step] ?? lengthM) - lengthM)))
        : [stretchOf(0, foretoldM * Math.abs(ropePerTravel(start) ?? 0))];
    const plan = burstPlan(motor.motor, stretches, start.rig.policy);
    const ropeM = stretches.reduce((sum, entry) => sum + entry.ropeM, 0);
    return [{ work: { state, plan, ropeM }, events: restsOf(plan, { curves, about: drive.use.use.id, name: drive.winch.tag }) }];
  });
}

type MotorFigures = { readonly motor: WinchMotor } | { readonly missing: readonly string[] };

/** What is on record of an electric winch's motor; undefined for one without. */
function motorOf({ rig }: ResolvedRig, { attributes }: NonNullable<ResolvedRig['winches'][number]['winch']>): MotorFigures | undefined {
  if (attributes.drive === 'hydraulic') return undefined;
  const { noLoadCurrentA, fullLoadCurrentA, noLoadSpeedMPerMin, fullLoadSpeedMPerMin, alternatorA, batteryAh } = attributes;
  if (
    noLoadCurrentA === undefined ||
    fullLoadCurrentA === undefined ||
    noLoadSpeedMPerMin === undefined ||
    fullLoadSpeedMPerMin === undefined
  ) {
    const missing = [
      noLoadCurrentA === undefined && 'current without load',
      fullLoadCurrentA === undefined && 'current at rated pull',
      noLoadSpeedMPerMin === undefined && 'line speed without load',
      fullLoadSpeedMPerMin === undefined && 'line speed at rated pull',
    ];
    return { missing: missing.filter((entry) => entry !== false) };
  }
  return {
    motor: {
      noLoadA: noLoadCurrentA,
      fullLoadA: fullLoadCurrentA,
      noLoadMPerS: noLoadSpeedMPerMin / 60,
      fullLoadMPerS: fullLoadSpeedMPerMin / 60,
      ...(alternatorA !== undefined && { alternatorA }),
      ...(batteryAh !== undefined && { batteryAh }),
      engineRunning: rig.engine?.running !== false,
    },
  };
}

interface RestsOf {
  readonly curves: Curves;
  readonly about: string;
  readonly name: string;
}

/** Rests beyond this are told no more one by one. */
const MOST_RESTS = 40;

function restsOf(plan: BurstPlan, { curves, about, name }: RestsOf): readonly PullEvent[] {
  if (plan.kind !== 'planned') return [];
  return plan.ends.slice(0, MOST_RESTS).map(({ stretch, share, restS, byHeat }, index) => {
    const [from, to] = [curves.travelM[stretch] ?? 0, curves.travelM[stretch + 1] ?? 0];
    return {
      kind: 'rest',
      atM: from + (to - from) * share,
      about,
      data: { name, count: index + 1, seconds: restS, hot: byHeat || undefined },
    };
  });
}
