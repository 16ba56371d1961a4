import { distance, norm, subtract, unit, type Vec3, vec3 } from '../statics/vec3.ts';

/** A level circle to be kept clear, metres. */
export interface DangerCircle {
  readonly centre: Vec3;
  readonly radiusM: number;
}

/** A strip along a strand, its four corners in order round it, metres. */
export interface Corridor {
  readonly from: Vec3;
  readonly to: Vec3;
  readonly corners: readonly [Vec3, Vec3, Vec3, Vec3];
}

/** The inside of a bend: the triangle between its two strands, out to its circle's radius. */
export interface BendTriangle {
  readonly apex: Vec3;
  readonly a: Vec3;
  readonly b: Vec3;
}

export interface DangerZones {
  readonly circles: readonly DangerCircle[];
  readonly corridors: readonly Corridor[];
  readonly bends: readonly BendTriangle[];
}

export interface ZoneSizes {
  /** Circle radius ÷ length of the longer strand that meets there. */
  readonly factor: number;
  /** Half the width of a corridor, metres. */
  readonly corridorM: number;
}

/**
 * What is to be kept clear of one line that runs through the given points, its first end first: a circle of `factor` × the
 * longer adjoining strand round every end and bend, a corridor beside each strand, and the inside of each bend out to that
 * radius. As seen from above. Practice, not physics: parts of a broken rig have been found beyond it.
 */
export function dangerZones(path: readonly Vec3[], { factor, corridorM }: ZoneSizes): DangerZones {
  const lengths = path.slice(1).map((to, index) => distance(path[index] as Vec3, to));
  const radius = (index: number) => factor * Math.max(lengths[index - 1] ?? 0, lengths[index] ?? 0);
  return {
    circles: path.map((centre, index) => ({ centre, radiusM: radius(index) })),
    corridors: path.slice(1).flatMap((to, index) => corridor(path[index] as Vec3, to, corridorM)),
    bends: path.slice(1, -1).flatMap((apex, index) => triangle(path[index] as Vec3, apex, path[index + 2] as Vec3, radius(index + 1))),
  };
}

const level = ({ x, y }: Vec3): Vec3 => vec3(x, y, 0);

function corridor(from: Vec3, to: Vec3, halfM: number): readonly Corridor[] {
  const along = unit(level(subtract(to, from)));
  if (along === undefined) return [];
  const aside = vec3(-along.y * halfM, along.x * halfM, 0);
  const at = (point: Vec3, side: number) => vec3(point.x + side * aside.x, point.y + side * aside.y, point.z);
  return [{ from, to, corners: [at(from, 1), at(to, 1), at(to, -1), at(from, -1)] }];
}

function triangle(before: Vec3, apex: Vec3, after: Vec3, radiusM: number): readonly BendTriangle[] {
  const [towardsBefore, towardsAfter] = [before, after].map((point) => unit(level(subtract(point, apex))));
  if (towardsBefore === undefined || towardsAfter === undefined) return [];
  const out = (along: Vec3) => vec3(apex.x + along.x * radiusM, apex.y + along.y * radiusM, apex.z);
  return [{ apex, a: out(towardsBefore), b: out(towardsAfter) }];
}

/** Whether a place lies in a zone, seen from above; on the border counts as inside. */
export function inZones({ circles, corridors, bends }: DangerZones, place: Vec3): boolean {
  return (
    circles.some(({ centre, radiusM }) => norm(level(subtract(place, centre))) <= radiusM * (1 + 1e-9)) ||
    corridors.some(({ corners }) => insidePolygon(corners, place)) ||
    bends.some(({ apex, a, b }) => insidePolygon([apex, a, b], place))
  );
}

/** Whether a point lies in a convex polygon seen from above, whichever way round it is given; one without area holds nothing. */
function insidePolygon(corners: readonly Vec3[], { x, y }: Vec3): boolean {
  let [left, right] = [false, false];
  corners.forEach((from, index) => {
    const to = corners[(index + 1) % corners.length] as Vec3;
    const turn = (to.x - from.x) * (y - from.y) - (to.y - from.y) * (x - from.x);
    if (turn > 1e-9) left = true;
    if (turn < -1e-9) right = true;
  });
  return left !== right;
}

/** Whether the straight line between two points passes over a convex outline, seen from above; touching it is not passing over. */
export function passesOver(from: Vec3, to: Vec3, corners: readonly Vec3[]): boolean {
  // Shares of the way at which it is inside every side, by cutting the line at each side in turn; the sides turn one way round.
  const round = Math.sign(area(corners));
  let [enters, leaves] = [0, 1];
  for (let index = 0; index < corners.length; index++) {
    const a = corners[index] as Vec3;
    const b = corners[(index + 1) % corners.length] as Vec3;
    const side = (x: number, y: number) => round * ((b.x - a.x) * (y - a.y) - (b.y - a.y) * (x - a.x));
    const [start, end] = [side(from.x, from.y), side(to.x, to.y)];
    if (start <= 0 && end <= 0) return false;
    if (start < 0) enters = Math.max(enters, start / (start - end));
    if (end < 0) leaves = Math.min(leaves, start / (start - end));
  }
  return leaves - enters > 1e-9;
}

/** Twice the signed area of an outline. */
function area(corners: readonly Vec3[]): number {
  return corners.reduce((sum, from, index) => {
    const to = corners[(index + 1) % corners.length] as Vec3;
    return sum + from.x * to.y - to.x * from.y;
  }, 0);
}
