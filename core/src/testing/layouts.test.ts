import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { describe, expect, it } from 'vitest';
import { judge } from '../judgement/judge.ts';
import { drivenBy } from '../moment/balance.ts';
import { momentAt } from '../moment/moment-at.ts';
import { networkAt } from '../moment/poses.ts';
import { resolveRig } from '../resolved/resolve-rig.ts';
import { readRigFile } from '../rig/case.ts';
import { layouts } from './layouts.ts';
import { relaxationOracle } from './relaxation-oracle.ts';

/**
 * Tension of every strand, line by line, for one newton at the first drive, hauling. Worked by letting the free nodes of each
 * layout drift to rest under springs (relaxation-oracle.ts), to four decimals.
 */
const EXPECTED: { readonly [file: string]: readonly (readonly number[])[] } = {
  'single-line-to-an-anchor': [[1]],
  'single-line-to-a-vehicle': [[1]],
  'double-line-self-recovery': [[1, 0.8816]],
  'double-line-to-a-vehicle': [[1, 0.8826]],
  'double-line-to-a-separate-anchor': [[1, 0.901]],
  'triple-line': [[1, 0.8817, 0.85]],
  'redirect-round-a-corner': [[1, 0.976]],
  'redirect-along-a-road': [[1, 0.9965, 0.9163]],
  'redirect-through-a-high-pulley': [[1, 0.9956]],
  'redirect-plus-double': [[1, 0.9798, 0.8673]],
  'extension-in-the-anchor-leg': [[1, 0.8816]],
  'extension-in-the-return-leg': [[1, 0.8814]],
  // Round the fairlead's lip by 112.7°: e^(−0.12 × 1.967).
  'led-under-the-vehicle': [[1, 0.7898]],
  'fixed-bridle': [[1]],
  'running-bridle': [[1], [0.5449, 0.4898]],
  'back-anchored-to-a-tree': [[1]],
  'back-anchored-to-vehicles': [[1]],
  'two-winches': [[1], [0.7548]],
  'clearing-sideways': [[1, 0.9266]],
  'ground-anchor': [[1]],
  'compound-by-hand': [
    [1, 0.8872],
    [1.8777, 1.805],
  ],
  'compound-by-winch': [
    [1, 0.8811],
    [1.8809, 1.8063],
  ],
  'compound-at-a-separate-anchor': [
    [1, 0.8897],
    [1.8726, 1.7999],
  ],
  'compound-with-one-rope': [
    [1, 0.8873],
    [1.8776, 1.8049],
  ],
  'held-by-a-grip': [[1, 0.9156], [0.767]],
  'static-tow': [[1]],
  'stretch-pull': [[1]],
  'stretch-pull-joined': [[1]],
  'holding-on-a-slope': [[1, 0.8818]],
  'lowering-down-a-slope': [[1, 0.8818]],
  righting: [[1]],
  'loading-on-a-deck': [[1]],
  'spooling-under-tension': [[1]],
  'lanyard-to-a-fixed-anchor': [[1, 0.9679]],
  'lanyard-on-a-moving-line': [[1, 0.9679]],
};

describe('every layout', () => {
  it('has its expected tensions', () => {
    expect(layouts.map(({ file }) => file).sort()).toEqual(Object.keys(EXPECTED).sort());
  });
  it.each(layouts.map((entry) => [entry.file, entry] as const))('%s: balances as worked independently', (file, { build }) => {
    const rig = resolveRig(build());
    const { balances, positions, drives } = momentAt(rig, { travelM: 0 });
    if (!balances) throw new Error('no balance');
    const expected = EXPECTED[file] ?? [];
    balances.hauling.equilibrium.strandTensions.forEach((strands, rope) => {
      strands.forEach((tension, strand) => {
        expect(tension).toBeCloseTo(expected[rope]?.[strand] ?? Number.NaN, 3);
      });
    });
    const driven = drivenBy(networkAt(rig, positions), drives, ({ share }) => share);
    for (const motion of ['hauling', 'frictionless', 'lowering'] as const) {
      const state = balances[motion]?.equilibrium;
      if (!state) continue;
      const oracle = relaxationOracle(driven, motion);
      expect(oracle.residual).toBeLessThan(1e-7);
      expect(state.residual).toBeLessThan(1e-9);
      const pairs = [
        ...state.strandTensions.flatMap((strands, rope) =>
          strands.map((tension, strand) => [tension, oracle.strandTensions[rope]?.[strand]] as const),
        ),
        ...state.linkTensions.map((tension, link) => [tension, oracle.linkTensions[link]] as const),
      ];
      for (const [own, other] of pairs) expect(Math.abs(own - (other ?? Number.NaN))).toBeLessThan(1e-6);
    }
  });
  it.each(layouts.map((entry) => [entry.file, entry] as const))(
    '%s: stands in demo/cases as it is built here, and reads back',
    (file, { build }) => {
      const text = readFileSync(resolve(import.meta.dirname, `../../../demo/cases/${file}.json`), 'utf8');
      const read = readRigFile(JSON.parse(text));
      if (!read.ok) throw new Error(JSON.stringify(read.faults));
      expect(read.value.case).toEqual(JSON.parse(JSON.stringify(build())));
      const report = judge(read.value.case);
      expect(JSON.parse(JSON.stringify(report))).toEqual(report);
    },
  );
  it('decides at least four joints in five', () => {
    const joints = layouts.flatMap(({ build }) => judge(build()).fits);
    expect(joints.length).toBeGreaterThan(100);
    expect(joints.filter(({ fits }) => fits !== undefined).length / joints.length).toBeGreaterThanOrEqual(0.8);
  });
});
