import type { Policy } from '../policy/policy.ts';
import { STANDARD_GRAVITY } from '../quantity/units.ts';
import type { Stance } from '../rig/bodies.ts';
import type { Rig, VehicleBody } from '../rig/rig.ts';
import { ahead, groundNormal } from '../rig/site-geometry.ts';
import { add, cross, dot, norm, scale, subtract, type Vec3, vec3, ZERO } from '../statics/vec3.ts';

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

export const wheelbaseOf = ({ wheelbaseM, lengthM }: VehicleBody): number => wheelbaseM ?? WHEELBASE_SHARE * lengthM;
export const trackOf = ({ trackM, widthM }: VehicleBody): number => trackM ?? TRACK_SHARE * widthM;

/**
 * Whether a vehicle keeps its place: H = μ·N on the braked wheels + what chocks add, against the level force of the ropes and
 * the weight's component down the slope, added as vectors. N falls with slope and lift; a pull at height h along the vehicle
 * shifts F·h ÷ wheelbase between the axles, a lift is shared by moments. Tipping: side force × height ÷ (m g × half track).
 * Newtons, metres; any slope below 90°. Source: equilibrium of a rigid body; friction by the policy.
 */
export function vehicleHold(body: VehicleBody, pulls: readonly VehiclePull[], ground: Rig['ground'], policy: Policy): HoldFigures {
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

interface Standing {
  readonly up: Vec3;
  /** The weight's component into the ground, newtons. */
  readonly pressN: number;
}

function brakedLoadN(
  body: VehicleBody,
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

function sideways(body: VehicleBody, pulls: readonly VehiclePull[], up: Vec3): { readonly forceN: number; readonly momentNm: number } {
  const left = cross(up, ahead(body.headingRad));
  return {
    forceN: pulls.reduce((sum, { force }) => sum + dot(force, left), 0),
    momentNm: pulls.reduce((sum, { force, heightM }) => sum + dot(force, left) * heightM, 0),
  };
}
