import type { Policy } from '../policy/policy.ts';
import { STANDARD_GRAVITY } from '../quantity/units.ts';
import { ahead, type Ground, groundNormal } from '../statics/ground.ts';
import { add, cross, dot, norm, scale, subtract, type Vec3, vec3, ZERO } from '../statics/vec3.ts';
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

/** Wheelbase and track of a vehicle whose papers are not at hand, as shares of its length and width; about what cars have. */
const WHEELBASE_SHARE = 0.6;
const TRACK_SHARE = 0.8;

export const wheelbaseOf = ({ wheelbaseM, lengthM }: HeldVehicle): number => wheelbaseM ?? WHEELBASE_SHARE * lengthM;
export const trackOf = ({ trackM, widthM }: HeldVehicle): number => trackM ?? TRACK_SHARE * widthM;

/**
 * Whether a vehicle keeps its place: H = μ·N on the braked wheels + what chocks add, against the level force of the ropes and
 * the weight's component down the slope, added as vectors. N falls with slope and lift; a pull at height h along the vehicle
 * shifts F·h ÷ wheelbase between the axles, a lift is shared by moments. Tipping: side force × height ÷ (m g × half track).
 * Newtons, metres; any slope below 90°. Source: equilibrium of a rigid body; friction by the policy.
 */
export function vehicleHold(body: HeldVehicle, pulls: readonly VehiclePull[], ground: Ground, policy: Policy): HoldFigures {
  const up = groundNormal(ground);
  const weight = vec3(0, 0, -body.massKg * STANDARD_GRAVITY);
  const total = pulls.reduce((sum, { force }) => add(sum, force), ZERO);
  const inPlane = (force: Vec3) => subtract(force, scale(up, dot(force, up)));
  const demand = inPlane(add(total, weight));
  const demandN = norm(demand);
  const towards = demandN > 0 ? scale(demand, 1 / demandN) : ZERO;
  const { stance } = body;
  const side = sideways(body, pulls, up);
  const trackM = trackOf(body);
  const shared = {
    demandN,
    towards,
    sideForceN: side.forceN,
    tipping: Math.abs(side.momentNm) / (body.massKg * STANDARD_GRAVITY * (trackM / 2)),
    trackM,
    trackKnown: body.trackM !== undefined,
  };
  if (stance === undefined) return shared;
  const brakedN = Math.max(0, brakedLoadN(body, stance, pulls, { up, pressN: -dot(weight, up) }, policy));
  const holdN = policy.hold.friction[stance.ground].value * brakedN + (stance.extra?.holdN ?? 0);
  return { ...shared, brakedN, holdN, slidesByN: demandN - holdN };
}

/**
 * The share of the given pulls, 0…1, from which on the vehicle slides up to the whole of them, 0 where it never holds; undefined
 * where it holds at the whole of them or its stance is not known. With a the ropes' force along the ground and b the weight's, it
 * slides where |b + s·a| > H(s), H(s) = μ·max(0, N₀ + s·n) + what chocks add: a quadratic in s on either side of the share at
 * which the braked wheels lift or first press.
 */
export function slidesFromShare(body: HeldVehicle, pulls: readonly VehiclePull[], ground: Ground, policy: Policy): number | undefined {
  const { stance } = body;
  const whole = vehicleHold(body, pulls, ground, policy);
  if (stance === undefined || !((whole.slidesByN ?? -1) > 0)) return undefined;
  const up = groundNormal(ground);
  const weight = vec3(0, 0, -body.massKg * STANDARD_GRAVITY);
  const inPlane = (force: Vec3) => subtract(force, scale(up, dot(force, up)));
  const a = inPlane(pulls.reduce((sum, { force }) => add(sum, force), ZERO));
  const b = inPlane(weight);
  const demand: Demand = { square: dot(a, a), middle: dot(a, b), constant: dot(b, b) };
  const standing = { up, pressN: -dot(weight, up) };
  const restN = brakedLoadN(body, stance, [], standing, policy);
  const perShareN = brakedLoadN(body, stance, pulls, standing, policy) - restN;
  const mu = policy.hold.friction[stance.ground].value;
  const extraN = stance.extra?.holdN ?? 0;
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

interface Standing {
  readonly up: Vec3;
  /** The weight's component into the ground, newtons. */
  readonly pressN: number;
}

function brakedLoadN(
  body: HeldVehicle,
  { brakes }: Stance,
  pulls: readonly VehiclePull[],
  { up, pressN }: Standing,
  policy: Policy,
): number {
  const liftN = pulls.reduce((sum, { force }) => sum + dot(force, up), 0);
  if (brakes === 'all') return pressN - liftN;
  if (brakes === 'none') return 0;
  const front = brakes === 'parking-front';
  const share = body.frontShare === undefined ? policy.hold.parkingShare.value : front ? body.frontShare : 1 - body.frontShare;
  const forward = ahead(body.headingRad);
  const wheelbaseM = wheelbaseOf(body);
  // Each pull presses the front axle by its moment about the rear one, and the other way round.
  const shifted = pulls.reduce((sum, { force, forwardM, heightM }) => {
    const nose = (dot(force, forward) * heightM) / wheelbaseM;
    const lift = dot(force, up) * (0.5 + ((front ? 1 : -1) * forwardM) / wheelbaseM);
    return sum + (front ? nose : -nose) - lift;
  }, 0);
  return pressN * share + shifted;
}

function sideways(body: HeldVehicle, pulls: readonly VehiclePull[], up: Vec3): { readonly forceN: number; readonly momentNm: number } {
  const left = cross(up, ahead(body.headingRad));
  return {
    forceN: pulls.reduce((sum, { force }) => sum + dot(force, left), 0),
    momentNm: pulls.reduce((sum, { force, heightM }) => sum + dot(force, left) * heightM, 0),
  };
}
