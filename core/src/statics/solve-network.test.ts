import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { BendFriction, Network, NetworkNode } from './network.ts';
import { solveNetwork } from './solve-network.ts';
import { add, angleBetween, cross, distance, norm, scale, subtract, unit, type Vec3, vec3, ZERO } from './vec3.ts';

const held = (id: string, at: Vec3): NetworkNode => ({ id, at, held: true });
const free = (id: string, at: Vec3): NetworkNode => ({ id, at, held: false });
const NONE: BendFriction = { kind: 'frictionless' };

function solved(network: Network, motion: 'hauling' | 'frictionless' | 'lowering' = 'hauling') {
  const outcome = solveNetwork(network, motion);
  if (outcome.kind !== 'solved') throw new Error(JSON.stringify(outcome));
  return outcome;
}

/** Far points, so that strands that should be parallel are, to within the span's inverse. */
const FAR = 1e7;
const total = (network: Network, nodes: readonly number[], motion: 'hauling' | 'frictionless' = 'frictionless') => {
  const state = solved(network, motion);
  let sum = ZERO;
  for (const [index, rope] of network.ropes.entries()) {
    for (let strand = 0; strand + 1 < rope.nodes.length; strand++) {
      const [from, to] = [rope.nodes[strand] as number, rope.nodes[strand + 1] as number];
      const pull = scale(
        unit(subtract(state.positions[to] as Vec3, state.positions[from] as Vec3)) as Vec3,
        state.strandTensions[index]?.[strand] as number,
      );
      if (nodes.includes(from)) sum = add(sum, pull);
      if (nodes.includes(to)) sum = subtract(sum, pull);
    }
  }
  return norm(sum);
};

describe('reference rigs without friction and with parallel strands', () => {
  const nodes = [
    held('load a', vec3(0, 0, 0)),
    held('anchor', vec3(FAR, 0, 0)),
    held('load b', vec3(0, 1, 0)),
    held('anchor b', vec3(FAR, 1, 0)),
    held('load c', vec3(0, 2, 0)),
  ];
  const rope = (...path: number[]): Network => ({
    nodes,
    links: [],
    ropes: [{ id: 'line', nodes: path, bends: path.slice(2).map(() => NONE) }],
  });
  it.each([
    ['single', [0, 1], 1],
    ['doubled back on the load', [0, 1, 2], 2],
    ['tripled', [0, 1, 2, 3], 3],
    ['four parts', [0, 1, 2, 3, 4], 4],
  ])('%s gives %s × the line pull at the load', (_name, path, parts) => {
    expect(total(rope(...path), [0, 2, 4])).toBeCloseTo(parts, 6);
  });
  it.each([
    [120, 1],
    [90, Math.SQRT2],
    [60, Math.sqrt(3)],
    [0.001, 2],
  ])('a redirect of %s° between its strands loads its anchor with %s', (degrees, expected) => {
    const angle = (degrees * Math.PI) / 180;
    const corner: Network = {
      nodes: [held('drive', vec3(10, 0, 0)), held('corner', ZERO), held('load', vec3(7 * Math.cos(angle), 7 * Math.sin(angle), 0))],
      links: [],
      ropes: [{ id: 'line', nodes: [0, 1, 2], bends: [NONE] }],
    };
    expect(total(corner, [1])).toBeCloseTo(expected, 4);
  });
});

/** A hand-written three-part line whose first bend is an uneven redirect on a long chain, all in space. */
const uneven: Network = {
  nodes: [
    held('drive', vec3(0, 0, 0.8)),
    held('redirect anchor', vec3(9, 7, 0.3)),
    free('redirect', vec3(8, 6, 0.4)),
    held('load anchor', vec3(0.2, -1, 0.6)),
    free('load pulley', vec3(0.6, -0.8, 0.6)),
    held('tree', vec3(17, -2, 0.3)),
    free('tree pulley', vec3(15, -2, 0.4)),
    held('end', vec3(-0.3, 1.2, 0.5)),
  ],
  links: [
    { id: 'redirect chain', from: 1, to: 2, lengthM: 2.1 },
    { id: 'load chain', from: 3, to: 4, lengthM: 0.35 },
    { id: 'tree chain', from: 5, to: 6, lengthM: 1.4 },
  ],
  ropes: [
    {
      id: 'line',
      nodes: [0, 2, 4, 6, 7],
      bends: [
        { kind: 'by-wrap', efficiency180: 0.96 },
        { kind: 'by-wrap', efficiency180: 0.88 },
        { kind: 'by-wrap', efficiency180: 0.92 },
      ],
    },
  ],
};

describe('a three-part line with an uneven redirect', () => {
  it('balances every pulley by a force sum worked separately, chain by chain', () => {
    const { positions, strandTensions, linkTensions } = solved(uneven);
    const [t0, t1, t2, t3] = strandTensions[0] as [number, number, number, number];
    const at = (node: number) => positions[node] as Vec3;
    // Friction by hand: share left = efficiency^(wrap/π), wrap the turn of the rope's direction.
    const wrap = (a: number, b: number, c: number) => angleBetween(subtract(at(b), at(a)), subtract(at(c), at(b)));
    expect(t0).toBe(1);
    expect(t1).toBeCloseTo(0.96 ** (wrap(0, 2, 4) / Math.PI), 12);
    expect(t2).toBeCloseTo(t1 * 0.88 ** (wrap(2, 4, 6) / Math.PI), 12);
    expect(t3).toBeCloseTo(t2 * 0.92 ** (wrap(4, 6, 7) / Math.PI), 12);
    const towards = (from: number, to: number, size: number) => scale(unit(subtract(at(to), at(from))) as Vec3, size);
    const checks = [
      [2, 0, t0, 4, t1, 1, 0, 2.1],
      [4, 2, t1, 6, t2, 3, 1, 0.35],
      [6, 4, t2, 7, t3, 5, 2, 1.4],
    ] as const;
    for (const [node, before, tensionIn, after, tensionOut, anchor, link, lengthM] of checks) {
      const sum = add(towards(node, before, tensionIn), towards(node, after, tensionOut));
      expect(norm(sum)).toBeCloseTo(linkTensions[link] as number, 9);
      expect(norm(cross(sum, subtract(at(node), at(anchor))))).toBeLessThan(1e-9);
      expect(distance(at(node), at(anchor))).toBeCloseTo(lengthM, 10);
    }
  });
  it('pulls the ring off the line from its anchor to the middle: it does not stand at the trunk', () => {
    expect(distance(solved(uneven).positions[6] as Vec3, vec3(17, -2, 0.3))).toBeCloseTo(1.4, 9);
  });
});

const point = fc.record({
  x: fc.double({ min: -20, max: 20, noNaN: true }),
  y: fc.double({ min: -20, max: 20, noNaN: true }),
  z: fc.double({ min: 0, max: 4, noNaN: true }),
});
/** Random zig-zag rigs: pulleys on chains to either side, spans of at least two metres. */
const randomRig = fc
  .record({
    bends: fc.integer({ min: 1, max: 5 }),
    shift: fc.array(point, { minLength: 6, maxLength: 6 }),
    chain: fc.array(fc.double({ min: 0.05, max: 2.5, noNaN: true }), { minLength: 5, maxLength: 5 }),
    efficiency: fc.double({ min: 0.6, max: 1, noNaN: true }),
  })
  .map(({ bends, shift, chain, efficiency }): Network => {
    const nodes: NetworkNode[] = [held('drive', vec3(0, 0, 0.7))];
    const path = [0];
    const links = [];
    for (let index = 0; index < bends; index++) {
      const s = shift[index] as Vec3;
      const anchor = vec3((index % 2 === 0 ? 40 : -40) + s.x, s.y + index * 3, s.z);
      const root = nodes.push(held(`anchor ${index}`, anchor)) - 1;
      const tip = nodes.push(free(`pulley ${index}`, vec3(anchor.x * 0.97, anchor.y, anchor.z))) - 1;
      links.push({ id: `chain ${index}`, from: root, to: tip, lengthM: chain[index] as number });
      path.push(tip);
    }
    path.push(nodes.push(held('end', add(vec3(bends % 2 === 0 ? 45 : -45, -9, 0.5), shift[5] as Vec3))) - 1);
    return {
      nodes,
      links,
      ropes: [
        {
          id: 'line',
          nodes: path,
          bends: Array.from({ length: bends }, (): BendFriction => ({ kind: 'by-wrap', efficiency180: efficiency })),
        },
      ],
    };
  });

describe('random rigs', () => {
  it('leave less than 1e-9 of the drive tension unbalanced', () => {
    fc.assert(
      fc.property(randomRig, (network) => solved(network).residual < 1e-9),
      { seed: 11, numRuns: 300 },
    );
  });
  it('lose tension from bend to bend when hauling and gain it when lowering', () => {
    fc.assert(
      fc.property(randomRig, (network) => {
        const falling = solved(network, 'hauling').strandTensions[0] as readonly number[];
        const rising = solved(network, 'lowering').strandTensions[0] as readonly number[];
        return (
          falling.every((value, index) => index === 0 || value <= (falling[index - 1] as number)) &&
          rising.every((value, index) => index === 0 || value >= (rising[index - 1] as number))
        );
      }),
      { seed: 12, numRuns: 100 },
    );
  });
  it('do not care for mirroring or turning', () => {
    const turned = (v: Vec3) => vec3(0.6 * v.x - 0.8 * v.y, -(0.8 * v.x + 0.6 * v.y), v.z);
    fc.assert(
      fc.property(randomRig, (network) => {
        const plain = solved(network).linkTensions;
        const moved = solved({ ...network, nodes: network.nodes.map((node) => ({ ...node, at: turned(node.at) })) }).linkTensions;
        return plain.every((value, index) => Math.abs(value - (moved[index] as number)) < 1e-8);
      }),
      { seed: 13, numRuns: 100 },
    );
  });
  it('without friction, haul as much rope per metre of travel as they multiply the pull', () => {
    fc.assert(
      fc.property(randomRig, (network) => {
        // Move the rope's end along the last strand's line and measure the rope that comes free.
        const path = network.ropes[0]?.nodes as readonly number[];
        const end = path.at(-1) as number;
        const lengthAt = (shift: number) => {
          const nodes = network.nodes.map((node, index) =>
            index === end ? { ...node, at: add(node.at, scale(vec3(0.36, 0.48, 0.8), shift)) } : node,
          );
          const { positions } = solved({ ...network, nodes }, 'frictionless');
          return path
            .slice(1)
            .reduce((sum, node, index) => sum + distance(positions[path[index] as number] as Vec3, positions[node] as Vec3), 0);
        };
        const state = solved(network, 'frictionless');
        const last = unit(subtract(state.positions[path.at(-2) as number] as Vec3, state.positions[end] as Vec3)) as Vec3;
        const force = last.x * 0.36 + last.y * 0.48 + last.z * 0.8;
        const hauled = -(lengthAt(1e-4) - lengthAt(-1e-4)) / 2e-4;
        return Math.abs(hauled - force) < 1e-6;
      }),
      { seed: 14, numRuns: 60 },
    );
  });
});

describe('what cannot be solved is named', () => {
  it('refuses two nodes on one spot', () => {
    expect(
      solveNetwork({ nodes: [held('a', ZERO), held('b', ZERO)], links: [], ropes: [{ id: 'line', nodes: [0, 1], bends: [] }] }, 'hauling'),
    ).toEqual({ kind: 'coincident', nodes: ['a', 'b'] });
  });
  it('names a node that nothing holds', () => {
    expect(
      solveNetwork(
        {
          nodes: [held('a', ZERO), held('b', vec3(5, 0, 0)), free('c', vec3(2, 2, 0))],
          links: [],
          ropes: [{ id: 'line', nodes: [0, 1], bends: [] }],
        },
        'hauling',
      ),
    ).toEqual({ kind: 'slack', nodes: ['c'] });
  });
  it('calls a pulley between two bodies and nothing else a mechanism or unconverged, never a number', () => {
    const floating: Network = {
      nodes: [held('a', ZERO), free('pulley', vec3(3, 1, 0)), held('b', vec3(6, 0, 0))],
      links: [],
      ropes: [{ id: 'line', nodes: [0, 1, 2], bends: [{ kind: 'by-wrap', efficiency180: 0.9 }] }],
    };
    expect(solveNetwork(floating, 'hauling').kind).not.toBe('solved');
  });
});
