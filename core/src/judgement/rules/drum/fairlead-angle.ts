import { stopAt } from '../../../moment/rig-forces.ts';
import { angle, rich } from '../../../quantity/format.ts';
import { exceeds } from '../../../quantity/tolerance.ts';
import { ahead } from '../../../rig/site-geometry.ts';
import { angleBetween, subtract, vec3 } from '../../../statics/vec3.ts';
import { type Answer, notFound, type Rule, winchDrives } from '../../rule.ts';

export const fairleadAngle: Rule = {
  code: 'fairlead-angle',
  severity: 'fix',
  softenable: true,
  why: 'A line that leaves to one side stacks on the drum and wears at the fairlead.',
  needs: 'direction of the line, heading, kind of fairlead',
  check: (assessment) =>
    winchDrives(assessment).map(({ drive, winch, body, pointId }): Answer => {
      const { rig, solved, policy } = assessment;
      const place = rig.points.find(({ id }) => id === pointId)?.place;
      const subject = { kind: 'point', id: pointId } as const;
      if (!solved || place?.kind !== 'on-vehicle' || body?.kind !== 'vehicle') return notFound(subject);
      const out = subtract(stopAt(drive.walk, 1, solved.hauling), stopAt(drive.walk, 0, solved.hauling));
      const facing = ahead(body.headingRad + (place.forwardM < 0 ? Math.PI : 0));
      const off = angleBetween(vec3(out.x, out.y, 0), facing);
      const roller = winch?.attributes.fairlead === undefined || winch.attributes.fairlead === 'roller';
      const limit = ((roller ? policy.winch.fairleadRollerMaxDeg : policy.winch.fairleadHawseMaxDeg).value * Math.PI) / 180;
      if (!exceeds(off, limit)) return notFound(subject);
      return {
        kind: 'found',
        subject,
        title: rich`The line leaves the fairlead ${angle(off)} to one side`,
        detail: rich`At most ${angle(limit)} for this fairlead. Move the anchor more into line, or redirect.`,
      };
    }),
};
