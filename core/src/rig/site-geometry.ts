import { invariant } from '../quantity/invariant.ts';
import { ahead, groundHeightM } from '../statics/ground.ts';
import { type Vec3, vec3 } from '../statics/vec3.ts';
import { loadWay } from './load-way.ts';
import type { Body, Chain, LoadBody, Rig, RigPoint } from './rig.ts';

/** The way the load is to go as it begins: along its path, its heading or the bearing of its task, lying in the ground or on the ramp. */
export function travelDirection(rig: Rig): Vec3 {
  const [first] = loadWay(rig, loadBody(rig)).legs;
  invariant(first !== undefined, 'a way has a leg');
  return first.along;
}

/** Whether the rig holds its load back: its ropes pull against the travel. */
export const holdsBack = ({ purpose }: Rig): boolean => purpose === 'lower' || purpose === 'hold';

/** The body that is to move. The reader of rigs admits only vehicles and loose loads here. */
export function loadBody(rig: Rig): LoadBody {
  const body = rig.bodies.find(({ id }) => id === rig.load.bodyId);
  invariant(body?.kind === 'vehicle' || body?.kind === 'load', `load ${rig.load.bodyId} is not a vehicle or a load of this rig`);
  return body;
}

/** The body that a point stands on. */
export function bodyOfPoint(rig: Rig, pointId: string): Body | undefined {
  const bodyId = rig.points.find(({ id }) => id === pointId)?.bodyId;
  return bodyId === undefined ? undefined : rig.bodies.find(({ id }) => id === bodyId);
}

/** The point that a chain starts from; undefined where it starts in the air. */
export function pointOfChain(rig: Rig, { from }: Chain): RigPoint | undefined {
  return from.kind === 'point' ? rig.points.find(({ id }) => id === from.pointId) : undefined;
}

/** The body that a chain starts from; undefined where it starts in the air. */
export function bodyOfChain(rig: Rig, { from }: Chain): Body | undefined {
  return from.kind === 'point' ? bodyOfPoint(rig, from.pointId) : undefined;
}

/** Diameter of what a strap goes round, metres; undefined where the body has none on record. */
export function roundDiameterM(body: Body | undefined): number | undefined {
  if (body?.kind === 'tree') return body.trunkDiameterM;
  return body?.kind === 'rock' || body?.kind === 'structure' ? body.diameterM : undefined;
}

/** Where a point stands in space, metres. */
export function pointPosition(rig: Rig, point: RigPoint): Vec3 {
  const body = rig.bodies.find(({ id }) => id === point.bodyId);
  invariant(body !== undefined, `point ${point.id} has no body`);
  const { place } = point;
  if (place.kind !== 'on-vehicle' || !('headingRad' in body)) return raised(rig, body.xM, body.yM, place.heightM);
  const forward = ahead(body.headingRad);
  const x = body.xM + forward.x * place.forwardM - forward.y * place.leftM;
  const y = body.yM + forward.y * place.forwardM + forward.x * place.leftM;
  return raised(rig, x, y, place.heightM);
}

function raised(rig: Rig, xM: number, yM: number, heightM: number): Vec3 {
  return vec3(xM, yM, groundHeightM(rig.ground, xM, yM) + heightM);
}
