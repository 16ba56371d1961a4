import type { Rig } from '../rig/rig.ts';
import type { RigNetwork } from '../rig/rig-network.ts';
import type { Equilibrium } from '../statics/network.ts';
import { add, scale, subtract, unit, type Vec3, ZERO } from '../statics/vec3.ts';

/** Force of one strand on the node where it begins (`from`) or, reversed, where it ends; per newton of drive tension. */
export function strandForces(network: RigNetwork, state: Equilibrium): readonly Vec3[] {
  const forces: Vec3[] = network.network.nodes.map(() => ZERO);
  network.network.ropes.forEach((rope, index) => {
    rope.nodes.slice(1).forEach((to, strand) => {
      const from = rope.nodes[strand] as number;
      const along = unit(subtract(state.positions[to] as Vec3, state.positions[from] as Vec3)) ?? ZERO;
      const pull = scale(along, state.strandTensions[index]?.[strand] ?? 0);
      forces[from] = add(forces[from] as Vec3, pull);
      forces[to] = subtract(forces[to] as Vec3, pull);
    });
  });
  return forces;
}

/** Force on every point of the rig's bodies, by point id: chains pull at their points, lines at their fairleads. Per newton of drive tension. */
export function pointForces(rig: Rig, network: RigNetwork, state: Equilibrium): ReadonlyMap<string, Vec3> {
  const strands = strandForces(network, state);
  const result = new Map<string, Vec3>();
  const pull = (pointId: string, force: Vec3) => result.set(pointId, add(result.get(pointId) ?? ZERO, force));
  network.drives.forEach((node, index) => {
    const line = rig.lines[index];
    if (line) pull(line.drive.pointId, strands[node] as Vec3);
  });
  for (const { chain, tip } of network.chains) pull(chain.from.pointId, strands[tip] as Vec3);
  return result;
}

/** Net force of all ropes and chains on a body, per newton of drive tension. */
export function bodyForce(rig: Rig, forces: ReadonlyMap<string, Vec3>, bodyId: string): Vec3 {
  return rig.points.filter((point) => point.bodyId === bodyId).reduce((total, { id }) => add(total, forces.get(id) ?? ZERO), ZERO);
}
