import { type Vec3, vec3 } from './vec3.ts';

/** The ground: a plane through the map's origin with a slope, rad, and the bearing in which it rises. */
export interface Ground {
  readonly slopeRad: number;
  readonly uphillRad: number;
}

/** Level unit vector ahead along a bearing (clockwise from north). */
export function ahead(headingRad: number): Vec3 {
  return vec3(Math.sin(headingRad), Math.cos(headingRad), 0);
}

/** Rise of the ground plane per metre towards a level direction. */
export function groundGradient(ground: Ground, direction: Vec3): number {
  const uphill = ahead(ground.uphillRad);
  return Math.tan(ground.slopeRad) * (uphill.x * direction.x + uphill.y * direction.y);
}

/** Height of the ground plane at a place on the map; the plane passes through the map's origin. */
export function groundHeightM(ground: Ground, xM: number, yM: number): number {
  return groundGradient(ground, vec3(xM, yM, 0));
}

/** Upward unit normal of the ground plane. */
export function groundNormal(ground: Ground): Vec3 {
  const uphill = ahead(ground.uphillRad);
  const sine = Math.sin(ground.slopeRad);
  return vec3(-uphill.x * sine, -uphill.y * sine, Math.cos(ground.slopeRad));
}

/** Slope along a direction as the map sees it (its height and length do not matter), rad; uphill positive. */
export function slopeAlong(ground: Ground, direction: Vec3): number {
  return Math.atan(groundGradient(ground, direction) / Math.hypot(direction.x, direction.y));
}
