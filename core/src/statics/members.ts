import type { BendFriction, Network } from './network.ts';

/** A rope or a link as the solver walks it: both are members, a link one without bends and of given length. */
export interface Member {
  readonly id: string;
  readonly nodes: readonly number[];
  readonly bends: readonly BendFriction[];
  /** Tension at the first node where a drive sets it; 0 where the length does. */
  readonly drivenTension: number;
  /** Length between its ends, metres; 0 where a drive sets the tension. */
  readonly lengthM: number;
}

/** A network laid out flat: which coordinate and which tension is which unknown. */
export interface Layout {
  readonly network: Network;
  /** Ropes, then links. */
  readonly members: readonly Member[];
  /** First column of a node's three coordinates; −1 where it is held. */
  readonly columnOf: Int32Array;
  readonly freeNodes: readonly number[];
  /** Longest rope path in nodes. */
  readonly longest: number;
  /** Largest drive tension; 1 where nothing drives. */
  readonly scale: number;
}

/** Where the unknown tensions of one trial stand, for members that are taut and of given length. */
export interface Columns {
  readonly tensionOf: Int32Array;
  readonly taut: readonly number[];
  readonly size: number;
}

const NO_BENDS: readonly BendFriction[] = [];

export function layoutOf(network: Network): Layout {
  const ropes = network.ropes.map(
    ({ id, nodes, bends, pull }): Member => ({
      id,
      nodes,
      bends,
      drivenTension: pull === undefined ? 1 : pull.kind === 'driven' ? pull.tension : 0,
      lengthM: pull?.kind === 'length' ? pull.lengthM : 0,
    }),
  );
  const links = network.links.map(
    ({ id, from, to, lengthM }): Member => ({ id, nodes: [from, to], bends: NO_BENDS, drivenTension: 0, lengthM }),
  );
  const members = [...ropes, ...links];
  const columnOf = new Int32Array(network.nodes.length).fill(-1);
  const freeNodes: number[] = [];
  network.nodes.forEach(({ held }, node) => {
    if (held) return;
    columnOf[node] = freeNodes.length * 3;
    freeNodes.push(node);
  });
  let longest = 2;
  let scale = 0;
  for (const { nodes, drivenTension } of members) {
    longest = Math.max(longest, nodes.length);
    scale = Math.max(scale, drivenTension);
  }
  return { network, members, columnOf, freeNodes, longest, scale: scale > 0 ? scale : 1 };
}

export function columnsOf({ members, freeNodes }: Layout, slack: ReadonlySet<number>): Columns {
  const tensionOf = new Int32Array(members.length).fill(-1);
  const taut: number[] = [];
  members.forEach(({ lengthM }, index) => {
    if (lengthM === 0 || slack.has(index)) return;
    tensionOf[index] = freeNodes.length * 3 + taut.length;
    taut.push(index);
  });
  return { tensionOf, taut, size: freeNodes.length * 3 + taut.length };
}

/** What a column stands for, in words. */
export function nameOfColumn({ network, freeNodes, members }: Layout, { taut }: Columns, column: number): string {
  const node = freeNodes[Math.floor(column / 3)];
  if (node !== undefined) return network.nodes[node]?.id ?? '';
  return members[taut[column - freeNodes.length * 3] ?? -1]?.id ?? '';
}
