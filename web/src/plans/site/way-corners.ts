import { DEGREE, loadBody, type Rig } from '@wainrope/core';

/** A leg of a path as people say it: how far on the map, and towards which bearing. */
export interface Corner {
  readonly lengthM: number;
  readonly bearingDeg: number;
}

/** The path of a rig's load, leg by leg from where it stands. */
export function cornersOf(rig: Rig): readonly Corner[] {
  const { xM, yM } = loadBody(rig);
  const path = rig.load.path ?? [];
  return path.map((to, index) => {
    const from = path[index - 1] ?? { xM, yM };
    const [dx, dy] = [to.xM - from.xM, to.yM - from.yM];
    return { lengthM: Math.hypot(dx, dy), bearingDeg: (Math.atan2(dx, dy) / DEGREE + 360) % 360 };
  });
}

/** The corners on the map of a path said leg by leg. */
export function pathOf(rig: Rig, legs: readonly Corner[]): NonNullable<Rig['load']['path']> {
  const { xM, yM } = loadBody(rig);
  let at = { xM, yM };
  return legs.map(({ lengthM, bearingDeg }) => {
    at = { xM: at.xM + lengthM * Math.sin(bearingDeg * DEGREE), yM: at.yM + lengthM * Math.cos(bearingDeg * DEGREE) };
    return at;
  });
}
