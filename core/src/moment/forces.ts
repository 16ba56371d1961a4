import type { ResolvedLine } from '../resolved/parts.ts';
import type { ResolvedRig } from '../resolved/resolved-rig.ts';
import type { Equilibrium } from '../statics/network.ts';
import { angleBetween, subtract, type Vec3, vec3, ZERO } from '../statics/vec3.ts';
import type { Balance, Forces, LoadState } from './moment.ts';

/** The forces of a balance on everything that something pulls on. */
export function forcesOf(rig: ResolvedRig, equilibrium: Equilibrium): Forces {
  const spans = rig.lines.reduce((total, line) => total + line.spans.length, 0);
  const forces: Forces = {
    spans: new Float64Array(spans),
    spanLengthsM: new Float64Array(spans),
    chains: new Float64Array(3 * rig.chains.length),
    chainSizes: new Float64Array(rig.chains.length),
    points: new Float64Array(3 * rig.points.length),
  };
  for (const line of rig.lines) pullLine(line, equilibrium, forces);
  pullChains(rig, equilibrium, forces);
  return forces;
}

/** Tensions and lengths of a line's spans, and what they do to points and to chains without length. */
function pullLine({ stops, spans, firstSpan }: ResolvedLine, { positions, strandTensions }: Equilibrium, forces: Forces): void {
  for (let span = 0; span < spans.length; span++) {
    const ref = spans[span];
    const [from, to] = [stops[span], stops[span + 1]];
    const a = from && positions[from.node];
    const b = to && positions[to.node];
    if (ref === undefined || from === undefined || to === undefined || a === undefined || b === undefined) continue;
    const tension = strandTensions[ref.rope]?.[ref.strand] ?? 0;
    const [x, y, z] = [b.x - a.x, b.y - a.y, b.z - a.z];
    const lengthM = Math.sqrt(x * x + y * y + z * z);
    forces.spans[firstSpan + span] = tension;
    forces.spanLengthsM[firstSpan + span] = lengthM;
    if (!(lengthM > 0)) continue;
    pullStop(from, forces, tension / lengthM, x, y, z);
    pullStop(to, forces, -tension / lengthM, x, y, z);
  }
}

function pullStop(
  { chain, point }: ResolvedLine['stops'][number],
  { chains, points }: Forces,
  times: number,
  x: number,
  y: number,
  z: number,
): void {
  // A chain with a length is pulled along itself, which its link tells.
  if (chain !== undefined) {
    if (chain.link < 0) addTo(chains, chain.index, times, x, y, z);
  } else if (point !== undefined) addTo(points, point.index, times, x, y, z);
}

function addTo(vectors: Float64Array, index: number, times: number, x: number, y: number, z: number): void {
  const at = 3 * index;
  vectors[at] = (vectors[at] ?? 0) + times * x;
  vectors[at + 1] = (vectors[at + 1] ?? 0) + times * y;
  vectors[at + 2] = (vectors[at + 2] ?? 0) + times * z;
}

function pullChains({ chains }: ResolvedRig, { positions, linkTensions }: Equilibrium, forces: Forces): void {
  for (const { index, link, root, tip, point, twin } of chains) {
    if (link >= 0) {
      const [a, b] = [positions[root] ?? ZERO, positions[tip] ?? ZERO];
      const [x, y, z] = [b.x - a.x, b.y - a.y, b.z - a.z];
      const size = Math.sqrt(x * x + y * y + z * z);
      const tension = linkTensions[link] ?? 0;
      if (size > 0) addTo(forces.chains, index, tension / size, x, y, z);
      forces.chainSizes[index] = tension;
    } else forces.chainSizes[index] = sizeAt(forces.chains, index);
    if (point !== undefined && !twin) {
      const at = 3 * index;
      addTo(forces.points, point.index, 1, forces.chains[at] ?? 0, forces.chains[at + 1] ?? 0, forces.chains[at + 2] ?? 0);
    }
  }
}

export function sizeAt(vectors: Float64Array, index: number): number {
  const at = 3 * index;
  const [x = 0, y = 0, z = 0] = [vectors[at], vectors[at + 1], vectors[at + 2]];
  return Math.sqrt(x * x + y * y + z * z);
}

export const vectorAt = (vectors: Float64Array, index: number): Vec3 =>
  vec3(vectors[3 * index] ?? 0, vectors[3 * index + 1] ?? 0, vectors[3 * index + 2] ?? 0);

/** Net force of all ropes and chains on a body. */
export function bodyForce({ points }: ResolvedRig['bodies'][number], forces: Forces): Vec3 {
  let [x, y, z] = [0, 0, 0];
  for (const { index } of points) {
    x += forces.points[3 * index] ?? 0;
    y += forces.points[3 * index + 1] ?? 0;
    z += forces.points[3 * index + 2] ?? 0;
  }
  return vec3(x, y, z);
}

/** Where the i-th stop of a line stands, metres. */
export function stopAt({ stops }: ResolvedLine, index: number, { equilibrium }: Balance): Vec3 {
  return equilibrium.positions[stops[index]?.node ?? -1] ?? ZERO;
}

export const spanLengthM = ({ firstSpan }: ResolvedLine, span: number, { forces }: Balance): number =>
  forces.spanLengthsM[firstSpan + span] ?? 0;

/** Length of the whole path of a line, metres. */
export function pathLengthM({ firstSpan, spans }: ResolvedLine, { spanLengthsM }: Forces): number {
  let total = 0;
  for (let span = 0; span < spans.length; span++) total += spanLengthsM[firstSpan + span] ?? 0;
  return total;
}

/** Length of a line's path from one of its stops to its end, metres. */
export function toEndM({ firstSpan, spans }: ResolvedLine, stop: number, { spanLengthsM }: Forces): number {
  let total = 0;
  for (let span = stop; span < spans.length; span++) total += spanLengthsM[firstSpan + span] ?? 0;
  return total;
}

/** Angle of wrap at the i-th stop, rad: how far the line turns there. */
export function wrapAtStop(line: ResolvedLine, stop: number, balance: Balance): number {
  const [a, b, c] = [stopAt(line, stop - 1, balance), stopAt(line, stop, balance), stopAt(line, stop + 1, balance)];
  return angleBetween(subtract(b, a), subtract(c, b));
}

/** The stops of a line as points, first end first. */
export const pathOf = (line: ResolvedLine, { balance }: LoadState): readonly Vec3[] =>
  line.stops.map((_, stop) => stopAt(line, stop, balance));
