import type { GearFacts } from '../gear/gear-facts.ts';
import type { Policy } from '../policy/policy.ts';
import { STANDARD_GRAVITY } from '../quantity/units.ts';
import { type GearIndex, gearOf, type LineWalk, type RigNetwork } from '../resolved/rig-network.ts';
import type { Rig, VehicleBody } from '../rig/rig.ts';
import { bodyOfChain, bodyOfPoint } from '../rig/site-geometry.ts';
import type { Equilibrium, Network } from '../statics/network.ts';
import { type DrumReport, drumReport } from './drum-state.ts';
import { pathLengthM } from './rig-forces.ts';

/** What drives a line, and what it can do. */
export interface DriveReport {
  readonly walk: LineWalk;
  readonly kind: 'winch' | 'hand' | 'tow';
  /** Its tension as a share of the first drive's. */
  readonly share: number;
  /** Winches only. */
  readonly drum: DrumReport;
  readonly winch?: GearFacts;
  /** What it can give in order, newtons; undefined where unknown. */
  readonly ratedN: number | undefined;
  /** What it can get to, newtons; undefined where unknown. */
  readonly greatestN: number | undefined;
}

export interface DriveInput {
  readonly rig: Rig;
  readonly gear: GearIndex;
  readonly policy: Policy;
  readonly network: RigNetwork;
}

/** The report of every driven line with the rig in a given balance; shares of 1 until they are settled. */
export function drivesAt(input: DriveInput, state: Equilibrium | undefined): readonly DriveReport[] {
  return input.network.lines.filter(({ line }) => line.drive.kind !== 'held').map((walk) => driveAt(input, walk, state));
}

function driveAt({ rig, gear, policy }: DriveInput, walk: LineWalk, state: Equilibrium | undefined): DriveReport {
  const { drive } = walk.line;
  if (drive.kind === 'winch') {
    const drum = drumReport({ rig, line: walk.line, drive, gear, policy, pathM: state && pathLengthM(walk, state) });
    const winch = gearOf(drive.use, gear);
    const known = drum.kind !== 'no-winch';
    return {
      walk,
      kind: 'winch',
      share: 1,
      drum,
      ...(winch && { winch }),
      ratedN: known ? drum.ratedN : undefined,
      greatestN: known ? drum.greatestN : undefined,
    };
  }
  const none = { walk, share: 1, drum: { kind: 'no-winch' } as const };
  if (drive.kind === 'hand') {
    const crew = bodyOfPoint(rig, drive.pointId);
    const pullN = (crew?.kind === 'crew' ? crew.people : 1) * policy.hand.pullPerPersonN.value;
    return { ...none, kind: 'hand', ratedN: pullN, greatestN: limitedTo(rig, pullN) };
  }
  const towing = towingVehicle(rig, walk);
  const gripN = towing && tractionN(towing, policy);
  return { ...none, kind: 'tow', ratedN: gripN, greatestN: gripN === undefined ? undefined : limitedTo(rig, gripN) };
}

function limitedTo({ limiter }: Rig, pullN: number): number {
  return limiter === undefined ? pullN : Math.min(pullN, limiter.pullN);
}

/** The vehicle that drives off with a line. */
export function towingVehicle(rig: Rig, { line }: LineWalk): VehicleBody | undefined {
  const { drive } = line;
  const chain = drive.kind === 'tow' ? rig.chains.find(({ id }) => id === drive.chainId) : undefined;
  const body = chain && bodyOfChain(rig, chain);
  return body?.kind === 'vehicle' ? body : undefined;
}

/** What the driven wheels of a towing vehicle can give on its ground; on unknown ground the grippiest stands, being the greater load. */
function tractionN({ massKg, stance }: VehicleBody, { hold }: Policy): number {
  const most = Math.max(...Object.values(hold.friction).map(({ value }) => value));
  return (stance ? hold.friction[stance.ground].value : most) * massKg * STANDARD_GRAVITY;
}

/**
 * How the drives share: as a person states, else by what each is rated for on its working layer; the first counts 1.
 * Where one of them is unknown they count alike.
 */
export function withShares(drives: readonly DriveReport[], { sharing }: Rig): readonly DriveReport[] {
  const stated = drives.map(({ walk }) => sharing?.shares.find(({ lineId }) => lineId === walk.line.id)?.share);
  const wanted = sharing === undefined ? drives.map(({ ratedN }) => ratedN) : stated;
  const first = wanted[0];
  const known = first !== undefined && wanted.every((share) => share !== undefined && share > 0);
  return drives.map((drive, index) => ({ ...drive, share: known ? (wanted[index] as number) / first : 1 }));
}

/** The network with its driven ropes at given tensions, in the order of the drives. */
export function drivenBy({ network }: RigNetwork, drives: readonly DriveReport[], tensionOf: (drive: DriveReport) => number): Network {
  const tensions = new Map(drives.map((drive) => [drive.walk.spans[0]?.rope ?? -1, tensionOf(drive)]));
  const ropes = network.ropes.map((rope, index) => {
    const tension = tensions.get(index);
    return tension === undefined ? rope : { ...rope, pull: { kind: 'driven', tension } as const };
  });
  return { ...network, ropes };
}
