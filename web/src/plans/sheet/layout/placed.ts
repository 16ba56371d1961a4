import type { Point2 } from './place-labels.ts';

/** Hundredths of a pixel are finer than anything that is drawn. */
const rounded = (px: number) => Math.round(px * 100) / 100;

/** Writes a point of a mark's own as it stands on the screen. */
export type Placed = (x: number, y: number) => string;

/**
 * Writes points of a mark's own, pixels from its middle (x to the right, y down), as they stand on the screen: turned about the middle,
 * clockwise, rad, and put at a place. Whatever moves on the sheet is drawn with coordinates of its own and not by a `transform` (nor with
 * an `opacity`): with those the browser sorts all layers of the page anew at every move, which takes it longer than painting the sheet.
 * What is straight is a polyline or a polygon: the shape of a path is part of its style, which is worked out with each move.
 */
export function placed(at: Point2, turnRad = 0): Placed {
  const [cos, sin] = turnRad === 0 ? [1, 0] : [Math.cos(turnRad), Math.sin(turnRad)];
  return (x, y) => `${rounded(at.x + cos * x - sin * y)} ${rounded(at.y + sin * x + cos * y)}`;
}

/** By what a mark that is drawn facing right is turned for a heading, rad: north is up, and headings turn clockwise. */
export const onScreen = (headingRad: number): number => headingRad - Math.PI / 2;

/** Points of the screen, as those of a polygon or a polyline. */
export const pointsOf = (points: readonly Point2[]): string => points.map(({ x, y }) => `${rounded(x)} ${rounded(y)}`).join(' ');

/** A straight-sided shape through points of a mark's own, as the points of a polygon. */
export function outline(at: Point2, turnRad: number, points: readonly (readonly [x: number, y: number])[]): string {
  const put = placed(at, turnRad);
  return points.map(([x, y]) => put(x, y)).join(' ');
}

/** The rectangle of a length and a width about such a point, its length along the way it is turned; as the points of a polygon. */
export function box(
  at: Point2,
  turnRad: number,
  [x, y, length, width]: readonly [x: number, y: number, length: number, width: number],
): string {
  const [l, w] = [length / 2, width / 2];
  return outline(at, turnRad, [
    [x - l, y - w],
    [x + l, y - w],
    [x + l, y + w],
    [x - l, y + w],
  ]);
}

/** A disc about a point, as a path: the middle of a circle is part of its style too, and takes longer still. */
export const disc = (at: Point2, radius: number): string => {
  const [r, x, y] = [rounded(radius), rounded(at.x), rounded(at.y)];
  return `M${rounded(x - r)} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`;
};
