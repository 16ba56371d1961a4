import { invariant } from '../invariant.ts';
import { type Vec3, vec3 } from '../statics/vec3.ts';
import type { Rig, RigPoint, VehicleBody } from './rig.ts';

/** Level unit vector ahead along a bearing (clockwise from north). */
export function ahead(headingRad: number): Vec3 {
  return vec3(Math.sin(headingRad), Math.cos(headingRad), 0);
}

/** Rise of the ground plane per metre towards a level direction. */
export function groundGradient(ground: Rig['ground'], direction: Vec3): number {
  const uphill = ahead(ground.uphillRad);
  return Math.tan(ground.slopeRad) * (uphill.x * direction.x + uphill.y * direction.y);
}

/** Height of the ground plane at a place on the map; the plane passes through the map's origin. */
export function groundHeightM(ground: Rig['ground'], xM: number, yM: number): number {
  return groundGradient(ground, vec3(xM, yM, 0));
}

/** Slope along a direction as the map sees it (its height and length do not matter), rad; uphill positive. */
export function slopeAlong(ground: Rig['ground'], direction: Vec3): number {
  return Math.atan(groundGradient(ground, direction) / Math.hypot(direction.x, direction.y));
}

/** The way the load is to go: along its heading, ahead or astern, lying in the ground. */
export function travelDirection(rig: Rig): Vec3 {
  const load = loadBody(rig);
  const level = ahead(load.headingRad + (rig.load.travel === 'astern' ? Math.PI : 0));
  const slope = slopeAlong(rig.ground, level);
  return vec3(level.x * Math.cos(slope), level.y * Math.cos(slope), Math.sin(slope));
}

/** The body that is to move. The reader of rigs admits only vehicles here. */
export function loadBody(rig: Rig): VehicleBody {
  const body = rig.bodies.find(({ id }) => id === rig.load.bodyId);
  invariant(body?.kind === 'vehicle', `load ${rig.load.bodyId} is not a vehicle of this rig`);
  return body;
}

/** Where a point stands in space, metres. */
export function pointPosition(rig: Rig, point: RigPoint): Vec3 {
  const body = rig.bodies.find(({ id }) => id === point.bodyId);
  invariant(body !== undefined, `point ${point.id} has no body`);
  const { place } = point;
  if (place.kind === 'on-trunk' || body.kind !== 'vehicle') return raised(rig, body.xM, body.yM, place.heightM);
  const forward = ahead(body.headingRad);
  const x = body.xM + forward.x * place.forwardM - forward.y * place.leftM;
  const y = body.yM + forward.y * place.forwardM + forward.x * place.leftM;
  return raised(rig, x, y, place.heightM);
}

function raised(rig: Rig, xM: number, yM: number, heightM: number): Vec3 {
  return vec3(xM, yM, groundHeightM(rig.ground, xM, yM) + heightM);
}
