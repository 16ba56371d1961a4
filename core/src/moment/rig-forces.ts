import type { ChainPlace, LineWalk, RigNetwork } from '../resolved/rig-network.ts';
import type { Rig } from '../rig/rig.ts';
import { pointOfChain } from '../rig/site-geometry.ts';
import type { Equilibrium } from '../statics/network.ts';
import { add, angleBetween, distance, norm, scale, subtract, unit, type Vec3, ZERO } from '../statics/vec3.ts';

/** Where the i-th stop of a line stands, metres. */
export function stopAt(walk: LineWalk, index: number, state: Equilibrium): Vec3 {
  return state.positions[walk.stops[index]?.node ?? -1] ?? ZERO;
}

/** Tension of the i-th span of a line, in the unit of the state's drive tensions; 0 where there is none. */
export function spanTension(walk: LineWalk, span: number, state: Equilibrium): number {
  const ref = walk.spans[span];
  return ref === undefined ? 0 : (state.strandTensions[ref.rope]?.[ref.strand] ?? 0);
}

export function spanLengthM(walk: LineWalk, span: number, state: Equilibrium): number {
  return distance(stopAt(walk, span, state), stopAt(walk, span + 1, state));
}

/** Length of the whole path of a line, metres. */
export function pathLengthM(walk: LineWalk, state: Equilibrium): number {
  return walk.spans.reduce((total, _, span) => total + spanLengthM(walk, span, state), 0);
}

/** Angle of wrap at the i-th stop, rad: how far the line turns there. */
export function wrapAtStop(walk: LineWalk, stop: number, state: Equilibrium): number {
  const [a, b, c] = [stop - 1, stop, stop + 1].map((index) => stopAt(walk, index, state)) as [Vec3, Vec3, Vec3];
  return angleBetween(subtract(b, a), subtract(c, b));
}

/** Pull of one span on the stop where it begins (side 0) or ends (side 1). */
export function spanPull(walk: LineWalk, span: number, side: 0 | 1, state: Equilibrium): Vec3 {
  const from = stopAt(walk, span + side, state);
  const to = stopAt(walk, span + 1 - side, state);
  return scale(unit(subtract(to, from)) ?? ZERO, spanTension(walk, span, state));
}

/** Force of all lines on one stop of a line. */
export function stopForce(walk: LineWalk, stop: number, state: Equilibrium): Vec3 {
  const before = stop > 0 ? spanPull(walk, stop - 1, 1, state) : ZERO;
  const after = stop < walk.spans.length ? spanPull(walk, stop, 0, state) : ZERO;
  return add(before, after);
}

/** The force with which a chain pulls at the place where it starts. */
export function chainForce(network: RigNetwork, place: ChainPlace, state: Equilibrium): Vec3 {
  if (place.link >= 0) {
    const along = unit(subtract(state.positions[place.tip] as Vec3, state.positions[place.root] as Vec3)) ?? ZERO;
    return scale(along, state.linkTensions[place.link] ?? 0);
  }
  let total = ZERO;
  for (const walk of network.lines)
    walk.stops.forEach(({ chainId }, stop) => {
      if (chainId === place.chain.id) total = add(total, stopForce(walk, stop, state));
    });
  return total;
}

/** Size of a chain's force without building vectors where a link tells it. */
export function chainLoad(network: RigNetwork, place: ChainPlace, state: Equilibrium): number {
  return place.link >= 0 ? (state.linkTensions[place.link] ?? 0) : norm(chainForce(network, place, state));
}

/** Force on every point of the rig's bodies, by point id: chains pull at their points, lines at their fairleads and edges. */
export function pointForces(rig: Rig, network: RigNetwork, state: Equilibrium): ReadonlyMap<string, Vec3> {
  const result = new Map<string, Vec3>();
  const pull = (pointId: string, force: Vec3) => result.set(pointId, add(result.get(pointId) ?? ZERO, force));
  for (const walk of network.lines) {
    const { drive, via } = walk.line;
    if (drive.kind === 'winch' || drive.kind === 'hand') pull(drive.pointId, stopForce(walk, 0, state));
    walk.stops.forEach((stop, index) => {
      const bend = via[stop.via];
      if (bend?.kind === 'edge') pull(bend.pointId, stopForce(walk, index, state));
    });
  }
  const counted = new Set<number>();
  for (const place of network.chains) {
    const point = pointOfChain(rig, place.chain);
    if (point === undefined || counted.has(place.link)) continue;
    if (place.link >= 0) counted.add(place.link);
    pull(point.id, chainForce(network, place, state));
  }
  return result;
}

/** Net force of all ropes and chains on a body. */
export function bodyForce(rig: Rig, forces: ReadonlyMap<string, Vec3>, bodyId: string): Vec3 {
  return rig.points.filter((point) => point.bodyId === bodyId).reduce((total, { id }) => add(total, forces.get(id) ?? ZERO), ZERO);
}
