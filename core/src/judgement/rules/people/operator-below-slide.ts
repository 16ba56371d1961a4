import { dangerZones, inZones } from '../../../hazards/danger-zones.ts';
import type { HoldState } from '../../../moment/moment.ts';
import type { Policy } from '../../../policy/policy.ts';
import { rich } from '../../../quantity/format.ts';
import { exceeds } from '../../../quantity/tolerance.ts';
import type { PersonBody } from '../../../rig/bodies.ts';
import { vec3 } from '../../../statics/vec3.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutBody, found } from '../../ask/speak.ts';
import { operators } from './operators.ts';

export const operatorBelowSlide = momentRule({
  code: 'operator-below-slide',
  severity: 'stop',
  softenable: false,
  why: 'A vehicle that slides takes the path of the line and of the slope.',
  needs: ['person.duty', 'person.shelter', 'body.stands', 'vehicle.stance', 'ground.slope', 'policy'],
  subjects: (rig) => operators(rig).filter(({ inVehicleId }) => inVehicleId === undefined),
  about: aboutBody,
  margin: ({ holds, rig }, operator) => (holds.some((hold) => wouldHit(hold, operator, rig.policy)) ? -1 : 1),
  answer: ({ holds, rig }, operator) => {
    const hit = holds.find((hold) => wouldHit(hold, operator, rig.policy));
    return hit && found({ operator: operator.label, vehicle: hit.vehicle.body.label });
  },
  title: ({ operator }) => rich`${operator} stands in the way of a slide`,
  detail: ({ vehicle }) => rich`${vehicle} slides that way before the winch stalls. Stand uphill and to one side.`,
});

/** Whether a vehicle that slides would come over somebody. */
function wouldHit(
  { vehicle: { isLoad, body }, planned, greatest, plannedStays, greatestStays }: HoldState,
  { xM, yM }: PersonBody,
  policy: Policy,
): boolean {
  const slides = [plannedStays, greatestStays].some((stays) => stays?.holdN !== undefined && exceeds(stays.acrossN, stays.holdN));
  const farM = policy.zones.slidePathM.value;
  const towards = (greatest ?? planned)?.towards;
  if (isLoad || !slides || towards === undefined) return false;
  const from = vec3(body.xM, body.yM, 0);
  const to = vec3(body.xM + towards.x * farM, body.yM + towards.y * farM, 0);
  const { corridors } = dangerZones([from, to], { factor: 0, corridorM: body.widthM / 2 + policy.zones.corridorM.value });
  return inZones({ circles: [], corridors, bends: [] }, vec3(xM, yM, 0));
}
