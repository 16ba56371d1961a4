import { ahead, slopeAlong } from '../statics/ground.ts';
import { type Vec3, vec3 } from '../statics/vec3.ts';
import type { LoadBody, Rig } from './rig.ts';

/** A straight stretch of a load's way over the ground. */
export interface WayLeg {
  /** Where it begins, metres of travel. */
  readonly fromM: number;
  /** Its end, metres of travel; the last one has none. */
  readonly toM: number;
  /** Where the load's origin stands as it begins, on the map. */
  readonly xM: number;
  readonly yM: number;
  /** Unit direction in space, lying in the ground or on the ramp. */
  readonly along: Vec3;
  /** How far the body is turned from its heading as drawn, rad clockwise; loose loads keep their bearing. */
  readonly turnRad: number;
}

/** The way of a load: straight on or along its path, or round the edge on which it is set upright. */
export interface LoadWay {
  readonly legs: readonly WayLeg[];
  /** Height of the line over the edge about which it is turned, metres; its travel is the arc at that height. */
  readonly edgeHeightM: number | undefined;
}

/** Corners nearer than this to the one before are none, metres. */
const LEAST_LEG_M = 1e-6;

/** The way of a load as the document has it; `body` is the load. */
export function loadWay({ ground, load: { travel, task, path } }: Rig, body: LoadBody): LoadWay {
  const { xM, yM, headingRad } = body;
  const astern = travel === 'astern' ? Math.PI : 0;
  const corners = cornersOf(xM, yM, path ?? []);
  const edgeHeightM = task?.kind === 'right' ? task.lineHeightM : undefined;
  if (corners.length < 2) {
    const bearing = (task?.kind === 'drag' || task?.kind === 'right' ? task.bearingRad : headingRad) + astern;
    const along = lyingIn(ground, task, ahead(bearing));
    return { legs: [{ fromM: 0, toM: Number.POSITIVE_INFINITY, xM, yM, along, turnRad: 0 }], edgeHeightM };
  }
  const legs: WayLeg[] = [];
  let fromM = 0;
  corners.slice(1).forEach((to, index) => {
    const from = corners[index] ?? to;
    const bearing = Math.atan2(to.x - from.x, to.y - from.y);
    const along = lyingIn(ground, task, ahead(bearing));
    const last = index === corners.length - 2;
    const lengthM = Math.hypot(to.x - from.x, to.y - from.y) / Math.hypot(along.x, along.y);
    const turnRad = body.kind === 'vehicle' ? bearing + astern - headingRad : 0;
    legs.push({ fromM, toM: last ? Number.POSITIVE_INFINITY : fromM + lengthM, xM: from.x, yM: from.y, along, turnRad });
    fromM += lengthM;
  });
  return { legs, edgeHeightM };
}

function cornersOf(xM: number, yM: number, path: NonNullable<Rig['load']['path']>): readonly { readonly x: number; readonly y: number }[] {
  const corners = [{ x: xM, y: yM }];
  for (const { xM: x, yM: y } of path) {
    const before = corners.at(-1);
    if (before === undefined || Math.hypot(x - before.x, y - before.y) > LEAST_LEG_M) corners.push({ x, y });
  }
  return corners;
}

/** A level direction laid into the ground, or on to the ramp of a deck. */
function lyingIn(ground: Rig['ground'], task: Rig['load']['task'], level: Vec3): Vec3 {
  const slope = task?.kind === 'deck' ? task.rampRad : slopeAlong(ground, level);
  return vec3(level.x * Math.cos(slope), level.y * Math.cos(slope), Math.sin(slope));
}
