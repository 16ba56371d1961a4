import type { Assessment } from '../moment/assessment.ts';
import { stopAt } from '../moment/rig-forces.ts';
import type { Feature } from '../rig/rig.ts';
import type { Vec3 } from '../statics/vec3.ts';
import { shownState } from './report/drawing-facts.ts';

interface MapPoint {
  readonly x: number;
  readonly y: number;
}

export interface Crossing {
  readonly feature: Feature;
  readonly lineId: string;
  readonly strand: number;
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

/** Every strand that crosses a feature of a kind, once each. */
export function strandsOver(assessment: Assessment, kind: Feature['kind']): readonly Crossing[] {
  const state = shownState(assessment)?.state;
  const features = (assessment.rig.features ?? []).filter((feature) => feature.kind === kind);
  if (state === undefined || features.length === 0) return [];
  return assessment.network.lines.flatMap((walk) =>
    walk.spans.flatMap((_, strand) => {
      const [from, to]: readonly Vec3[] = [stopAt(walk, strand, state), stopAt(walk, strand + 1, state)];
      if (!from || !to) return [];
      return features.filter(({ points }) => meets(points, from, to)).map((feature) => ({ feature, lineId: walk.line.id, strand }));
    }),
  );
}

function meets(points: Feature['points'], from: MapPoint, to: MapPoint): boolean {
  const corners = points.map(({ xM, yM }) => ({ x: xM, y: yM }));
  return corners.slice(1).some((corner, index) => crosses(corners[index] as MapPoint, corner, from, to));
}
