import type { Network } from './network.ts';
import type { RopeState, Strand, TensionGradient } from './rope-geometry.ts';
import { norm, subtract, type Vec3, vec3 } from './vec3.ts';

/** The unknowns of a network: three coordinates for every free node, then one tension for every taut link. */
export interface System {
  readonly freeNodes: readonly number[];
  readonly links: readonly number[];
  /** First column of a node's coordinates; −1 where it is held. */
  readonly columnOf: readonly number[];
  readonly size: number;
  /** Longest move of a node in one step, metres. */
  readonly reachM: number;
  readonly nameOfColumn: (column: number) => string;
  readonly moved: (places: readonly Vec3[], step: Float64Array, share: number) => readonly Vec3[];
}

export function systemOf(network: Network, slack: ReadonlySet<number>): System {
  const freeNodes = network.nodes.map((_, index) => index).filter((index) => network.nodes[index]?.held === false);
  const links = network.links.map((_, index) => index).filter((index) => !slack.has(index));
  const columnOf = network.nodes.map((_, index) => {
    const place = freeNodes.indexOf(index);
    return place < 0 ? -1 : place * 3;
  });
  const shortest = Math.min(1, ...links.map((index) => network.links[index]?.lengthM ?? 1));
  return {
    freeNodes,
    links,
    columnOf,
    size: freeNodes.length * 3 + links.length,
    reachM: shortest / 2,
    nameOfColumn: (column) => {
      const node = freeNodes[Math.floor(column / 3)];
      if (node !== undefined) return network.nodes[node]?.id ?? '';
      return network.links[links[column - freeNodes.length * 3] ?? -1]?.id ?? '';
    },
    moved: (places, step, share) =>
      places.map((place, node) => {
        const column = columnOf[node] as number;
        if (column < 0) return place;
        const at = (offset: number) => share * (step[column + offset] as number);
        return vec3(place.x - at(0), place.y - at(1), place.z - at(2));
      }),
  };
}

interface State {
  readonly places: readonly Vec3[];
  readonly ropes: readonly RopeState[];
  readonly tensions: Float64Array;
}

interface Assembled {
  readonly residual: Float64Array;
  readonly jacobian: Float64Array;
  /** Largest entry of the residual. */
  readonly size: number;
}

/** Unbalanced force at each free node and gap of each link, with their exact derivatives. */
export function assemble(system: System, network: Network, state: State): Assembled {
  const residual = new Float64Array(system.size);
  const jacobian = new Float64Array(system.size * system.size);
  for (const { strands, gradients } of state.ropes) {
    strands.forEach((strand, index) => {
      addStrand({ system, residual, jacobian }, strand, gradients[index] ?? []);
    });
  }
  system.links.forEach((linkIndex, row) => {
    addLink({ system, residual, jacobian }, network, state, linkIndex, row);
  });
  let size = 0;
  for (const entry of residual) size = Math.max(size, Math.abs(entry));
  return { residual, jacobian, size: Number.isNaN(size) ? Number.POSITIVE_INFINITY : size };
}

interface Target {
  readonly system: System;
  readonly residual: Float64Array;
  readonly jacobian: Float64Array;
}

const axes = (v: Vec3): readonly [number, number, number] => [v.x, v.y, v.z];

function addStrand(target: Target, strand: Strand, gradients: readonly TensionGradient[]): void {
  const along = axes(strand.along);
  const stiffness = strand.tension / strand.lengthM;
  for (const [node, sign] of [
    [strand.from, 1],
    [strand.to, -1],
  ] as const) {
    const row = target.system.columnOf[node] as number;
    if (row < 0) continue;
    for (let i = 0; i < 3; i++) {
      target.residual[row + i] = (target.residual[row + i] as number) + sign * strand.tension * (along[i] as number);
      spread(target, row + i, strand, { along, axis: i, value: sign * stiffness });
    }
    for (const { node: moved, slope } of gradients) addGradient(target, row, moved, axes(slope), sign * strand.tension, along);
  }
}

interface Stiffness {
  readonly along: readonly [number, number, number];
  readonly axis: number;
  readonly value: number;
}

/** d(value·u)/dx for both ends of a span: ±value·(I − u uᵀ). */
function spread(
  target: Target,
  row: number,
  ends: { readonly from: number; readonly to: number },
  { along, axis, value }: Stiffness,
): void {
  const { columnOf, size } = target.system;
  for (const [end, sign] of [
    [ends.to, 1],
    [ends.from, -1],
  ] as const) {
    const column = columnOf[end] as number;
    if (column < 0) continue;
    for (let k = 0; k < 3; k++) {
      const across = (k === axis ? 1 : 0) - (along[axis] as number) * (along[k] as number);
      const place = row * size + column + k;
      target.jacobian[place] = (target.jacobian[place] as number) + sign * value * across;
    }
  }
}

function addGradient(
  target: Target,
  row: number,
  moved: number,
  slope: readonly number[],
  tension: number,
  along: readonly number[],
): void {
  const column = target.system.columnOf[moved] as number;
  if (column < 0) return;
  for (let i = 0; i < 3; i++) {
    for (let k = 0; k < 3; k++) {
      const place = (row + i) * target.system.size + column + k;
      target.jacobian[place] = (target.jacobian[place] as number) + tension * (along[i] as number) * (slope[k] as number);
    }
  }
}

function addLink(target: Target, network: Network, state: State, linkIndex: number, order: number): void {
  const link = network.links[linkIndex];
  if (link === undefined) return;
  const { system } = target;
  const span = subtract(state.places[link.to] as Vec3, state.places[link.from] as Vec3);
  const lengthM = Math.max(norm(span), 1e-12);
  const along = [span.x / lengthM, span.y / lengthM, span.z / lengthM] as const;
  const tension = state.tensions[order] as number;
  const lengthRow = system.freeNodes.length * 3 + order;
  target.residual[lengthRow] = lengthM - link.lengthM;
  for (const [node, sign] of [
    [link.from, 1],
    [link.to, -1],
  ] as const) {
    const row = system.columnOf[node] as number;
    if (row < 0) continue;
    for (let i = 0; i < 3; i++) {
      target.residual[row + i] = (target.residual[row + i] as number) + sign * tension * (along[i] as number);
      target.jacobian[(row + i) * system.size + lengthRow] = sign * (along[i] as number);
      target.jacobian[lengthRow * system.size + row + i] = -sign * (along[i] as number);
      spread(target, row + i, link, { along, axis: i, value: (sign * tension) / lengthM });
    }
  }
}
