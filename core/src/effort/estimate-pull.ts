import type { Policy } from '../policy/policy.ts';
import { STANDARD_GRAVITY } from '../quantity/units.ts';
import type { Situation } from '../rig/rig.ts';

export interface StuckVehicle {
  /** Mass with load, kg, above 0. */
  readonly massKg: number;
  /** Slope along the pull, rad, −π/4…π/4; uphill positive. */
  readonly slopeRad: number;
  readonly lengthM: number;
  readonly widthM: number;
  readonly situation: Situation;
}

export interface EffortTerm {
  readonly label: string;
  readonly pullN: number;
  readonly source?: string;
}

export type MethodId = 'fractions' | 'mire' | 'physics';

export interface MethodEstimate {
  readonly id: MethodId;
  readonly pullN: number;
  readonly terms: readonly EffortTerm[];
}

export interface Effort {
  readonly kind: 'estimated';
  readonly methods: readonly MethodEstimate[];
  readonly lowN: number;
  readonly medianN: number;
  readonly highN: number;
  readonly plannedN: number;
  readonly plannedBy: 'mire' | 'greatest-with-margin' | 'runs-by-itself';
  /** Some method finds that it runs by itself. */
  readonly runsByItself: boolean;
}

export type EffortOutcome =
  | Effort
  | { readonly kind: 'slope-out-of-range'; readonly slopeRad: number }
  | { readonly kind: 'ledge-too-high'; readonly heightM: number; readonly wheelRadiusM: number };

const STEEPEST = Math.PI / 4;

/**
 * The pull needed by three schools: share of weight by surface, multiples of weight by depth, and physics. Newtons.
 * Planned: the mire multiple where a depth is given, else the policy's margin × the greatest of the others.
 * Slopes beyond 45° and ledges as high as the wheel's radius are refused. Sources: the rows of the policy.
 */
export function estimatePull(vehicle: StuckVehicle, policy: Policy): EffortOutcome {
  const { ledge } = vehicle.situation;
  if (!(Math.abs(vehicle.slopeRad) <= STEEPEST * (1 + 1e-9))) return { kind: 'slope-out-of-range', slopeRad: vehicle.slopeRad };
  if (ledge && ledge.heightM >= ledge.wheelRadiusM)
    return { kind: 'ledge-too-high', heightM: ledge.heightM, wheelRadiusM: ledge.wheelRadiusM };
  const methods = [fractions(vehicle, policy), ...mire(vehicle, policy), physics(vehicle, policy)];
  const pulls = methods.map(({ pullN }) => pullN).sort((a, b) => a - b);
  const runsByItself = pulls.some((pull) => pull < 0);
  return {
    kind: 'estimated',
    methods,
    lowN: pulls[0] ?? 0,
    medianN: median(pulls),
    highN: pulls[pulls.length - 1] ?? 0,
    runsByItself,
    ...planned(methods, runsByItself, policy),
  };
}

function planned(methods: readonly MethodEstimate[], runsByItself: boolean, policy: Policy): Pick<Effort, 'plannedN' | 'plannedBy'> {
  const margin = policy.effort.planningMargin.value;
  if (runsByItself) return { plannedN: margin * Math.max(...methods.map(({ pullN }) => Math.abs(pullN))), plannedBy: 'runs-by-itself' };
  const byDepth = methods.find(({ id }) => id === 'mire');
  if (byDepth) return { plannedN: byDepth.pullN, plannedBy: 'mire' };
  return { plannedN: margin * Math.max(...methods.map(({ pullN }) => pullN)), plannedBy: 'greatest-with-margin' };
}

function median(sorted: readonly number[]): number {
  const middle = Math.floor(sorted.length / 2);
  const high = sorted[middle] ?? 0;
  return sorted.length % 2 === 1 ? high : (high + (sorted[middle - 1] ?? 0)) / 2;
}

const degrees = (rad: number) => (rad * 180) / Math.PI;
const lockedShare = ({ drivelineLocked, lockedShare: share }: Situation) => (drivelineLocked ? 1 : share);

function method(id: MethodId, terms: readonly (EffortTerm | undefined)[]): MethodEstimate {
  const kept = terms.filter((term) => term !== undefined && term.pullN !== 0) as readonly EffortTerm[];
  return { id, terms: kept, pullN: kept.reduce((total, { pullN }) => total + pullN, 0) };
}

function fractions(vehicle: StuckVehicle, policy: Policy): MethodEstimate {
  const { situation } = vehicle;
  const weightN = vehicle.massKg * STANDARD_GRAVITY;
  const locked = lockedShare(situation);
  const row = policy.effort.surfaceFraction[situation.surface];
  const cosine = Math.cos(vehicle.slopeRad);
  return method('fractions', [
    { label: 'Share of weight for the surface', pullN: weightN * row.value * (1 - locked), source: row.source },
    lockedTerm(vehicle, policy, cosine),
    thumbSlope(vehicle),
    turnedTerm(vehicle, policy),
    ledgeTerm(vehicle),
    trailerTerm(vehicle, policy, 'fractions'),
  ]);
}

function mire(vehicle: StuckVehicle, policy: Policy): readonly MethodEstimate[] {
  const { depth } = vehicle.situation;
  if (depth === 'none') return [];
  const row = policy.effort.mireMultiple[depth];
  return [
    method('mire', [
      { label: `Multiple of weight, stuck to the ${depth}`, pullN: vehicle.massKg * STANDARD_GRAVITY * row.value, source: row.source },
      thumbSlope(vehicle),
      ledgeTerm(vehicle),
      trailerTerm(vehicle, policy, 'mire'),
    ]),
  ];
}

function physics(vehicle: StuckVehicle, policy: Policy): MethodEstimate {
  const { situation, slopeRad } = vehicle;
  const weightN = vehicle.massKg * STANDARD_GRAVITY;
  const rolling = policy.effort.rollingResistance[situation.surface];
  const suction = policy.effort.suctionPa[situation.soil];
  return method('physics', [
    { label: 'Weight down the slope', pullN: weightN * Math.sin(slopeRad) },
    {
      label: 'Rolling resistance',
      pullN: weightN * rolling.value * Math.cos(slopeRad) * (1 - lockedShare(situation)),
      source: rolling.source,
    },
    lockedTerm(vehicle, policy, Math.cos(slopeRad)),
    { label: 'Suction', pullN: suction.value * contactAreaM2(vehicle, policy), source: suction.source },
    turnedTerm(vehicle, policy),
    ledgeTerm(vehicle),
    trailerTerm(vehicle, policy, 'physics'),
  ]);
}

/** Area held by the ground: 0.5 m² at the hubs, the belly at the sills, the whole plan at the roof line, unless measured. */
function contactAreaM2({ situation, lengthM, widthM }: StuckVehicle, policy: Policy): number {
  if (situation.depth === 'none') return 0;
  if (situation.contactAreaM2 !== undefined) return situation.contactAreaM2;
  if (situation.depth === 'hubs') return policy.effort.hubsContactM2.value;
  return situation.depth === 'sills' ? policy.effort.bellyShare.value * lengthM * widthM : lengthM * widthM;
}

function thumbSlope({ massKg, slopeRad }: StuckVehicle): EffortTerm {
  return { label: 'Slope, one sixtieth of weight a degree', pullN: (massKg * STANDARD_GRAVITY * degrees(slopeRad)) / 60 };
}

function lockedTerm({ massKg, situation }: StuckVehicle, policy: Policy, cosine: number): EffortTerm {
  const row = policy.effort.lockedWheelFriction[situation.surface];
  return {
    label: 'Wheels that do not turn',
    pullN: row.value * massKg * STANDARD_GRAVITY * lockedShare(situation) * cosine,
    source: row.source,
  };
}

function turnedTerm({ massKg, situation }: StuckVehicle, policy: Policy): EffortTerm | undefined {
  if (!situation.wheelsTurned) return undefined;
  const row = policy.effort.turnedWheels;
  return { label: 'Front wheels turned', pullN: row.value * massKg * STANDARD_GRAVITY, source: row.source };
}

/** W_axle·√(2h/r − (h/r)²)/(1 − h/r): a wheel of radius r lifted over an edge of height h < r by a level pull at its axle. */
function ledgeTerm({ massKg, situation }: StuckVehicle): EffortTerm | undefined {
  const { ledge } = situation;
  if (!ledge) return undefined;
  const q = ledge.heightM / ledge.wheelRadiusM;
  const axleN = massKg * STANDARD_GRAVITY * ledge.axleShare;
  return { label: 'Ledge in front of the wheels', pullN: (axleN * Math.sqrt(2 * q - q * q)) / (1 - q) };
}

/** The trailer by the same method, with its own mass and depth and its wheels free. */
function trailerTerm(vehicle: StuckVehicle, policy: Policy, id: MethodId): EffortTerm | undefined {
  const { trailer, ...towing } = vehicle.situation;
  if (!trailer) return undefined;
  const { ledge: _ledge, ...bare } = towing;
  const situation: Situation = {
    ...bare,
    depth: trailer.depth,
    contactAreaM2: Math.max(trailer.contactAreaM2, 1e-9),
    lockedShare: 0,
    drivelineLocked: false,
    wheelsTurned: false,
  };
  const own: StuckVehicle = { ...vehicle, massKg: trailer.massKg, situation };
  const estimate =
    id === 'mire' ? (mire(own, policy)[0] ?? fractions(own, policy)) : id === 'fractions' ? fractions(own, policy) : physics(own, policy);
  return { label: 'Trailer', pullN: estimate.pullN };
}
