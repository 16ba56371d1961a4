import { angle, bearingDegrees, DEGREE, groundHeightM, length, type Rig } from '@wainrope/core';
import type { useFigures } from '../../shell/use-figures.ts';

/** The way from the first marked body to the second in words, and the angle at the second to the third. */
export function measuredWords(rig: Rig, marked: readonly string[], figure: ReturnType<typeof useFigures>['figure']): string | undefined {
  const [a, b, c] = marked.flatMap((id) => rig.bodies.find((body) => body.id === id) ?? []);
  if (!a) return undefined;
  if (!b) return `Measuring from ${a.label}: M on the next.`;
  const bearing = bearingDegrees(Math.atan2(b.xM - a.xM, b.yM - a.yM)) * DEGREE;
  const rise = groundHeightM(rig.ground, b.xM, b.yM) - groundHeightM(rig.ground, a.xM, a.yM);
  const far = `${a.label} to ${b.label}: ${figure(length(Math.hypot(b.xM - a.xM, b.yM - a.yM)))} on the map, bearing ${figure(angle(bearing))}, ${figure(length(Math.abs(rise)))} ${rise < 0 ? 'down' : 'up'}.`;
  if (!c) return far;
  const [ux, uy, vx, vy] = [a.xM - b.xM, a.yM - b.yM, c.xM - b.xM, c.yM - b.yM];
  const open = Math.abs(Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy));
  return `${far} From there to ${c.label}: ${figure(length(Math.hypot(vx, vy)))}, with ${figure(angle(open))} between.`;
}
