import { ahead, loadBody, type Rig } from '@wainrope/core';

interface MapPlace {
  readonly xM: number;
  readonly yM: number;
}

/** The way of a load on the map, corner by corner, up to the metre that it reaches; one place where it goes nowhere. */
export function wayOnMap(rig: Rig, reachedM: number): readonly MapPlace[] {
  const body = loadBody(rig);
  const { task, path, travel } = rig.load;
  const start = { xM: body.xM, yM: body.yM };
  if (!(reachedM > 0) || task?.kind === 'right') return [start];
  const bearing = (task?.kind === 'drag' ? task.bearingRad : body.headingRad) + (travel === 'astern' ? Math.PI : 0);
  const forward = ahead(bearing);
  const corners = path ?? [{ xM: start.xM + forward.x * reachedM, yM: start.yM + forward.y * reachedM }];
  const way: MapPlace[] = [start];
  let leftM = reachedM;
  corners.forEach((to, index) => {
    const from = way.at(-1) ?? start;
    const lengthM = Math.hypot(to.xM - from.xM, to.yM - from.yM);
    if (leftM <= 0 || lengthM === 0) return;
    // Beyond its last corner it goes straight on.
    const share = index === corners.length - 1 ? leftM / lengthM : Math.min(1, leftM / lengthM);
    way.push({ xM: from.xM + (to.xM - from.xM) * share, yM: from.yM + (to.yM - from.yM) * share });
    leftM -= lengthM * share;
  });
  return way;
}
