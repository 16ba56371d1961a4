import { logShare } from './bend-tension.ts';
import type { Motion, Rope } from './network.ts';
import { angleBetween, dot, scale, subtract, type Vec3, vec3 } from './vec3.ts';

export interface Strand {
  readonly from: number;
  readonly to: number;
  /** Unit direction from `from` to `to`. */
  readonly along: Vec3;
  readonly lengthM: number;
  readonly tension: number;
}

/** How a strand's tension answers to a move of one node: d(ln T)/dx. */
export interface TensionGradient {
  readonly node: number;
  readonly slope: Vec3;
}

export interface RopeState {
  readonly strands: readonly Strand[];
  /** For each strand, how its tension changes as nodes before it move. */
  readonly gradients: readonly (readonly TensionGradient[])[];
  /** For each bend, the angle of wrap, rad. */
  readonly wraps: readonly number[];
}

/** The strands of a rope at the given places, tension 1 at the drive; undefined where two of its nodes coincide. */
export function ropeState(
  rope: Rope,
  places: readonly Vec3[],
  motion: Motion,
): RopeState | { readonly coincident: readonly [number, number] } {
  const strands: Strand[] = [];
  const gradients: TensionGradient[][] = [];
  const wraps: number[] = [];
  let logTension = 0;
  let gradient: TensionGradient[] = [];
  for (let index = 0; index + 1 < rope.nodes.length; index++) {
    const from = rope.nodes[index] as number;
    const to = rope.nodes[index + 1] as number;
    const span = subtract(places[to] as Vec3, places[from] as Vec3);
    const lengthM = Math.sqrt(dot(span, span));
    if (!(lengthM > 1e-9)) return { coincident: [from, to] };
    const along = scale(span, 1 / lengthM);
    const before = strands[index - 1];
    if (before !== undefined) {
      const wrapRad = angleBetween(before.along, along);
      const friction = rope.bends[index - 1];
      const share = friction === undefined ? { value: 0, slope: 0 } : logShare(friction, motion, wrapRad);
      wraps.push(wrapRad);
      logTension += share.value;
      gradient = [...gradient, ...wrapGradient(before, { from, to, along, lengthM, tension: 0 }, share.slope)];
    }
    strands.push({ from, to, along, lengthM, tension: Math.exp(logTension) });
    gradients.push(gradient);
  }
  return { strands, gradients, wraps };
}

/** Slope × dφ/dx for the three nodes of a bend, φ the angle between the directions in and out. */
function wrapGradient(before: Strand, after: Strand, slope: number): TensionGradient[] {
  if (slope === 0) return [];
  const cosine = dot(before.along, after.along);
  const sine = Math.sqrt(Math.max(0, 1 - cosine * cosine));
  if (sine < 1e-9) return [];
  const towards = (along: Vec3, other: Vec3, lengthM: number): Vec3 =>
    scale(subtract(other, scale(along, cosine)), -slope / (sine * lengthM));
  const atIn = towards(before.along, after.along, before.lengthM);
  const atOut = towards(after.along, before.along, after.lengthM);
  return [
    { node: before.from, slope: scale(atIn, -1) },
    { node: before.to, slope: vec3(atIn.x - atOut.x, atIn.y - atOut.y, atIn.z - atOut.z) },
    { node: after.to, slope: atOut },
  ];
}
