import { angle, rich } from '../../quantity/format.ts';
import { exceeds } from '../../quantity/tolerance.ts';
import { ahead } from '../../rig/places.ts';
import { gearOf } from '../../rig/rig-network.ts';
import { angleBetween, subtract, type Vec3, vec3 } from '../../statics/vec3.ts';
import { driveLine } from '../assessment.ts';
import { notFound, type Rule } from '../rule.ts';

export const fairleadAngle: Rule = {
  code: 'fairlead-angle',
  severity: 'fix',
  softenable: true,
  why: 'A line that leaves to one side stacks on the drum and wears at the fairlead.',
  needs: 'direction of the line, heading, kind of fairlead',
  check: ({ rig, gear, network, solved, policy }) => {
    const line = driveLine(rig);
    const point = rig.points.find(({ id }) => id === line.drive.pointId);
    const body = rig.bodies.find(({ id }) => id === point?.bodyId);
    const subject = { kind: 'point', id: line.drive.pointId } as const;
    const [from, to] = network.network.ropes[0]?.nodes ?? [];
    if (!solved || point?.place.kind !== 'on-vehicle' || body?.kind !== 'vehicle' || from === undefined || to === undefined)
      return [notFound(subject)];
    const out = subtract(solved.hauling.positions[to] as Vec3, solved.hauling.positions[from] as Vec3);
    const facing = ahead(body.headingRad + (point.place.forwardM < 0 ? Math.PI : 0));
    const off = angleBetween(vec3(out.x, out.y, 0), facing);
    const winch = gearOf(line.drive.use, gear);
    const roller = winch?.kind !== 'winch' || winch.attributes.fairlead === undefined || winch.attributes.fairlead === 'roller';
    const limit = ((roller ? policy.winch.fairleadRollerMaxDeg : policy.winch.fairleadHawseMaxDeg).value * Math.PI) / 180;
    if (!exceeds(off, limit)) return [notFound(subject)];
    return [
      {
        kind: 'found',
        subject,
        title: rich`The line leaves the fairlead ${angle(off)} to one side`,
        detail: rich`At most ${angle(limit)} for this fairlead. Move the anchor more into line, or redirect.`,
      },
    ];
  },
};
