import { dangerZones, inZones } from '../../../hazards/danger-zones.ts';
import { rich } from '../../../quantity/format.ts';
import { scale, vec3 } from '../../../statics/vec3.ts';
import { type Answer, notFound, type Rule } from '../../rule.ts';

/** How far a sliding vehicle is reckoned to go, metres. */
const PATH_M = 12;

export const operatorBelowSlide: Rule = {
  code: 'operator-below-slide',
  severity: 'stop',
  softenable: false,
  why: 'A vehicle that slides takes the path of the line and of the slope.',
  needs: 'the operator’s place, the way a vehicle would slide',
  check: ({ rig, holds, policy }) => {
    const people = rig.bodies.filter((body) => body.kind === 'person').filter(({ duty }) => duty === 'operator');
    const sliding = holds.filter(
      ({ isLoad, planned, greatest }) => !isLoad && Math.max(planned?.slidesByN ?? -1, greatest?.slidesByN ?? -1) > 0,
    );
    return people.map((operator): Answer => {
      const subject = { kind: 'body', id: operator.id } as const;
      if (operator.inVehicleId !== undefined) return notFound(subject);
      const hit = sliding.find(({ body, greatest, planned }) => {
        const towards = (greatest ?? planned)?.towards;
        if (!towards) return false;
        const reach = scale(towards, PATH_M);
        const from = vec3(body.xM, body.yM, 0);
        const to = vec3(body.xM + reach.x, body.yM + reach.y, 0);
        const { corridors } = dangerZones([from, to], { factor: 0, corridorM: body.widthM / 2 + policy.zones.corridorM.value });
        return inZones({ circles: [], corridors, bends: [] }, vec3(operator.xM, operator.yM, 0));
      });
      if (!hit) return notFound(subject);
      return {
        kind: 'found',
        subject,
        title: rich`${operator.label} stands in the way of a slide`,
        detail: rich`${hit.body.label} slides towards there before the winch stalls. Stand uphill and to one side.`,
      };
    });
  },
};
