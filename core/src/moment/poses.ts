import type { ResolvedRig } from '../resolved/resolved-rig.ts';
import type { Network, NetworkNode } from '../statics/network.ts';
import { add, scale, subtract, unit, type Vec3, vec3 } from '../statics/vec3.ts';

/** Where every point of the rig stands when its load has gone `travelM` metres, 0 or more, straight along its way. */
export function pointsAt({ start, points, load, travel }: ResolvedRig, travelM: number): readonly Vec3[] {
  if (travelM === 0) return start;
  return start.map((at, index) =>
    points[index]?.on === load.on ? vec3(at.x + travel.x * travelM, at.y + travel.y * travelM, at.z + travel.z * travelM) : at,
  );
}

/** The middle of all points that hold something: where first guesses look. */
function middleOf(positions: readonly Vec3[]): Vec3 {
  let [x, y, z] = [0, 0, 0];
  for (const at of positions) {
    x += at.x;
    y += at.y;
    z += at.z;
  }
  const share = 1 / Math.max(1, positions.length);
  return vec3(x * share, y * share, z * share);
}

/** The rig's equations with its points in place: held nodes stand on them, free ones have a first guess. */
export function networkAt({ equations }: ResolvedRig, positions: readonly Vec3[]): Network {
  const middle = middleOf(positions);
  const nodes = equations.nodes.map((node): NetworkNode => {
    switch (node.kind) {
      case 'held':
        return { id: node.id, at: positions[node.point] ?? middle, held: true };
      case 'floating':
        return { id: node.id, at: add(middle, vec3(0.13 * node.order, 0.07 * node.order, 0)), held: false };
      case 'tip': {
        const root = node.point === undefined ? middle : (positions[node.point] ?? middle);
        const towards = unit(subtract(middle, root)) ?? vec3(1, 0, 0);
        return { id: node.id, at: add(root, scale(towards, node.lengthM)), held: false };
      }
      default: {
        const never: never = node;
        return never;
      }
    }
  });
  return { nodes, links: equations.links, ropes: equations.ropes };
}
