import { describe, expect, it } from 'vitest';
import type { BendFriction, Equilibrium, Network, NetworkNode } from './network.ts';
import { solveNetwork } from './solve-network.ts';
import { add, norm, scale, subtract, unit, type Vec3, vec3, ZERO } from './vec3.ts';

const FAR = 1e6;
const NONE: BendFriction = { kind: 'frictionless' };
const held = (id: string, x: number, y: number): NetworkNode => ({ id, at: vec3(x, y, 0), held: true });
const free = (id: string, x: number, y: number): NetworkNode => ({ id, at: vec3(x, y, 0), held: false });

function solved(network: Network): Equilibrium {
  const outcome = solveNetwork(network, 'frictionless');
  if (outcome.kind !== 'solved') throw new Error(JSON.stringify(outcome));
  return outcome;
}

/** Force of all ropes and links on some nodes. */
function forceOn(network: Network, { positions, strandTensions, linkTensions }: Equilibrium, nodes: readonly number[]): number {
  const spans = [
    ...network.ropes.flatMap((rope, index) =>
      rope.nodes.slice(1).map((to, strand) => ({ from: rope.nodes[strand] as number, to, tension: strandTensions[index]?.[strand] ?? 0 })),
    ),
    ...network.links.map(({ from, to }, index) => ({ from, to, tension: linkTensions[index] ?? 0 })),
  ];
  let sum: Vec3 = ZERO;
  for (const { from, to, tension } of spans) {
    const pull = scale(unit(subtract(positions[to] as Vec3, positions[from] as Vec3)) as Vec3, tension);
    if (nodes.includes(from)) sum = add(sum, pull);
    if (nodes.includes(to)) sum = subtract(sum, pull);
  }
  return norm(sum);
}

/** Two blocks, two ropes, far apart: the hauled rope's block takes hold of the other's end. */
function compound(drive: 'ground' | 'load'): Network {
  return {
    nodes: [
      held('load', 0, 0),
      held('load too', 0, 1),
      held(drive, 0, -1),
      held('anchor', FAR, 0),
      free('travelling', FAR / 2, 0),
      free('its block', FAR / 2 - 3, 0),
    ],
    links: [{ id: 'shackle', from: 4, to: 5, lengthM: 3 }],
    ropes: [
      { id: 'hauled', nodes: [2, 5, 1], bends: [NONE], pull: { kind: 'driven', tension: 1 } },
      { id: 'carried', nodes: [4, 3, 0], bends: [NONE], pull: { kind: 'length', lengthM: 1.5 * FAR } },
    ],
  };
}

describe('the reference table: compounds of two blocks, no friction, strands parallel', () => {
  it('hauled by hand from the ground: three parts at the load, four at the anchor', () => {
    const network = compound('ground');
    const state = solved(network);
    expect(forceOn(network, state, [0, 1])).toBeCloseTo(3, 5);
    expect(forceOn(network, state, [3])).toBeCloseTo(4, 5);
  });
  it('driven by a winch on the load: four at the load, four at the anchor', () => {
    const network = compound('load');
    const state = solved(network);
    expect(forceOn(network, state, [0, 1, 2])).toBeCloseTo(4, 5);
    expect(forceOn(network, state, [3])).toBeCloseTo(4, 5);
  });
  it('both fixed ends at a separate anchor, the load on the far block: four at the load, three at that anchor, one at the drive', () => {
    const network: Network = {
      nodes: [
        held('load', 0, 0),
        held('anchor', FAR, 0),
        held('anchor too', FAR, 1),
        held('drive', FAR, -1),
        free('travelling', FAR / 2, 0),
        free('its block', FAR / 2 + 3, 0),
      ],
      links: [{ id: 'shackle', from: 4, to: 5, lengthM: 3 }],
      ropes: [
        { id: 'hauled', nodes: [3, 5, 2], bends: [NONE], pull: { kind: 'driven', tension: 1 } },
        { id: 'carried', nodes: [4, 0, 1], bends: [NONE], pull: { kind: 'length', lengthM: 1.5 * FAR } },
      ],
    };
    const state = solved(network);
    expect(forceOn(network, state, [0])).toBeCloseTo(4, 5);
    expect(forceOn(network, state, [1, 2])).toBeCloseTo(3, 5);
    expect(forceOn(network, state, [3])).toBeCloseTo(1, 5);
  });
  it('a pulley at another vehicle, the end on the winching vehicle or on an anchor: two at the load, two or one and one behind', () => {
    const line: Network = {
      nodes: [held('winch', 0, 0), held('pulley', FAR, 0), held('end', 0, 1)],
      links: [],
      ropes: [{ id: 'line', nodes: [0, 1, 2], bends: [NONE] }],
    };
    const state = solved(line);
    expect(forceOn(line, state, [1])).toBeCloseTo(2, 6);
    expect(forceOn(line, state, [0, 2])).toBeCloseTo(2, 6);
    expect(forceOn(line, state, [2])).toBeCloseTo(1, 6);
  });
});

describe('legs that share', () => {
  const bridle = (left: number, right: number): Network => ({
    nodes: [held('left', -1, 0), held('right', 1.4, 0), held('far', 2, 40), free('apex', 0, 2)],
    links: [
      { id: 'left leg', from: 0, to: 3, lengthM: left },
      { id: 'right leg', from: 1, to: 3, lengthM: right },
    ],
    ropes: [{ id: 'line', nodes: [2, 3], bends: [] }],
  });
  it('an uneven bridle balances by the triangle of its sides, worked by the law of cosines', () => {
    const network = bridle(3, 2.6);
    const { positions, linkTensions } = solved(network);
    const apex = positions[3] as Vec3;
    // The apex stands where the legs' lengths put it: 2.4 m between the points.
    const x = (3 ** 2 - 2.6 ** 2 + 2.4 ** 2) / (2 * 2.4) - 1;
    expect(apex.x).toBeCloseTo(x, 9);
    expect(apex.y).toBeCloseTo(Math.sqrt(9 - (x + 1) ** 2), 9);
    // Two equations for two tensions, by Cramer's rule.
    const to = (from: Vec3) => unit(subtract(from, apex)) as Vec3;
    const [a, b, pull] = [to(vec3(-1, 0, 0)), to(vec3(1.4, 0, 0)), to(vec3(2, 40, 0))];
    const det = a.x * b.y - b.x * a.y;
    expect(linkTensions[0]).toBeCloseTo((-pull.x * b.y + b.x * pull.y) / det, 9);
    expect(linkTensions[1]).toBeCloseTo((-a.x * pull.y + pull.x * a.y) / det, 9);
  });
  it('a leg too long hangs slack and the other carries all', () => {
    const { linkTensions, slackLinks } = solved(bridle(6, 2.6));
    expect(slackLinks).toEqual([0]);
    expect(linkTensions[0]).toBe(0);
    expect(linkTensions[1]).toBeCloseTo(1, 9);
  });
  it('a pulley whose chain is too long floats on a straight rope: a mechanism by its name, never a number', () => {
    const floating: Network = {
      nodes: [held('drive', -9, -2), held('anchor', 1, 3), held('end', 11, 2), free('pulley', 1, 1)],
      links: [{ id: 'chain', from: 1, to: 3, lengthM: 6 }],
      ropes: [{ id: 'line', nodes: [0, 3, 2], bends: [{ kind: 'by-wrap', efficiency180: 0.9 }] }],
    };
    for (const motion of ['hauling', 'frictionless', 'lowering'] as const)
      expect(solveNetwork(floating, motion)).toEqual({ kind: 'mechanism', nodes: ['pulley'] });
  });
});
