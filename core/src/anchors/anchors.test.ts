import { describe, expect, it } from 'vitest';
import { evaluate } from '../explanation/term.ts';
import { teamStandard } from '../policy/team-standard.ts';
import { tree } from '../testing/example-case.ts';
import { strapBasket } from './strap-basket.ts';
import { explainTree, treeCapacity } from './tree-capacity.ts';

describe('what a tree is trusted with', () => {
  it('bends at a high strap: the worked example', () => {
    const thin = { ...tree, trunkDiameterM: 0.25, footing: 'moist' as const };
    const expected = (0.7 * 33e6 * Math.PI * 0.25 ** 3) / 32 / 0.9 / 3;
    expect(treeCapacity(thin, 0.9, teamStandard)).toEqual({ workingN: expected, failingN: 2 * expected });
  });
  it('is held by its root plate when low, and by the ceiling when huge', () => {
    expect(treeCapacity(tree, 0.2, teamStandard).workingN).toBeCloseTo(12 * 9806.65, 6);
    expect(treeCapacity({ ...tree, trunkDiameterM: 1 }, 0.2, teamStandard).workingN).toBeCloseTo(15 * 9806.65, 6);
  });
  it('takes no strap as lower than the least height', () => {
    const thin = { ...tree, trunkDiameterM: 0.15 };
    expect(treeCapacity(thin, 0.05, teamStandard)).toEqual(treeCapacity(thin, 0.2, teamStandard));
  });
  it('counts for nothing when dead, rotten or leaning, unless somebody judged it', () => {
    expect(treeCapacity({ ...tree, state: 'dead' }, 0.3, teamStandard)).toMatchObject({ workingN: 0, refusedFor: 'dead' });
    expect(treeCapacity({ ...tree, leanRad: 0.3 }, 0.3, teamStandard)).toMatchObject({ workingN: 0, refusedFor: 'leaning' });
    const judged = { workingN: 20_000, failingN: 50_000, person: 'Test', on: '2026-01-01', reason: 'watched it hold' };
    expect(treeCapacity({ ...tree, state: 'dead', judged }, 0.3, teamStandard)).toEqual({
      workingN: 20_000,
      failingN: 50_000,
      judgedBy: 'Test',
    });
  });
  it('explains the number it gives', () => {
    expect(evaluate(explainTree(tree, 0.4, teamStandard))).toBeCloseTo(treeCapacity(tree, 0.4, teamStandard).workingN, 6);
  });
});

describe('a strap round a trunk', () => {
  it('finds the angle whose length comes back exactly', () => {
    for (const lengthM of [1.5, 2.4, 5]) {
      const { legAngleRad: a, reachM, legShare } = strapBasket(lengthM, 0.4) ?? { legAngleRad: Number.NaN, reachM: 0, legShare: 0 };
      expect(0.4 / Math.tan(a / 2) + 0.2 * (Math.PI + a)).toBeCloseTo(lengthM, 9);
      expect(reachM).toBeCloseTo(0.2 / Math.sin(a / 2), 12);
      expect(legShare).toBeCloseTo(1 / (2 * Math.cos(a / 2)), 12);
    }
  });
  it('does not go round a trunk whose girth it only equals', () => {
    expect(strapBasket(Math.PI * 0.4, 0.4)).toBeUndefined();
    expect(strapBasket(Math.PI * 0.4 + 1e-6, 0.4)).toBeDefined();
  });
});
