import { stopAt } from '../../../moment/forces.ts';
import type { Moment } from '../../../moment/moment.ts';
import type { ResolvedLine } from '../../../resolved/parts.ts';
import type { ResolvedRig } from '../../../resolved/resolved-rig.ts';
import type { Feature } from '../../../rig/rig.ts';
import type { About } from '../../ask/told.ts';

export interface Crossing {
  readonly feature: Feature;
  readonly line: ResolvedLine;
  readonly span: number;
}

/** Every span that may cross a feature of a kind. */
export const spansAndFeatures =
  (kind: Feature['kind']) =>
  ({ rig, lines }: ResolvedRig): readonly Crossing[] => {
    const features = (rig.features ?? []).filter((feature) => feature.kind === kind);
    if (features.length === 0) return [];
    return lines.flatMap((line) => line.spans.flatMap((_, span) => features.map((feature) => ({ feature, line, span }))));
  };

export const aboutCrossing = ({ line, span, feature }: Crossing): About => ({
  subject: { kind: 'strand', id: `${line.line.id}.${span}` },
  place: feature.id,
});

/** Below 0 where a span crosses a feature as seen from above; touching counts. */
export function crossingMargin({ shown }: Moment, { feature, line, span }: Crossing): number {
  if (shown === undefined) return 1;
  const [from, to] = [stopAt(line, span, shown.balance), stopAt(line, span + 1, shown.balance)];
  const { points } = feature;
  for (let corner = 1; corner < points.length; corner++) {
    const [a, b] = [points[corner - 1], points[corner]];
    if (a && b && crosses({ x: a.xM, y: a.yM }, { x: b.xM, y: b.yM }, from, to)) return -1;
  }
  return 1;
}

interface MapPoint {
  readonly x: number;
  readonly y: number;
}

/** Whether two straight pieces cross on the map; touching counts. */
export function crosses(a: MapPoint, b: MapPoint, c: MapPoint, d: MapPoint): boolean {
  const side = (p: MapPoint, q: MapPoint, r: MapPoint) => (q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x);
  const [abc, abd, cda, cdb] = [side(a, b, c), side(a, b, d), side(c, d, a), side(c, d, b)];
  if (abc === 0 && abd === 0) return overlapOn('x') && overlapOn('y');
  return abc * abd <= 0 && cda * cdb <= 0;
  function overlapOn(axis: 'x' | 'y'): boolean {
    const low = (p: MapPoint, q: MapPoint) => Math.min(p[axis], q[axis]);
    const high = (p: MapPoint, q: MapPoint) => Math.max(p[axis], q[axis]);
    return low(a, b) <= high(c, d) && low(c, d) <= high(a, b);
  }
}
