import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assemble, workspaceOf } from './assemble.ts';
import { logShare } from './bend-tension.ts';
import { columnsOf, layoutOf } from './members.ts';
import type { BendFriction, Network } from './network.ts';
import { solveLinear } from './solve-linear.ts';
import { type Vec3, vec3 } from './vec3.ts';

const network: Network = {
  nodes: [
    { id: 'drive', at: vec3(0, 0, 0.7), held: true },
    { id: 'anchor', at: vec3(11, 3, 0.4), held: true },
    { id: 'tip', at: vec3(9.4, 2.1, 0.5), held: false },
    { id: 'floating', at: vec3(1.2, -1.1, 0.8), held: false },
    { id: 'hook', at: vec3(-0.4, -2, 0.6), held: true },
    { id: 'end', at: vec3(8, -4, 0.2), held: true },
    { id: 'other hook', at: vec3(-0.6, 0.3, 0.9), held: true },
  ],
  links: [
    { id: 'chain', from: 1, to: 2, lengthM: 1.7 },
    { id: 'bridle', from: 4, to: 3, lengthM: 1.9 },
  ],
  ropes: [
    {
      id: 'line',
      nodes: [0, 2, 3, 5],
      bends: [
        { kind: 'by-wrap', efficiency180: 0.88 },
        { kind: 'plain', friction: 0.15 },
      ],
    },
    { id: 'running bridle', nodes: [4, 3, 6], bends: [{ kind: 'by-wrap', efficiency180: 0.9 }], pull: { kind: 'length', lengthM: 3.4 } },
  ],
};

const layout = layoutOf(network);
const columns = columnsOf(layout, new Set());

function at(places: readonly Vec3[], tensions: Float64Array) {
  const work = workspaceOf(layout, columns);
  const trial = { places: Float64Array.from(places.flatMap(({ x, y, z }) => [x, y, z])), tensions };
  expect(assemble({ layout, columns, motion: 'hauling', slack: new Set(), work }, trial)).toBeUndefined();
  return work;
}

/** A place moved along one axis. */
function shifted3({ x, y, z }: Vec3, axis: number, by: number): Vec3 {
  const steps = [0, 0, 0].map((_, index) => (index === axis ? by : 0));
  return vec3(x + (steps[0] ?? 0), y + (steps[1] ?? 0), z + (steps[2] ?? 0));
}

describe('the derivatives that the solver steps by', () => {
  it('agree with small differences in every unknown, friction and links included', () => {
    const system = { size: columns.size, freeNodes: layout.freeNodes };
    const places = network.nodes.map((node) => node.at);
    const tensions = Float64Array.from([0.4, 1.3, 0.7]);
    const { jacobian } = at(places, tensions);
    const step = 1e-6;
    for (let column = 0; column < system.size; column++) {
      const shifted = (sign: number) => {
        const node = system.freeNodes[Math.floor(column / 3)];
        if (node === undefined)
          return at(
            places,
            tensions.map((value, index) => (index === column - system.freeNodes.length * 3 ? value + sign * step : value)),
          );
        const axis = column % 3;
        const moved = places.map((place, index) => (index === node ? shifted3(place, axis, sign * step) : place));
        return at(moved, tensions);
      };
      const [more, less] = [shifted(1).residual, shifted(-1).residual];
      for (let row = 0; row < system.size; row++) {
        const slope = ((more[row] as number) - (less[row] as number)) / (2 * step);
        expect(jacobian[row * system.size + column], `row ${row}, column ${column}`).toBeCloseTo(slope, 6);
      }
    }
  });
});

describe('what passes a bend', () => {
  const bends: readonly BendFriction[] = [
    { kind: 'by-wrap', efficiency180: 0.88 },
    { kind: 'flat', efficiency: 0.9 },
    { kind: 'plain', friction: 0.15 },
    { kind: 'frictionless' },
  ];
  it('is all of it without friction, and never more when hauling', () => {
    for (const bend of bends) {
      expect(logShare(bend, 'frictionless', 2).value).toBe(0);
      expect(logShare(bend, 'hauling', 2).value).toBeLessThanOrEqual(0);
    }
  });
  it('is as much gained when lowering as lost when hauling', () => {
    for (const bend of bends) expect(logShare(bend, 'lowering', 1.3).value).toBeCloseTo(-logShare(bend, 'hauling', 1.3).value, 12);
  });
  it('is the half-turn efficiency at a half turn, its root at a quarter, and follows the capstan on a plain bend', () => {
    expect(Math.exp(logShare(bends[0] as BendFriction, 'hauling', Math.PI).value)).toBeCloseTo(0.88, 12);
    expect(Math.exp(logShare(bends[0] as BendFriction, 'hauling', Math.PI / 2).value)).toBeCloseTo(Math.sqrt(0.88), 12);
    expect(Math.exp(logShare(bends[2] as BendFriction, 'hauling', Math.PI).value)).toBeCloseTo(Math.exp(-0.15 * Math.PI), 12);
  });
  it('has the slope it says', () => {
    for (const bend of bends)
      expect(logShare(bend, 'hauling', 1 + 1e-6).value - logShare(bend, 'hauling', 1 - 1e-6).value).toBeCloseTo(
        2e-6 * logShare(bend, 'hauling', 1).slope,
        12,
      );
  });
});

describe('solving linear equations', () => {
  it('gives back a solution put in, whatever the order of the rows', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 9 }),
        fc.array(fc.double({ min: -5, max: 5, noNaN: true }), { minLength: 90, maxLength: 90 }),
        (n, pool) => {
          const matrix = Float64Array.from(
            { length: n * n },
            (_, index) => (pool[index] as number) + (index % n === n - 1 - Math.floor(index / n) ? 25 : 0),
          );
          const wanted = pool.slice(81, 81 + n);
          const right = Float64Array.from({ length: n }, (_, row) =>
            wanted.reduce((sum, value, column) => sum + (matrix[row * n + column] as number) * value, 0),
          );
          expect(solveLinear(matrix, right).kind).toBe('solved');
          for (const [index, value] of wanted.entries()) expect(right[index]).toBeCloseTo(value, 8);
        },
      ),
      { seed: 41, numRuns: 300 },
    );
  });
  it('names the column where there is no pivot', () => {
    expect(solveLinear(Float64Array.from([1, 2, 2, 4]), Float64Array.from([1, 2]))).toEqual({ kind: 'singular', column: 1 });
    expect(solveLinear(Float64Array.from([0, 0, 0, 0]), Float64Array.from([1, 2]))).toEqual({ kind: 'singular', column: 0 });
    expect(solveLinear(Float64Array.from([Number.NaN]), Float64Array.from([1]))).toEqual({ kind: 'singular', column: 0 });
  });
});
