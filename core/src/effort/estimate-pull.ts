import { isFigureOf } from '../policy/adopted-figures.ts';
import type { Policy } from '../policy/policy.ts';
import { STANDARD_GRAVITY } from '../quantity/units.ts';
import type { Situation } from './situation.ts';

export interface StuckVehicle {
  /** The machine's name, as its body in the rig has it: figures of the team's own are by machine. */
  readonly label?: string;
  /** Mass with load, kg, above 0. */
  readonly massKg: number;
  /** Slope along the pull, rad, −π/4…π/4; uphill positive. */
  readonly slopeRad: number;
  readonly lengthM: number;
  readonly widthM: number;
  readonly situation: Situation;
}

/** One factor of a term: its value in SI, and its unit where it has one that a reader knows. */
export interface EffortFactor {
  readonly label: string;
  readonly value: number;
  readonly unit?: 'N';
}

/** One part of a pull: the product of its factors, newtons. */
export interface EffortTerm {
  readonly label: string;
  readonly pullN: number;
  readonly source?: string;
  readonly factors: readonly EffortFactor[];
}

export type MethodId = 'own-figure' | 'fractions' | 'mire' | 'physics' | 'dragging' | 'righting' | 'spooling';

export const methodWords: { readonly [K in MethodId]: string } = {
  'own-figure': 'By the team’s own pulls',
  fractions: 'By share of weight',
  mire: 'By depth',
  physics: 'By physics',
  dragging: 'Dragging',
  righting: 'Setting upright',
  spooling: 'Spooling under tension',
};

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
  readonly plannedBy: 'own-figure' | 'mire' | 'greatest-with-margin' | 'one-with-margin' | 'runs-by-itself' | 'holds-back' | 'spooling';
  /** Some method finds that it runs by itself. */
  readonly runsByItself: boolean;
}

export type EffortOutcome =
  | Effort
  | { readonly kind: 'slope-out-of-range'; readonly slopeRad: number }
  | { readonly kind: 'ledge-too-high'; readonly heightM: number; readonly wheelRadiusM: number };

/** Whether the rig pulls its load along or holds it back. */
export type Held = 'pulled' | 'held-back';

const STEEPEST = Math.PI / 4;

/**
 * The pull needed by the schools that apply: share of weight by surface where it rolls, multiples of weight where it is stuck to a depth,
 * and physics. Newtons.
 * Planned: a figure of the team's own in place of the method, where it adopted one for the machine, ground and depth; else the mire
 * multiple where a depth is given, else the policy's margin × the greatest of the others. A load that is held
 * back is planned with the margin × the most by which it runs, 0 where it does not run.
 * Slopes beyond 45° and ledges as high as the wheel's radius are refused. Sources: the rows of the policy.
 */
export function estimatePull(vehicle: StuckVehicle, policy: Policy, held: Held = 'pulled'): EffortOutcome {
  const { ledge } = vehicle.situation;
  if (!(Math.abs(vehicle.slopeRad) <= STEEPEST * (1 + 1e-9))) return { kind: 'slope-out-of-range', slopeRad: vehicle.slopeRad };
  if (ledge && ledge.heightM >= ledge.wheelRadiusM)
    return { kind: 'ledge-too-high', heightM: ledge.heightM, wheelRadiusM: ledge.wheelRadiusM };
  // Stuck to a depth, shares of weight by surface say nothing any more.
  const stuck = vehicle.situation.depth !== 'none';
  const methods = [
    ...(held === 'pulled' ? ownMethod(vehicle, policy) : []),
    ...(stuck ? mire(vehicle, policy) : [fractions(vehicle, policy)]),
    physics(vehicle, policy),
  ];
  return planOf(methods, { policy, held, withMargin: !stuck });
}

/** Low, median, high and planned pull of a set of methods; at least one. */
export function estimateOf(methods: readonly MethodEstimate[], policy: Policy, held: Held = 'pulled'): Effort {
  return planOf(methods, { policy, held, withMargin: true });
}

interface Planning {
  readonly policy: Policy;
  readonly held: Held;
  /** Whether what rolls is planned, with the margin on top. */
  readonly withMargin: boolean;
}

function planOf(methods: readonly MethodEstimate[], planning: Planning): Effort {
  const pulls = methods.map(({ pullN }) => pullN).sort((a, b) => a - b);
  const runsByItself = pulls.some((pull) => pull < 0);
  return {
    kind: 'estimated',
    methods,
    lowN: pulls[0] ?? 0,
    medianN: median(pulls),
    highN: pulls[pulls.length - 1] ?? 0,
    runsByItself,
    ...(planning.held === 'held-back' ? heldBack(methods, planning.policy) : planned(methods, runsByItself, planning)),
  };
}

/** What holds a load back is planned for what runs by itself, by the method that finds most; 0 where it runs by none. */
function heldBack(methods: readonly MethodEstimate[], policy: Policy): Pick<Effort, 'plannedN' | 'plannedBy'> {
  const most = Math.max(0, ...methods.map(({ pullN }) => -pullN));
  return { plannedN: policy.effort.planningMargin.value * most, plannedBy: 'holds-back' };
}

function planned(
  methods: readonly MethodEstimate[],
  runsByItself: boolean,
  { policy, withMargin }: Planning,
): Pick<Effort, 'plannedN' | 'plannedBy'> {
  const margin = policy.effort.planningMargin.value;
  if (runsByItself) return { plannedN: margin * Math.max(...methods.map(({ pullN }) => Math.abs(pullN))), plannedBy: 'runs-by-itself' };
  const own = methods.find(({ id }) => id === 'own-figure');
  if (own) return { plannedN: (withMargin ? margin : 1) * own.pullN, plannedBy: 'own-figure' };
  const byDepth = methods.find(({ id }) => id === 'mire');
  if (byDepth) return { plannedN: byDepth.pullN, plannedBy: 'mire' };
  const chosen = methods.find(({ id }) => id === policy.schools.estimate);
  if (chosen) return { plannedN: margin * chosen.pullN, plannedBy: 'one-with-margin' };
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

/** A term as the product of its factors. */
function term(label: string, factors: readonly EffortFactor[], source?: string): EffortTerm {
  const pullN = factors.reduce((product, { value }) => product * value, 1);
  return { label, pullN, factors, ...(source !== undefined && { source }) };
}

const weightOf = (massKg: number): EffortFactor => ({ label: 'weight', value: massKg * STANDARD_GRAVITY, unit: 'N' });
const freeShare = (situation: Situation): readonly EffortFactor[] => {
  const locked = lockedShare(situation);
  return locked === 0 ? [] : [{ label: '× share on free wheels', value: 1 - locked }];
};
const cosineOf = (slopeRad: number): EffortFactor => ({ label: '× cosine of the slope', value: Math.cos(slopeRad) });

/**
 * The figure that the team adopted for this machine on this ground and to this depth, in place of the method's own share or multiple of
 * weight; what the method adds to it is added. A way downhill takes nothing off: the pulls behind the figure may have gone downhill too.
 */
function ownMethod(vehicle: StuckVehicle, policy: Policy): readonly MethodEstimate[] {
  const { label: machine, massKg, situation, slopeRad } = vehicle;
  const { surface, depth } = situation;
  const own = machine === undefined ? undefined : policy.ownFigures.find((each) => isFigureOf(each, { surface, depth, machine }));
  if (!own) return [];
  const days = own.pulls.map(({ on }) => on).sort();
  const source = `${own.pulls.length} measured pulls, ${days[0]} to ${days.at(-1)}`;
  return [
    method('own-figure', [
      term('Share of weight by the team’s own pulls', [weightOf(massKg), { label: '× share', value: own.share }], source),
      ...(depth === 'none' ? [lockedTerm(vehicle, policy), turnedTerm(vehicle, policy)] : []),
      slopeRad > 0 ? thumbSlope(vehicle) : undefined,
      ledgeTerm(vehicle),
      trailerTerm(vehicle, policy, depth === 'none' ? 'fractions' : 'mire'),
    ]),
  ];
}

function fractions(vehicle: StuckVehicle, policy: Policy): MethodEstimate {
  const { situation, massKg } = vehicle;
  const row = policy.effort.surfaceFraction[situation.surface];
  return method('fractions', [
    term(
      'Share of weight for the surface',
      [weightOf(massKg), { label: '× share', value: row.value }, ...freeShare(situation)],
      row.source,
    ),
    lockedTerm(vehicle, policy),
    thumbSlope(vehicle),
    turnedTerm(vehicle, policy),
    ledgeTerm(vehicle),
    trailerTerm(vehicle, policy, 'fractions'),
  ]);
}

function mire(vehicle: StuckVehicle, policy: Policy): readonly MethodEstimate[] {
  const { depth, airedDown, surface } = vehicle.situation;
  if (depth === 'none') return [];
  const row = policy.effort.mireMultiple[depth];
  const aired = policy.effort.airedDown;
  const softer = airedDown && airsOutOf(surface) ? [{ label: '× tyres let down (a guess)', value: aired.value }] : [];
  return [
    method('mire', [
      term(
        `Multiple of weight, stuck to the ${depth}`,
        [weightOf(vehicle.massKg), { label: '× multiple', value: row.value }, ...softer],
        row.source,
      ),
      thumbSlope(vehicle),
      ledgeTerm(vehicle),
      trailerTerm(vehicle, policy, 'mire'),
    ]),
  ];
}

/** Where letting the tyres down takes something off what a stuck vehicle needs: in sand and shallow mud. */
export const airsOutOf = (surface: Situation['surface']): boolean =>
  surface === 'soft-dry-sand' || surface === 'wet-hard-sand' || surface === 'shallow-mud';

function physics(vehicle: StuckVehicle, policy: Policy): MethodEstimate {
  const { situation, slopeRad, massKg } = vehicle;
  const rolling = policy.effort.rollingResistance[situation.surface];
  const suction = policy.effort.suctionPa[situation.soil];
  return method('physics', [
    term('Weight down the slope', [weightOf(massKg), { label: '× sine of the slope', value: Math.sin(slopeRad) }]),
    term(
      'Rolling resistance',
      [weightOf(massKg), { label: '× rolling resistance', value: rolling.value }, cosineOf(slopeRad), ...freeShare(situation)],
      rolling.source,
    ),
    lockedTerm(vehicle, policy),
    term(
      'Suction',
      [
        { label: 'suction, Pa', value: suction.value },
        { label: '× area held, m²', value: contactAreaM2(vehicle, policy) },
      ],
      suction.source,
    ),
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
  return term('Slope, one sixtieth of weight a degree', [weightOf(massKg), { label: '× degrees ÷ 60', value: degrees(slopeRad) / 60 }]);
}

function lockedTerm({ massKg, situation, slopeRad }: StuckVehicle, policy: Policy): EffortTerm {
  const row = policy.effort.lockedWheelFriction[situation.surface];
  const share = { label: '× share on wheels that do not turn', value: lockedShare(situation) };
  return term(
    'Wheels that do not turn',
    [weightOf(massKg), { label: '× friction', value: row.value }, share, cosineOf(slopeRad)],
    row.source,
  );
}

function turnedTerm({ massKg, situation }: StuckVehicle, policy: Policy): EffortTerm | undefined {
  if (!situation.wheelsTurned) return undefined;
  const row = policy.effort.turnedWheels;
  return term('Front wheels turned', [weightOf(massKg), { label: '× share', value: row.value }], row.source);
}

/** W_axle·√(2h/r − (h/r)²)/(1 − h/r): a wheel of radius r lifted over an edge of height h < r by a level pull at its axle. */
function ledgeTerm({ massKg, situation }: StuckVehicle): EffortTerm | undefined {
  const { ledge } = situation;
  if (!ledge) return undefined;
  const q = ledge.heightM / ledge.wheelRadiusM;
  return term('Ledge in front of the wheels', [
    weightOf(massKg),
    { label: '× share on the axle', value: ledge.axleShare },
    { label: '× √(2q − q²) ÷ (1 − q), q height by radius', value: Math.sqrt(2 * q - q * q) / (1 - q) },
  ]);
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
  // A trailer that is stuck itself has no share by surface either.
  const estimate = id === 'physics' ? physics(own, policy) : (mire(own, policy)[0] ?? fractions(own, policy));
  return term('Trailer', [{ label: 'its own pull by the same method', value: estimate.pullN, unit: 'N' }]);
}
