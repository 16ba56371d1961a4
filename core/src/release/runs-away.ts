import { estimatePull } from '../effort/estimate-pull.ts';
import { holdUnder, standingOf } from '../hold/vehicle-hold.ts';
import type { Moment } from '../moment/moment.ts';
import { STANDARD_GRAVITY } from '../quantity/units.ts';
import type { ResolvedBody } from '../resolved/parts.ts';
import type { ResolvedRig } from '../resolved/resolved-rig.ts';
import type { LoadBody, VehicleBody } from '../rig/rig.ts';
import { ahead, groundGradient, slopeAlong } from '../statics/ground.ts';

/** A body that could run when a line parts: vehicles and loose loads. */
export interface Runner {
  readonly on: ResolvedBody;
  readonly body: LoadBody;
  readonly isLoad: boolean;
}

export const runners = ({ bodies, load, rig }: ResolvedRig): readonly Runner[] =>
  rig.ground.slopeRad > 0
    ? bodies.flatMap((on) => (on.body.kind === 'vehicle' || on.body.kind === 'load' ? [{ on, body: on.body, isLoad: on === load.on }] : []))
    : [];

/**
 * By how much a body would run downhill without its lines, newtons: above 0 it runs. A loose load by what the slope is steeper than its
 * friction holds; a vehicle by the slope along its heading less its wheels' rolling, or its brakes; one that is stuck to a depth only
 * where the slope alone is more than the least of what holds it there.
 */
export function runsByN(moment: Moment, { body, isLoad }: Runner): number {
  const { rig, policy } = moment.rig;
  if (body.kind === 'vehicle') return vehicleRunsByN(moment, body, isLoad);
  const { slopeRad } = rig.ground;
  const friction = (isLoad && rig.load.task?.kind === 'drag' ? rig.load.task.friction : undefined) ?? policy.loads.dragFriction.value;
  return body.massKg * STANDARD_GRAVITY * (Math.sin(slopeRad) - friction * Math.cos(slopeRad));
}

/** Whether nobody says what holds a parked vehicle that would run on free wheels. */
export function mayRunUnheld(moment: Moment, { body, isLoad }: Runner): boolean {
  if (isLoad || body.kind !== 'vehicle' || body.stance?.brakes !== undefined) return false;
  return freelyRunsByN(moment, body, body.headingRad) > 0;
}

function freelyRunsByN({ rig: { rig, policy } }: Moment, { massKg }: VehicleBody, headingRad: number): number {
  const weightN = massKg * STANDARD_GRAVITY;
  const downN = weightN * Math.abs(Math.sin(slopeAlong(rig.ground, ahead(headingRad))));
  return downN - policy.effort.rollingResistance[rig.situation.surface].value * weightN * Math.cos(rig.ground.slopeRad);
}

function vehicleRunsByN(moment: Moment, body: VehicleBody, isLoad: boolean): number {
  const { rig, policy, vehicles } = moment.rig;
  const weightN = body.massKg * STANDARD_GRAVITY;
  const headingRad = body.headingRad + (isLoad ? moment.pose.turnRad : 0);
  const downN = weightN * Math.abs(Math.sin(slopeAlong(rig.ground, ahead(headingRad))));
  if (holdsItself(body)) {
    const standing = vehicles.find((entry) => entry.body.id === body.id)?.standing ?? standingOf(body, rig.ground, policy, rig.situation);
    return downN - (holdUnder(standing, []).holdN ?? 0);
  }
  // Where nobody says how a parked vehicle stands, other rules ask.
  if (!isLoad && body.stance?.brakes === undefined) return Number.NEGATIVE_INFINITY;
  const isStuck = isLoad && rig.situation.depth !== 'none' && moment.travelM < policy.pull.breakawayM.value;
  if (isStuck) return downN - stuckHoldN(moment, body);
  return freelyRunsByN(moment, body, headingRad);
}

/** Whether brakes or chocks hold a vehicle; a selector in park alone does not count. */
const holdsItself = ({ stance }: VehicleBody): boolean =>
  stance?.brakes !== undefined && ((stance.brakes !== 'none' && stance.brakes !== 'park-only') || (stance.extra?.holdN ?? 0) > 0);

/** The least that holds a vehicle where it is stuck, by the methods that apply there, on the level: without its slope term. */
function stuckHoldN({ rig: { rig, policy } }: Moment, body: VehicleBody): number {
  const outcome = estimatePull({ ...body, slopeRad: 0, situation: rig.situation }, policy);
  if (outcome.kind !== 'estimated') return Number.POSITIVE_INFINITY;
  return Math.min(...outcome.methods.filter(({ id }) => id !== 'fractions').map(({ pullN }) => pullN));
}

/** How far a place is from the way that a body would run, straight downhill with some room on either side; below 0 in it. Metres. */
export function runRoomM(moment: Moment, { body, isLoad }: Runner, at: { readonly xM: number; readonly yM: number }): number {
  const { rig, policy } = moment.rig;
  const downhill = ahead(rig.ground.uphillRad + Math.PI);
  const from = isLoad ? moment.pose : body;
  const [x, y] = [at.xM - from.xM, at.yM - from.yM];
  const along = x * downhill.x + y * downhill.y;
  // Nobody uphill of it is in its way.
  if (along < 0 || groundGradient(rig.ground, downhill) === 0) return Number.POSITIVE_INFINITY;
  return Math.abs(x * downhill.y - y * downhill.x) - body.widthM / 2 - policy.zones.corridorM.value;
}
