import { dangerZones, inZones } from '../hazards/danger-zones.ts';
import type { HoldState } from '../moment/moment.ts';
import type { Policy } from '../policy/policy.ts';
import { exceeds } from '../quantity/tolerance.ts';
import type { Body } from '../rig/rig.ts';
import { vec3 } from '../statics/vec3.ts';

/** Whether a vehicle that slides would come over somebody. */
export function slidesOver(
  { vehicle: { isLoad, body }, planned, greatest, plannedStays, greatestStays }: HoldState,
  { xM, yM }: Pick<Body, 'xM' | 'yM'>,
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
