import type { Policy } from '../policy/policy.ts';
import { STANDARD_GRAVITY } from '../quantity/units.ts';
import { ahead, type Ground, groundNormal } from '../statics/ground.ts';
import { add, cross, dot, norm, scale, subtract, type Vec3, vec3, ZERO } from '../statics/vec3.ts';
import { frictionUnder, type SiteGround } from './footing.ts';
import type { Stance } from './stance.ts';

/** What is known of a vehicle that is pulled on: kg, metres, the heading as a bearing. */
export interface HeldVehicle {
  readonly massKg: number;
  readonly headingRad: number;
  readonly lengthM: number;
  readonly widthM: number;
  readonly wheelbaseM?: number | undefined;
  readonly trackM?: number | undefined;
  /** Share of the mass on the front axle on level ground. */
  readonly frontShare?: number | undefined;
  readonly stance?: Stance | undefined;
}

/** A force on a vehicle, newtons, and where it acts: ahead of its middle and above the ground, metres. */
export interface VehiclePull {
  readonly force: Vec3;
  readonly forwardM: number;
  readonly heightM: number;
}

export interface HoldFigures {
  /** The ropes' force in the plane of the ground and the weight's share down the slope, together, newtons. */
  readonly demandN: number;
  /** The way it would slide, along the ground; a zero vector where nothing pulls. */
  readonly towards: Vec3;
  /** Load on the braked wheels, newtons. */
  readonly brakedN?: number;
  /** What brakes, ground and chocks hold; missing where the stance is not known. */
  readonly holdN?: number;
  /** Demand less hold: above 0 it slides. */
  readonly slidesByN?: number;
  /** Side force × height ÷ (weight × half the track). */
  readonly tipping: number;
  readonly sideForceN: number;
  readonly trackM: number;
  readonly trackKnown: boolean;
}

/** Wheelbase and track, metres; guessed from length and width, as shares by the policy, where a vehicle's papers are not at hand. */
export const wheelbaseOf = ({ wheelbaseM, lengthM }: HeldVehicle, { judging }: Policy): number =>
  wheelbaseM ?? judging.wheelbaseShare.value * lengthM;
export const trackOf = ({ trackM, widthM }: HeldVehicle, { judging }: Policy): number => trackM ?? judging.trackShare.value * widthM;

/** How a vehicle stands on its ground, whatever pulls on it: worked out once. Unit vectors; newtons, metres. */
export interface Standing {
  readonly up: Vec3;
  readonly forward: Vec3;
  readonly left: Vec3;
  /** The weight's component down the slope, and into the ground. */
  readonly downhill: Vec3;
  readonly pressN: number;
  readonly weightN: number;
  readonly wheelbaseM: number;
  readonly trackM: number;
  readonly trackKnown: boolean;
  /** What holds it; undefined where nobody says which brakes are on. */
  readonly brakes: BrakesOn | undefined;
}

interface BrakesOn {
  /** Share of the weight on the braked wheels at rest, 0…1. */
  readonly share: number;
  /** +1 where the front axle alone is braked, −1 the rear one; 0 where all or none are. */
  readonly axle: 1 | 0 | -1;
  readonly friction: number;
  /** What chocks and dug-in wheels add, newtons. */
  readonly extraN: number;
}

/** How a vehicle stands on a plane of any slope below 90°. */
export function standingOf(body: HeldVehicle, ground: Ground, policy: Policy, site: SiteGround): Standing {
  const up = groundNormal(ground);
  const forward = ahead(body.headingRad);
  const weightN = body.massKg * STANDARD_GRAVITY;
  const weight = vec3(0, 0, -weightN);
  const intoN = dot(weight, up);
  return {
    up,
    forward,
    left: cross(up, forward),
    downhill: subtract(weight, scale(up, intoN)),
    pressN: -intoN,
    weightN,
    wheelbaseM: wheelbaseOf(body, policy),
    trackM: trackOf(body, policy),
    trackKnown: body.trackM !== undefined,
    brakes: brakesOn(body, frictionUnder(body.stance, site, policy).value, policy),
  };
}

function brakesOn({ frontShare, stance }: HeldVehicle, friction: number, { hold }: Policy): BrakesOn | undefined {
  const { brakes, extra } = stance ?? {};
  if (brakes === undefined) return undefined;
  const on = { friction, extraN: extra?.holdN ?? 0 };
  if (brakes === 'all' || brakes === 'none') return { ...on, share: brakes === 'all' ? 1 : 0, axle: 0 };
  const front = brakes === 'parking-front';
  const own = frontShare !== undefined && !front ? 1 - frontShare : frontShare;
  return { ...on, share: own ?? hold.parkingShare.value, axle: front ? 1 : -1 };
}

/**
 * Whether a vehicle keeps its place: H = μ·N on the braked wheels + what chocks add, against the level force of the ropes and
 * the weight's component down the slope, added as vectors. N falls with slope and lift; a pull at height h along the vehicle
 * shifts F·h ÷ wheelbase between the axles, a lift is shared by moments. Tipping: side force × height ÷ (m g × half track).
 * Newtons, metres. Source: equilibrium of a rigid body; friction by the policy.
 */
export function holdUnder(standing: Standing, pulls: readonly VehiclePull[]): HoldFigures {
  const { up, left, downhill, weightN, trackM, trackKnown, brakes } = standing;
  let [x, y, z, sideForceN, momentNm] = [0, 0, 0, 0, 0];
  for (const { force, heightM } of pulls) {
    x += force.x;
    y += force.y;
    z += force.z;
    const side = dot(force, left);
    sideForceN += side;
    momentNm += side * heightM;
  }
  const off = x * up.x + y * up.y + z * up.z;
  const demand = vec3(x - up.x * off + downhill.x, y - up.y * off + downhill.y, z - up.z * off + downhill.z);
  const demandN = norm(demand);
  const towards = demandN > 0 ? scale(demand, 1 / demandN) : ZERO;
  const tipping = Math.abs(momentNm) / (weightN * (trackM / 2));
  if (brakes === undefined) return { demandN, towards, tipping, sideForceN, trackM, trackKnown };
  const brakedN = Math.max(0, brakedLoadN(standing, brakes, pulls));
  const holdN = brakes.friction * brakedN + brakes.extraN;
  return { demandN, towards, tipping, sideForceN, trackM, trackKnown, brakedN, holdN, slidesByN: demandN - holdN };
}

/** How a vehicle stands under some pulls; see `holdUnder`. */
export const vehicleHold = (
  body: HeldVehicle,
  pulls: readonly VehiclePull[],
  ground: Ground,
  policy: Policy,
  site: SiteGround,
): HoldFigures => holdUnder(standingOf(body, ground, policy, site), pulls);

/** Load on the braked wheels, newtons; below 0 where the pulls would lift them. */
function brakedLoadN({ up, forward, pressN, wheelbaseM }: Standing, { share, axle }: BrakesOn, pulls: readonly VehiclePull[]): number {
  let loadN = pressN * share;
  for (const { force, forwardM, heightM } of pulls) {
    const liftN = dot(force, up);
    if (axle === 0) loadN -= share * liftN;
    // Each pull presses the front axle by its moment about the rear one, and the other way round.
    else loadN += axle * ((dot(force, forward) * heightM) / wheelbaseM) - liftN * (0.5 + (axle * forwardM) / wheelbaseM);
  }
  return loadN;
}

/**
 * The share of the given pulls, 0…1, from which on the vehicle slides up to the whole of them, 0 where it never holds; undefined
 * where it holds at the whole of them or its stance is not known. With a the ropes' force along the ground and b the weight's, it
 * slides where |b + s·a| > H(s), H(s) = μ·max(0, N₀ + s·n) + what chocks add: a quadratic in s on either side of the share at
 * which the braked wheels lift or first press.
 */
export function slidesFromShare(standing: Standing, pulls: readonly VehiclePull[]): number | undefined {
  const { brakes, up, downhill: b } = standing;
  const { slidesByN } = holdUnder(standing, pulls);
  if (brakes === undefined || slidesByN === undefined || slidesByN <= 0) return undefined;
  const total = pulls.reduce((sum, { force }) => add(sum, force), ZERO);
  const a = subtract(total, scale(up, dot(total, up)));
  const demand: Demand = { square: dot(a, a), middle: dot(a, b), constant: dot(b, b) };
  const restN = brakedLoadN(standing, brakes, []);
  const perShareN = brakedLoadN(standing, brakes, pulls) - restN;
  const { friction: mu, extraN } = brakes;
  const lifts = perShareN === 0 ? 1 : Math.min(1, Math.max(0, -restN / perShareN));
  const pressed = { start: mu * restN + extraN, perShare: mu * perShareN };
  const lifted = { start: extraN, perShare: 0 };
  const before = restN > 0 ? pressed : lifted;
  const after = restN + perShareN > 0 ? pressed : lifted;
  return lastHold(demand, after, { from: lifts, to: 1 }) ?? lastHold(demand, before, { from: 0, to: lifts }) ?? 0;
}

/** The square of |b + s·a|, by powers of s: s², 2 s, 1. */
interface Demand {
  readonly square: number;
  readonly middle: number;
  readonly constant: number;
}

/** The last share in a stretch at which √(A s² + 2 B s + C) is not above p + q s; undefined where it is above throughout. */
function lastHold(
  { square, middle, constant }: Demand,
  { start, perShare }: { readonly start: number; readonly perShare: number },
  { from, to }: { readonly from: number; readonly to: number },
): number | undefined {
  const [a, b, c] = [square - perShare * perShare, middle - start * perShare, constant - start * start];
  const excess = (s: number) => (a * s + 2 * b) * s + c;
  if (excess(to) <= 0) return to;
  const inside = rootsOf(a, b, c).filter((root) => root >= from && root <= to);
  return inside.at(-1) ?? (excess(from) <= 0 ? from : undefined);
}

/** Roots of a s² + 2 b s + c, the smaller first; the stable form of the formula. */
function rootsOf(a: number, b: number, c: number): readonly number[] {
  if (a === 0) return b === 0 ? [] : [-c / (2 * b)];
  const inside = b * b - a * c;
  if (inside < 0) return [];
  const q = -(b + Math.sign(b || 1) * Math.sqrt(inside));
  const roots = q === 0 ? [0] : [q / a, c / q];
  return roots.sort((first, second) => first - second);
}
