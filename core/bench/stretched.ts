import type { Rig } from '../dist/index.js';

/** The compound on a site long enough for a pull of `travelM` metres: its anchor further off, its held rope longer. */
export function stretched(rig: Rig, travelM: number): Rig {
  const awayM = 2 * travelM + 20;
  const load = rig.bodies.find(({ id }) => id === rig.load.bodyId) ?? { xM: 0, yM: 0 };
  const away = <B extends { readonly xM: number; readonly yM: number }>(body: B): B => {
    const byM = awayM / Math.hypot(body.xM - load.xM, body.yM - load.yM);
    return { ...body, xM: load.xM + byM * (body.xM - load.xM), yM: load.yM + byM * (body.yM - load.yM) };
  };
  return {
    ...rig,
    bodies: rig.bodies.map((body) => (body.kind === 'tree' ? away(body) : body)),
    lines: rig.lines.map((line) => (line.drive.kind === 'held' ? { ...line, drive: { ...line.drive, lengthM: awayM + 12 } } : line)),
    load: { ...rig.load, travelM },
  };
}
