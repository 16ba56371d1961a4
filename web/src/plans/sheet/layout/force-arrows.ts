import { pointPosition, type Report, type Rig, type Vec3 } from '@wainrope/core';
import type { Point2 } from './place-labels.ts';
import { toScreen, type View } from './plan-sheet-layout.ts';

type Loads = Pick<Report, 'pulleys' | 'pointLoads' | 'strands'> & { readonly rig: Rig };

export interface ForceArrow {
  readonly id: string;
  readonly from: Point2;
  readonly tip: Point2;
  readonly barbs: readonly [Point2, Point2];
}

/** Length of the arrow of the greatest force, of none at all, and of its head, pixels. */
const ARROW = { most: 62, least: 12, head: 10, half: 5 };
/** An arrow keeps so far beside the chain that it lies along, pixels. */
const BESIDE = 8;

interface Pulled {
  readonly id: string;
  readonly at: Vec3;
  readonly forceN: Vec3;
}

/**
 * Arrows for what pulls on every pulley and on every body's point, in the plane of the map and in proportion to the greatest of
 * them. A force that is all but upright has none.
 */
export function forceArrows({ rig, pulleys, pointLoads }: Omit<Loads, 'strands'>, view: View): readonly ForceArrow[] {
  const pulled: readonly Pulled[] = [
    ...pulleys.flatMap(({ chainId, at, forceN, strandAngleRad }) =>
      forceN && strandAngleRad !== undefined ? [{ id: chainId, at, forceN }] : [],
    ),
    ...pointLoads.flatMap(({ pointId, forceN }) => {
      const point = rig.points.find(({ id }) => id === pointId);
      return point ? [{ id: pointId, at: pointPosition(rig, point), forceN }] : [];
    }),
  ];
  const level = ({ forceN }: Pulled) => Math.hypot(forceN.x, forceN.y);
  const greatest = Math.max(0, ...pulled.map(level));
  return pulled
    .filter((entry) => level(entry) > 0.02 * greatest)
    .map((entry) => {
      const [ux, uy] = [entry.forceN.x / level(entry), -entry.forceN.y / level(entry)];
      const root = toScreen(view, entry.at);
      const from = { x: root.x - uy * BESIDE, y: root.y + ux * BESIDE };
      const far = ARROW.least + ((ARROW.most - ARROW.least) * level(entry)) / greatest;
      const tip = { x: from.x + ux * far, y: from.y + uy * far };
      const barb = (side: number) => ({
        x: tip.x - ux * ARROW.head - uy * side * ARROW.half,
        y: tip.y - uy * ARROW.head + ux * side * ARROW.half,
      });
      return { id: entry.id, from, tip, barbs: [barb(1), barb(-1)] };
    });
}

/** Radius of the arc in an angle, pixels, and the angles that are worth one, rad: neither all but closed nor all but straight. */
const ARC_PX = 30;
const WORTH_AN_ARC = { above: 0.3, below: 3 };

/** The angle between the two strands of a pulley, as an arc. */
export function angleArcs(
  { pulleys, strands }: Omit<Loads, 'pointLoads' | 'rig'>,
  view: View,
): readonly { readonly chainId: string; readonly d: string }[] {
  return pulleys.flatMap(({ chainId, at, strandAngleRad }) => {
    if (strandAngleRad === undefined || strandAngleRad < WORTH_AN_ARC.above || strandAngleRad > WORTH_AN_ARC.below) return [];
    const others = strands.flatMap(({ from, to }) => (same(from, at) ? [to] : same(to, at) ? [from] : []));
    const [a, b] = others.map((other) => onCircle(toScreen(view, at), toScreen(view, other)));
    if (!a || !b) return [];
    const centre = toScreen(view, at);
    const turns = (a.x - centre.x) * (b.y - centre.y) - (a.y - centre.y) * (b.x - centre.x) > 0 ? 1 : 0;
    return [{ chainId, d: `M${a.x} ${a.y}A${ARC_PX} ${ARC_PX} 0 0 ${turns} ${b.x} ${b.y}` }];
  });
}

/** Positions of one solved state agree to the last bits; metres. */
const SAME_M = 1e-6;
const same = (a: Vec3, b: Vec3): boolean => Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z) < SAME_M;

function onCircle(centre: Point2, towards: Point2): Point2 | undefined {
  const far = Math.hypot(towards.x - centre.x, towards.y - centre.y);
  if (far === 0) return undefined;
  return { x: centre.x + ((towards.x - centre.x) * ARC_PX) / far, y: centre.y + ((towards.y - centre.y) * ARC_PX) / far };
}
