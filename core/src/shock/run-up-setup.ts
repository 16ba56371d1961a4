import type { GearFacts } from '../gear/gear-facts.ts';
import { inLineLengthM, ropeLawOf } from '../gear/traits.ts';
import { frictionUnder, rollingUnder } from '../hold/footing.ts';
import type { Moment } from '../moment/moment.ts';
import type { Policy } from '../policy/policy.ts';
import { STANDARD_GRAVITY } from '../quantity/units.ts';
import type { ResolvedDrive, ResolvedUse } from '../resolved/parts.ts';
import type { ResolvedRig } from '../resolved/resolved-rig.ts';
import type { VehicleBody } from '../rig/rig.ts';
import { slopeAlong } from '../statics/ground.ts';
import { subtract, vec3 } from '../statics/vec3.ts';
import type { RopeTrain, TrainRope } from './rope-train.ts';

export type TowDrive = Extract<ResolvedDrive, { kind: 'tow' }>;

/** The tow of a rig that is made with a run-up, if it is one. */
export const runUpDrive = ({ drives }: Pick<ResolvedRig, 'drives'>): TowDrive | undefined =>
  drives.find(
    (drive): drive is TowDrive => drive.kind === 'tow' && drive.line.line.drive.kind === 'tow' && drive.line.line.drive.manner === 'run-up',
  );

/** Everything that a run-up is reckoned from; newtons, metres, kilograms, all along the line. */
export interface RunUpSetup {
  readonly drive: TowDrive;
  /** The ropes in the line by each reading of their marks: an unstated strength may be more than it is taken for. */
  readonly trains: readonly RopeTrain[];
  /** Whether some rope in the line is made to stretch. */
  readonly stretches: boolean;
  /** Length of all ropes together. */
  readonly ropesM: number;
  readonly towing: {
    readonly massKg: number;
    /** The most that its wheels can push with. */
    readonly tractionN: number;
    readonly rollingN: number;
    readonly slopeN: number;
  };
  readonly stuck: {
    readonly massKg: number;
    readonly breaksAwayN: number;
    readonly rollsN: number;
    readonly overM: number;
    readonly driveN: number;
  };
  /** Angle in plan between the line and the way the stuck vehicle is to go, rad. */
  readonly offHeadingRad: number;
}

/** What keeps a run-up from being reckoned, in words. */
export type RunUpOutcome =
  | { readonly kind: 'set-up'; readonly setup: RunUpSetup }
  | { readonly kind: 'unknown'; readonly missing: readonly string[] };

/** Gathers what a run-up is reckoned from, at its first tension. */
export function setUpRunUp(start: Moment, drive: TowDrive): RunUpOutcome {
  const { rig } = start;
  const { towing } = drive;
  const ropes = inLine(drive);
  const missing = [...ropes.flatMap((use) => missingOf(rig, use)), ...(towing === undefined ? ['which vehicle tows'] : [])];
  const trains = trainsOf(rig.policy, ropes);
  const advantage = start.advantage?.hauling ?? 0;
  if (towing === undefined || missing.length > 0 || trains.length === 0 || start.pullN === undefined || !(advantage > 0)) {
    const why = start.pullN === undefined ? ['the pull that is needed'] : advantage > 0 ? [] : ['a line that pulls along its way'];
    return { kind: 'unknown', missing: [...missing, ...why] };
  }
  const pull = rig.legs[start.pose.leg]?.pull ?? { breaksAwayN: start.pullN, rollsN: start.pullN };
  const { body } = rig.load;
  const lineWay = lineDirection(start, drive);
  return {
    kind: 'set-up',
    setup: {
      drive,
      trains,
      stretches: ropes.some(({ piece }) => piece !== undefined && isStretching(piece)),
      ropesM: ropes.reduce((sum, { piece }) => sum + ((piece && inLineLengthM(piece)) ?? 0), 0),
      towing: towingFigures(rig, towing, lineWay),
      stuck: {
        massKg: body.massKg,
        breaksAwayN: pull.breaksAwayN / advantage,
        rollsN: pull.rollsN / advantage,
        overM: rig.policy.runUp.breakawayM.value,
        driveN: rig.rig.load.drivesAlong && body.kind === 'vehicle' ? gripOf(body, rig) : 0,
      },
      offHeadingRad: Math.acos(Math.min(1, Math.max(-1, levelCosine(lineWay, start.travel)))),
    },
  };
}

/** The ropes of the line, and straps and chains at its ends, drive first. */
function inLine({ line }: TowDrive): readonly ResolvedUse[] {
  const ends = [line.stops[0]?.chain, line.stops.at(-1)?.chain].flatMap((chain) => chain?.uses ?? []);
  return [...line.ropes, ...ends.filter(({ piece, use }) => piece !== undefined && addsStretch(piece) && use.role !== 'connector')];
}

const addsStretch = (piece: GearFacts): boolean => ropeLawOf(piece) !== undefined && inLineLengthM(piece) !== 0;

/** The length and law of what stretches in the line; undefined for hardware. */
function lengthAndLaw(piece: GearFacts) {
  const law = ropeLawOf(piece);
  const lengthM = inLineLengthM(piece);
  return law === undefined || lengthM === undefined ? undefined : { law, lengthM };
}

const isStretching = (piece: GearFacts): boolean => ['stretch-rope', 'stretch-strap'].includes(ropeLawOf(piece) ?? '');

function missingOf({ policy }: ResolvedRig, { piece, use }: ResolvedUse): readonly string[] {
  if (piece === undefined) return use.role === 'connector' ? [] : ['a rope that is not chosen yet'];
  if (ropeLawOf(piece) === undefined || use.role === 'connector') return [];
  return [
    ...(inLineLengthM(piece) === undefined ? [`length of ${piece.tag}`] : []),
    ...(strengths(piece, policy).length === 0 ? [`breaking strength of ${piece.tag}`] : []),
  ];
}

/** The nominal breaking strengths that a piece's stiffness may go by, newtons: the highest mark by its largest reading; an unstated one as breaking strength and as working limit. */
function strengths(piece: GearFacts, { makerFactors }: Policy): readonly number[] {
  const factor = (ropeLawOf(piece) === 'chain' ? makerFactors.chain : makerFactors.stretch).value;
  const all = piece.marks.flatMap(({ basis, readings }) => {
    const most = Math.max(...readings.map(({ forceN }) => forceN));
    if (basis === 'mbs') return [[most]];
    if (basis === 'unstated') return [[most, most * factor]];
    if (basis === 'wll') return [[most * factor]];
    if (basis === 'proof') return [[(most / 2) * factor]];
    return basis === 'basket-mbs' ? [[most / 2]] : [];
  });
  if (all.length === 0) return [];
  const low = Math.max(...all.map((readings) => readings[0] ?? 0));
  const high = Math.max(...all.map((readings) => readings.at(-1) ?? 0));
  return low === high ? [low] : [low, high];
}

/** One train a reading; at most two, all ropes by their lower and all by their higher reading. */
function trainsOf(policy: Policy, uses: readonly ResolvedUse[]): readonly RopeTrain[] {
  const ropes = uses.flatMap(({ piece, use }) => {
    const own = piece && use.role !== 'connector' ? lengthAndLaw(piece) : undefined;
    const all = piece && own ? strengths(piece, policy) : [];
    return own && all.length > 0 ? [{ ...own, all }] : [];
  });
  if (ropes.length === 0) return [];
  const train = (which: 0 | -1): RopeTrain =>
    ropes.map(({ law, lengthM, all }): TrainRope => ({ law: policy.stretch.laws[law], lengthM, mbsN: all.at(which) ?? 0 }));
  return ropes.some(({ all }) => all.length > 1) ? [train(0), train(-1)] : [train(0)];
}

/** The way the towing vehicle pulls the line, level: from the load's end to its own. */
function lineDirection({ positions, shown }: Moment, { line }: TowDrive) {
  const [from, to] = [line.stops.at(-1), line.stops[0]].map((stop) => {
    const root = stop?.chain?.point;
    return root ? positions[root.index] : shown?.balance.equilibrium.positions[stop?.node ?? -1];
  });
  return from && to ? subtract(to, from) : vec3(0, 1, 0);
}

const levelCosine = (a: { x: number; y: number }, b: { x: number; y: number }): number =>
  (a.x * b.x + a.y * b.y) / (Math.hypot(a.x, a.y) * Math.hypot(b.x, b.y) || 1);

/** All wheels of a vehicle on its ground: μ·m·g·cos θ. */
function gripOf({ massKg, stance }: VehicleBody, { policy, rig: { ground, situation } }: ResolvedRig): number {
  return frictionUnder(stance, situation, policy).value * massKg * STANDARD_GRAVITY * Math.cos(ground.slopeRad);
}

function towingFigures(resolved: ResolvedRig, towing: VehicleBody, lineWay: { x: number; y: number; z: number }): RunUpSetup['towing'] {
  const { policy, rig } = resolved;
  const weightN = towing.massKg * STANDARD_GRAVITY;
  const slopeRad = slopeAlong(rig.ground, vec3(lineWay.x, lineWay.y, 0));
  const rolling = rollingUnder(towing.stance, rig.situation, policy).value;
  return {
    massKg: towing.massKg,
    tractionN: gripOf(towing, resolved),
    rollingN: rolling * weightN * Math.cos(slopeRad),
    slopeN: weightN * Math.sin(slopeRad),
  };
}
