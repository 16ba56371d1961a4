import { siteFriction } from '../hold/footing.ts';
import { bodyForce } from '../moment/forces.ts';
import type { Moment } from '../moment/moment.ts';
import { STANDARD_GRAVITY } from '../quantity/units.ts';
import { groundNormal } from '../statics/ground.ts';
import { add, dot, norm, scale, subtract, type Vec3, vec3 } from '../statics/vec3.ts';

/** How a load is pushed across its way, newtons. */
export interface Aside {
  /** By its weight alone, and with what its ropes pull as planned in the state in which they hold it least. */
  readonly weightN: number;
  readonly withRopesN: number;
  /** What its wheels, or its friction on the ground, hold of it. */
  readonly holdsN: number;
}

/**
 * What pushes a load across its way on a slope, and what holds it there: μ or side grip × W·cos θ. A vehicle that is still stuck to a
 * depth, one that goes up a deck and one that is being set upright do not run aside; undefined there. Source: equilibrium on a plane.
 */
export function asideOf(moment: Moment): Aside | undefined {
  const { rig: resolved, states, travel, travelM } = moment;
  const { rig, policy, load } = resolved;
  const { task } = rig.load;
  if (rig.ground.slopeRad === 0 || task?.kind === 'deck' || task?.kind === 'right') return undefined;
  const isVehicle = load.body.kind === 'vehicle';
  if (isVehicle && rig.situation.depth !== 'none' && travelM < policy.pull.breakawayM.value) return undefined;
  const up = groundNormal(rig.ground);
  const across = (force: Vec3): Vec3 => subtract(subtract(force, scale(up, dot(force, up))), scale(travel, dot(force, travel)));
  const weight = load.body.massKg * STANDARD_GRAVITY;
  const push = across(vec3(0, 0, -weight));
  const weightN = norm(push);
  if (!(weightN > 0)) return undefined;
  const way = scale(push, 1 / weightN);
  const ropes = states.planned.map(({ balance, scale: factor }) =>
    dot(across(add(push, scale(bodyForce(load.on, balance.forces), factor))), way),
  );
  return {
    weightN,
    withRopesN: ropes.length > 0 ? Math.max(...ropes) : weightN,
    holdsN: gripOf(moment) * weight * Math.cos(rig.ground.slopeRad),
  };
}

/** Friction across its way: of a loose load on the ground, of wheels by the surface; none on ice. */
function gripOf({ rig: { rig, policy, load } }: Moment): number {
  const { body } = load;
  if (body.kind === 'load') return (rig.load.task?.kind === 'drag' ? rig.load.task.friction : undefined) ?? policy.loads.dragFriction.value;
  const ground = body.stance?.ground;
  if (ground === 'ice') return 0;
  return (ground === undefined ? siteFriction(rig.situation, policy) : policy.hold.friction[ground]).value;
}
