import type { Layout, Member } from './members.ts';
import { solveLinear } from './solve-linear.ts';

/** Give of a member of given length while relaxing: tension per metre of stretch, in units of the largest drive tension. */
const STIFFNESS_PER_M = 20;
const STEPS = 80;
/** Good enough to hand on to Newton's method: largest slope left, per unit of drive tension. */
const SETTLED = 1e-3;

export interface Relaxed {
  readonly places: Float64Array;
  /** Tension of each member of given length as its stretch tells it; 0 for a slack one. */
  readonly tensions: Float64Array;
}

/**
 * Where the free nodes of a network come to rest without friction when links give a little: the least of
 * Σ tension·length of driven ropes + Σ ½·k·stretch² of the others. That sum is convex in the nodes' places, so that there is
 * one answer whatever the start, and it also tells which members hang slack. Damped Newton steps with backtracking.
 */
export function relaxNetwork(layout: Layout): Relaxed {
  const places = Float64Array.from(layout.network.nodes.flatMap(({ at }) => [at.x, at.y, at.z]));
  const n = layout.freeNodes.length * 3;
  if (n > 0) descend(layout, places, n);
  const tensions = Float64Array.from(layout.members, (member) =>
    member.lengthM === 0 ? 0 : pullOf(layout, member, lengthOf(member, places)),
  );
  return { places, tensions };
}

function descend(layout: Layout, places: Float64Array, n: number): void {
  const slope = new Float64Array(n);
  const curve = new Float64Array(n * n);
  const trial = Float64Array.from(places);
  let energy = energyOf(layout, places);
  for (let step = 0; step < STEPS; step++) {
    fill(layout, places, slope, curve);
    let most = 0;
    for (const entry of slope) most = Math.max(most, Math.abs(entry));
    if (most < SETTLED * layout.scale) return;
    const damping = 1e-4 * layout.scale + 0.02 * most;
    for (let i = 0; i < n; i++) curve[i * n + i] = (curve[i * n + i] as number) + damping;
    const move = Float64Array.from(slope);
    if (solveLinear(curve, move).kind !== 'solved') return;
    const next = backtrack(layout, { places, trial, move, slope, energy });
    if (next === undefined) return;
    energy = next;
  }
}

interface Move {
  readonly places: Float64Array;
  readonly trial: Float64Array;
  readonly move: Float64Array;
  readonly slope: Float64Array;
  readonly energy: number;
}

/** Shortens a step until the energy falls; the new energy, or undefined where no step lowers it any more. */
function backtrack(layout: Layout, { places, trial, move, slope, energy }: Move): number | undefined {
  let falling = 0;
  for (let i = 0; i < move.length; i++) falling += (move[i] as number) * (slope[i] as number);
  for (let share = 1; share > 1e-6; share /= 2) {
    layout.freeNodes.forEach((node, order) => {
      for (let i = 0; i < 3; i++) trial[3 * node + i] = (places[3 * node + i] as number) - share * (move[3 * order + i] as number);
    });
    const next = energyOf(layout, trial);
    if (next < energy - 1e-4 * share * falling) {
      places.set(trial);
      return next;
    }
  }
  return undefined;
}

function lengthOf({ nodes }: Member, places: Float64Array): number {
  let length = 0;
  for (let strand = 0; strand + 1 < nodes.length; strand++) length += spanOf(nodes[strand] as number, nodes[strand + 1] as number, places);
  return length;
}

function spanOf(a: number, b: number, places: Float64Array): number {
  const x = (places[3 * b] as number) - (places[3 * a] as number);
  const y = (places[3 * b + 1] as number) - (places[3 * a + 1] as number);
  const z = (places[3 * b + 2] as number) - (places[3 * a + 2] as number);
  return Math.sqrt(x * x + y * y + z * z);
}

function pullOf({ scale }: Layout, { lengthM, drivenTension }: Member, length: number): number {
  return lengthM === 0 ? drivenTension : STIFFNESS_PER_M * scale * Math.max(0, length - lengthM);
}

function energyOf(layout: Layout, places: Float64Array): number {
  let energy = 0;
  for (const member of layout.members) {
    const length = lengthOf(member, places);
    const stretch = Math.max(0, length - member.lengthM);
    energy += member.lengthM === 0 ? member.drivenTension * length : 0.5 * STIFFNESS_PER_M * layout.scale * stretch * stretch;
  }
  return energy;
}

function fill(layout: Layout, places: Float64Array, slope: Float64Array, curve: Float64Array): void {
  slope.fill(0);
  curve.fill(0);
  const own = new Float64Array(slope.length);
  const slopes: Slopes = { own, curve };
  const strand: Strand = { from: 0, to: 0, a: -1, b: -1, tension: 0 };
  for (const member of layout.members) {
    const tension = pullOf(layout, member, lengthOf(member, places));
    if (tension === 0) continue;
    own.fill(0);
    for (let index = 0; index + 1 < member.nodes.length; index++) {
      strand.from = member.nodes[index] as number;
      strand.to = member.nodes[index + 1] as number;
      strand.a = layout.columnOf[strand.from] as number;
      strand.b = layout.columnOf[strand.to] as number;
      strand.tension = tension;
      addSpan(places, strand, slopes);
    }
    for (let i = 0; i < own.length; i++) slope[i] = (slope[i] as number) + tension * (own[i] as number);
    if (member.lengthM > 0) addStiffness(own, curve, STIFFNESS_PER_M * layout.scale);
  }
}

/** Adds k·g·gᵀ for a stretched member of slope g. */
function addStiffness(own: Float64Array, curve: Float64Array, stiffness: number): void {
  const n = own.length;
  for (let i = 0; i < n; i++) {
    const entry = stiffness * (own[i] as number);
    if (entry === 0) continue;
    for (let k = 0; k < n; k++) curve[i * n + k] = (curve[i * n + k] as number) + entry * (own[k] as number);
  }
}

interface Slopes {
  /** d(length)/d(coordinate) of the member at hand. */
  readonly own: Float64Array;
  readonly curve: Float64Array;
}

/** One strand of a member: its ends and first columns (−1 where held), its tension; changed in place from strand to strand. */
interface Strand {
  from: number;
  to: number;
  a: number;
  b: number;
  tension: number;
}

/** The slope of a member's length for one of its strands, and the stiffness of that strand, taut, across its direction. */
function addSpan(places: Float64Array, strand: Strand, { own, curve }: Slopes): void {
  const { from, to, a, b, tension } = strand;
  const length = Math.max(spanOf(from, to, places), 1e-6);
  const stiffness = tension / length;
  for (let i = 0; i < 3; i++) {
    const along = ((places[3 * to + i] as number) - (places[3 * from + i] as number)) / length;
    if (a >= 0) own[a + i] = (own[a + i] as number) - along;
    if (b >= 0) own[b + i] = (own[b + i] as number) + along;
    for (let k = 0; k < 3; k++) {
      const other = ((places[3 * to + k] as number) - (places[3 * from + k] as number)) / length;
      addAcross(curve, own.length, strand, i, k, stiffness * ((i === k ? 1 : 0) - along * other));
    }
  }
}

/** One entry of the stiffness of a strand, at both its ends and between them. */
function addAcross(curve: Float64Array, n: number, { a, b }: Strand, i: number, k: number, value: number): void {
  if (a >= 0) curve[(a + i) * n + a + k] = (curve[(a + i) * n + a + k] as number) + value;
  if (b >= 0) curve[(b + i) * n + b + k] = (curve[(b + i) * n + b + k] as number) + value;
  if (a < 0 || b < 0) return;
  curve[(a + i) * n + b + k] = (curve[(a + i) * n + b + k] as number) - value;
  curve[(b + i) * n + a + k] = (curve[(b + i) * n + a + k] as number) - value;
}
