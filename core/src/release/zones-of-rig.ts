import { type DangerZones, dangerZones, inZones } from '../hazards/danger-zones.ts';
import { pathOf } from '../moment/forces.ts';
import type { Moment } from '../moment/moment.ts';
import type { Body, Rig, VehicleBody } from '../rig/rig.ts';
import { ahead, groundHeightM } from '../statics/ground.ts';
import { type Vec3, vec3 } from '../statics/vec3.ts';

/** The danger zones of one line. */
export interface LineZones extends DangerZones {
  readonly lineId: string;
}

export function zonesOf({ rig, shown }: Moment): readonly LineZones[] {
  if (shown === undefined) return [];
  const sizes = { factor: rig.policy.care.zoneFactor.value, corridorM: rig.policy.zones.corridorM.value };
  return rig.lines.map((line) => ({ lineId: line.line.id, ...dangerZones(pathOf(line, shown), sizes) }));
}

/** Where a body stands, seen from above. */
export const groundPlace = (rig: Rig, { xM, yM }: Body): Vec3 => vec3(xM, yM, groundHeightM(rig.ground, xM, yM));

/** Whether somebody who stands in a zone may: in a cab or behind a named shelter. */
export function isSheltered(body: Body): boolean {
  return body.kind === 'person' && (body.inVehicleId !== undefined || body.shelter !== undefined);
}

export function standsInZone(zones: readonly DangerZones[], place: Vec3): boolean {
  return zones.some((zone) => inZones(zone, place));
}

/** The outline of a vehicle seen from above, corner by corner. */
export function outlineOf({ xM, yM, headingRad, lengthM, widthM }: VehicleBody): readonly Vec3[] {
  const forward = ahead(headingRad);
  return [
    [0.5, 0.5],
    [0.5, -0.5],
    [-0.5, -0.5],
    [-0.5, 0.5],
  ].map(([f = 0, l = 0]) =>
    vec3(xM + forward.x * f * lengthM - forward.y * l * widthM, yM + forward.y * f * lengthM + forward.x * l * widthM, 0),
  );
}
