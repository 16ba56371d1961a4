import { stopAt } from '../../../moment/forces.ts';
import type { Moment } from '../../../moment/moment.ts';
import { angle, rich } from '../../../quantity/format.ts';
import { leftBelow } from '../../../quantity/tolerance.ts';
import type { WinchDrive } from '../../../resolved/parts.ts';
import type { ResolvedRig } from '../../../resolved/resolved-rig.ts';
import { ahead } from '../../../statics/ground.ts';
import { angleBetween, vec3 } from '../../../statics/vec3.ts';
import { momentRule } from '../../ask/rule.ts';
import { found, vehicleOf, winchDrives } from '../../ask/speak.ts';

export const fairleadAngle = momentRule({
  code: 'fairlead-angle',
  severity: 'fix',
  softenable: true,
  why: 'A line that leaves to one side stacks on the drum and wears at the fairlead.',
  needs: ['line.way', 'body.heading', 'point.mount', 'gear.fairlead', 'policy'],
  subjects: (rig) => winchDrives(rig).filter(({ on, point }) => on?.body.kind === 'vehicle' && point.point.place.kind === 'on-vehicle'),
  about: ({ point }) => ({ subject: { kind: 'point', id: point.point.id } }),
  margin: (moment, drive) => leftBelow(offFairleadRad(moment, drive), fairleadLimitRad(drive, moment.rig)),
  answer: (moment, drive) => found({ offRad: offFairleadRad(moment, drive), mostRad: fairleadLimitRad(drive, moment.rig) }),
  title: ({ offRad }) => rich`The line leaves the fairlead ${angle(offRad)} to one side`,
  detail: ({ mostRad }) => rich`At most ${angle(mostRad)} for this fairlead. Move the anchor more into line, or redirect.`,
});

/** Angle in plan between the line and the way its fairlead faces, rad; NaN where the rig has no balance. */
function offFairleadRad({ balances, rig, pose }: Moment, { line, on, point }: WinchDrive): number {
  const vehicle = vehicleOf(on);
  const { place } = point.point;
  if (balances === undefined || vehicle === undefined || place.kind !== 'on-vehicle') return Number.NaN;
  const [from, to] = [stopAt(line, 0, balances.hauling), stopAt(line, 1, balances.hauling)];
  const turned = on === rig.load.on ? pose.turnRad : 0;
  const facing = ahead(vehicle.headingRad + turned + (place.forwardM < 0 ? Math.PI : 0));
  return angleBetween(vec3(to.x - from.x, to.y - from.y, 0), facing);
}

function fairleadLimitRad({ winch }: WinchDrive, { policy }: ResolvedRig): number {
  const roller = winch?.attributes.fairlead === undefined || winch.attributes.fairlead === 'roller';
  return ((roller ? policy.winch.fairleadRollerMaxDeg : policy.winch.fairleadHawseMaxDeg).value * Math.PI) / 180;
}
