import type { ShackleInPoint } from '../resolved/place.ts';
import { ahead, groundNormal } from '../statics/ground.ts';
import { cross, dot, unit, type Vec3, vec3, ZERO } from '../statics/vec3.ts';
import { vectorAt } from './forces.ts';
import type { Balance, Moment } from './moment.ts';

type At = Pick<Moment, 'rig' | 'pose' | 'positions'> & { readonly balance: Balance };

/**
 * Angle of the load off a shackle's bow, rad, 0 to a right angle: what its point does not let it follow. A point that lets it swing
 * level leaves the rise of the load, one that lets it swing upright its way to the side, a free one nothing. Where nobody says which,
 * the larger of the two. The vehicle is taken to stand along its heading on the ground.
 */
export function offTheBowRad(at: At, { swing, on, seat }: ShackleInPoint): number {
  if (swing === 'free' || on.body.kind !== 'vehicle') return 0;
  const way = unit(pullOf(at, seat));
  if (way === undefined) return 0;
  const up = groundNormal(at.rig.rig.ground);
  const forward = ahead(on.body.headingRad + (on === at.rig.load.on ? at.pose.turnRad : 0));
  const [rises, aside] = [Math.abs(dot(way, up)), Math.abs(dot(way, cross(up, forward)))].map((sine) => Math.asin(Math.min(1, sine)));
  if (swing === 'level') return rises ?? 0;
  return swing === 'upright' ? (aside ?? 0) : Math.max(rises ?? 0, aside ?? 0);
}

/** What pulls at the shackle: its chain, or the strap of its back-anchor. */
function pullOf({ positions, balance }: At, seat: ShackleInPoint['seat']): Vec3 {
  if (seat.kind === 'chain') return vectorAt(balance.forces.chains, seat.chain.index);
  const [from, to] = [positions[seat.tie.vehicle.index] ?? ZERO, positions[seat.tie.anchor.index] ?? ZERO];
  return vec3(to.x - from.x, to.y - from.y, to.z - from.z);
}
