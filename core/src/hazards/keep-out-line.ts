import type { DangerZones } from './danger-zones.ts';

/** A place on the map, metres. */
export interface OnMap {
  readonly xM: number;
  readonly yM: number;
}

/** Corners of a circle as it is gone round. */
const ROUND = 48;

/**
 * The line that nobody crosses while a rope is tight: the shortest line round all of some danger zones, corner by corner and
 * counter-clockwise, so that it lies nowhere inside one. Empty where there are none. Metres.
 */
export function keepOutLine(zones: readonly DangerZones[]): readonly OnMap[] {
  const points = zones.flatMap(({ circles, corridors, bends }) => [
    ...circles.flatMap(({ centre, radiusM }) =>
      Array.from({ length: ROUND }, (_, corner): OnMap => {
        // Through the corners of the outline that touches the circle from outside.
        const [far, turn] = [radiusM / Math.cos(Math.PI / ROUND), (2 * Math.PI * corner) / ROUND];
        return { xM: centre.x + far * Math.cos(turn), yM: centre.y + far * Math.sin(turn) };
      }),
    ),
    ...corridors.flatMap(({ corners }) => corners.map(({ x, y }): OnMap => ({ xM: x, yM: y }))),
    ...bends.flatMap(({ apex, a, b }) => [apex, a, b].map(({ x, y }): OnMap => ({ xM: x, yM: y }))),
  ]);
  return hullOf(points);
}

/** The convex hull by a monotone chain. */
function hullOf(points: readonly OnMap[]): readonly OnMap[] {
  const sorted = [...points].sort((a, b) => a.xM - b.xM || a.yM - b.yM);
  if (sorted.length < 3) return sorted;
  const half = (list: readonly OnMap[]): OnMap[] => {
    const kept: OnMap[] = [];
    for (const point of list) {
      while (kept.length > 1 && !turnsLeft(kept.at(-2), kept.at(-1), point)) kept.pop();
      kept.push(point);
    }
    return kept.slice(0, -1);
  };
  return [...half(sorted), ...half([...sorted].reverse())];
}

function turnsLeft(a: OnMap | undefined, b: OnMap | undefined, c: OnMap): boolean {
  return a !== undefined && b !== undefined && (b.xM - a.xM) * (c.yM - a.yM) - (b.yM - a.yM) * (c.xM - a.xM) > 0;
}

/** Places so far outside a line that is gone round counter-clockwise, about so far from one another. Metres. */
export function outsideOf(line: readonly OnMap[], offM: number, stepM: number): readonly OnMap[] {
  return line.flatMap((from, index) => {
    const to = line[(index + 1) % line.length] ?? from;
    const [dx, dy] = [to.xM - from.xM, to.yM - from.yM];
    const long = Math.hypot(dx, dy);
    if (!(long > 0)) return [];
    const count = Math.max(1, Math.round(long / stepM));
    // Outward lies to the right of the way round.
    return Array.from({ length: count }, (_, step): OnMap => {
      const share = step / count;
      return { xM: from.xM + dx * share + (dy / long) * offM, yM: from.yM + dy * share - (dx / long) * offM };
    });
  });
}
