import type { EquationNode } from '../resolved/equations.ts';
import type { ResolvedBody, ResolvedLine } from '../resolved/parts.ts';
import type { ResolvedRig } from '../resolved/resolved-rig.ts';
import type { WayLeg } from '../rig/load-way.ts';
import { ahead, groundHeightM, slopeAlong } from '../statics/ground.ts';
import type { Network, NetworkNode } from '../statics/network.ts';
import { add, scale, subtract, unit, type Vec3, vec3 } from '../statics/vec3.ts';

/** Which moment of the act: the travel of the load, and how ropes were set anew on the way. */
export interface At {
  readonly travelM: number;
  /** The leg of the way it is on; at a corner either of two. Missing: the one that begins last at or before the travel. */
  readonly leg?: number | undefined;
  /** Lengths of undriven ropes that grips were moved on, by the rope's number in the equations, metres. */
  readonly lengths?: ReadonlyMap<number, number> | undefined;
}

/** Where the load is on its way. */
export interface LoadPose {
  readonly leg: number;
  /** Its origin on the map. */
  readonly xM: number;
  readonly yM: number;
  /** How far it is turned from its heading as drawn, rad clockwise. */
  readonly turnRad: number;
  /** The way it goes from here, a unit vector. */
  readonly along: Vec3;
}

const QUARTER_TURN = Math.PI / 2;

/** Where the load is when it has gone `travelM` metres, 0 or more. */
export function loadPose({ way }: ResolvedRig, { travelM, leg }: At): LoadPose {
  const index = leg ?? legAt(way.legs, travelM);
  const own = way.legs[index] as WayLeg;
  if (way.edgeHeightM !== undefined) {
    // Set upright: what the line pulls on goes round the edge below it, and the way it goes turns down with it.
    const angle = Math.min(QUARTER_TURN, travelM / way.edgeHeightM);
    const along = vec3(own.along.x * Math.cos(angle), own.along.y * Math.cos(angle), own.along.z * Math.cos(angle) - Math.sin(angle));
    return { leg: index, xM: own.xM, yM: own.yM, turnRad: 0, along };
  }
  const goneM = travelM - own.fromM;
  return {
    leg: index,
    xM: own.xM + own.along.x * goneM,
    yM: own.yM + own.along.y * goneM,
    turnRad: turnAt(own, travelM, leg),
    along: own.along,
  };
}

/** As it is drawn it stands before it has moved; a way that begins in another direction turns it with the first step. */
const turnAt = ({ turnRad }: WayLeg, travelM: number, leg: number | undefined): number =>
  travelM === 0 && leg === undefined ? 0 : turnRad;

function legAt(legs: readonly WayLeg[], travelM: number): number {
  let found = 0;
  for (let index = 1; index < legs.length; index++) if ((legs[index]?.fromM ?? 0) <= travelM) found = index;
  return found;
}

/** Where every point of the rig stands with its load in a pose. */
export function pointsAt(rig: ResolvedRig, at: At, pose: LoadPose): readonly Vec3[] {
  const { start, points, load } = rig;
  if (at.travelM === 0 && pose.turnRad === 0) return start;
  const moved = loadMotion(rig, at, pose);
  const placed = start.map((from, index) => (points[index]?.on === load.on ? moved(from) : from));
  return rig.drives.reduce<readonly Vec3[]>((all, { kind, line }) => (kind === 'tow' ? towedAlong(rig, line, all) : all), placed);
}

/** What the load's motion does to a point that sits on it. */
function loadMotion(rig: ResolvedRig, { travelM }: At, pose: LoadPose): (from: Vec3) => Vec3 {
  const { way, load, start, points } = rig;
  const { body } = load;
  const [first] = way.legs;
  if (way.edgeHeightM !== undefined && first !== undefined) {
    const angle = Math.min(QUARTER_TURN, travelM / way.edgeHeightM);
    const edgeM = mean(
      start.filter((_, index) => points[index]?.on === load.on).map((from) => from.x * first.along.x + from.y * first.along.y),
    );
    const groundM = groundHeightM(rig.rig.ground, body.xM, body.yM);
    return (from) => {
      const along = from.x * first.along.x + from.y * first.along.y - edgeM;
      const up = from.z - groundM;
      const ahead = along * Math.cos(angle) + up * Math.sin(angle) - along;
      return vec3(from.x + first.along.x * ahead, from.y + first.along.y * ahead, groundM + up * Math.cos(angle) - along * Math.sin(angle));
    };
  }
  const riseM = way.legs.reduce((sum, { along, fromM, toM }) => sum + along.z * Math.max(0, Math.min(travelM, toM) - fromM), 0);
  const [cosine, sine] = [Math.cos(pose.turnRad), Math.sin(pose.turnRad)];
  const ground = (x: number, y: number) => groundHeightM(rig.rig.ground, x, y);
  if (pose.turnRad === 0) return ({ x, y, z }) => vec3(x + pose.xM - body.xM, y + pose.yM - body.yM, z + riseM);
  return ({ x, y, z }) => {
    // Clockwise, as bearings go; a point keeps its height above the ground it stands over.
    const [dx, dy] = [x - body.xM, y - body.yM];
    const [tx, ty] = [pose.xM + dx * cosine + dy * sine, pose.yM + dy * cosine - dx * sine];
    const base = ground(tx, ty) - ground(pose.xM, pose.yM) + ground(body.xM, body.yM) + riseM;
    return vec3(tx, ty, base + z - ground(x, y));
  };
}

const mean = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);

/** Where a body stands on the map at a moment, and how far it is turned from its heading as drawn. */
export interface BodyPose {
  readonly xM: number;
  readonly yM: number;
  readonly turnRad: number;
}

/** Where any body stands: the load goes its way, a towing vehicle goes with its points, all else stays. */
export function bodyPose({ rig, pose, positions }: Posed, on: ResolvedBody): BodyPose {
  if (on === rig.load.on) return pose;
  const { xM, yM } = on.body;
  const [point] = on.points;
  const [from, to] = [point && rig.start[point.index], point && positions[point.index]];
  return from === undefined || to === undefined ? { xM, yM, turnRad: 0 } : { xM: xM + to.x - from.x, yM: yM + to.y - from.y, turnRad: 0 };
}

interface Posed {
  readonly rig: ResolvedRig;
  readonly pose: LoadPose;
  readonly positions: readonly Vec3[];
}

/** Rounds in which a towing vehicle's place is found; each halves the error many times over. */
const TOW_ROUNDS = 30;

/** A vehicle that tows steadily has driven on along its heading until its line is as long as at the start. */
function towedAlong(rig: ResolvedRig, line: ResolvedLine, positions: readonly Vec3[]): readonly Vec3[] {
  const { drive } = line;
  if (drive?.kind !== 'tow' || drive.towing === undefined || drive.on === undefined) return positions;
  const { towing, on } = drive;
  const level = ahead(towing.headingRad);
  const slope = slopeAlong(rig.rig.ground, level);
  const forward = vec3(level.x * Math.cos(slope), level.y * Math.cos(slope), Math.sin(slope));
  const stops = line.stops.flatMap(({ chain, point }) => chain?.point ?? point ?? []);
  const wayM = (all: readonly Vec3[], byM: number) => {
    const at = stops.map((stop) => {
      const place = all[stop.index] ?? vec3(0, 0, 0);
      return stop.on === on ? add(place, scale(forward, byM)) : place;
    });
    return at
      .slice(1)
      .reduce((sum, to, index) => sum + Math.hypot(to.x - (at[index]?.x ?? 0), to.y - (at[index]?.y ?? 0), to.z - (at[index]?.z ?? 0)), 0);
  };
  const wantedM = wayM(rig.start, 0);
  let byM = 0;
  for (let round = 0; round < TOW_ROUNDS; round++) {
    const missingM = wantedM - wayM(positions, byM);
    if (Math.abs(missingM) < 1e-9) break;
    const slopeOfWay = (wayM(positions, byM + 1e-4) - wayM(positions, byM - 1e-4)) / 2e-4;
    if (!(slopeOfWay > 0.05)) break;
    byM += missingM / slopeOfWay;
  }
  return positions.map((place, index) => (rig.points[index]?.on === on ? add(place, scale(forward, byM)) : place));
}

/** The middle of all points that hold something: where first guesses look. */
function middleOf(positions: readonly Vec3[]): Vec3 {
  let [x, y, z] = [0, 0, 0];
  for (const at of positions) {
    x += at.x;
    y += at.y;
    z += at.z;
  }
  const share = 1 / Math.max(1, positions.length);
  return vec3(x * share, y * share, z * share);
}

/**
 * The rig's equations with its points in place: held nodes stand on them, free ones have a first guess, which a neighbouring
 * network's does as well for.
 */
export function networkAt(rig: ResolvedRig, positions: readonly Vec3[], at?: Pick<At, 'lengths'>, before?: Network): Network {
  const { equations } = rig;
  const middle = before === undefined ? middleOf(positions) : ORIGIN;
  const nodes = equations.nodes.map((node, index): NetworkNode => {
    if (node.kind === 'held') return { id: node.id, at: positions[node.point] ?? ORIGIN, held: true };
    return before?.nodes[index] ?? firstGuess(node, positions, middle);
  });
  return { nodes, links: equations.links, ropes: at?.lengths === undefined ? equations.ropes : withLengths(equations.ropes, at.lengths) };
}

const ORIGIN = vec3(0, 0, 0);

function firstGuess(node: Exclude<EquationNode, { kind: 'held' }>, positions: readonly Vec3[], middle: Vec3): NetworkNode {
  if (node.kind === 'floating') return { id: node.id, at: add(middle, vec3(0.13 * node.order, 0.07 * node.order, 0)), held: false };
  const root = node.point === undefined ? middle : (positions[node.point] ?? middle);
  const towards = unit(subtract(middle, root)) ?? vec3(1, 0, 0);
  return { id: node.id, at: add(root, scale(towards, node.lengthM)), held: false };
}

/** The ropes with some of their lengths set anew. */
function withLengths(ropes: Network['ropes'], lengths: ReadonlyMap<number, number>): Network['ropes'] {
  return ropes.map((rope, index) => {
    const lengthM = lengths.get(index);
    return lengthM === undefined ? rope : { ...rope, pull: { kind: 'length', lengthM } };
  });
}
