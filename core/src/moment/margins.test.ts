import { describe, expect, it } from 'vitest';
import { leastPull, worstIndex } from './margins.ts';

describe('the weakest place and the line-pull limit', () => {
  it('is set by what the largest load a newton of line pull leaves least', () => {
    expect(leastPull([100, 150], [1, 2])).toEqual({ pullN: 75, index: 1 });
    expect(leastPull([], [])).toBeUndefined();
  });
  it('passes over places without a limit and without a load, and is 0 where one has no strength', () => {
    expect(leastPull([Number.NaN, 80, 10], [1, 2, 0])).toEqual({ pullN: 40, index: 1 });
    expect(leastPull([80, 0], [1, 1])).toEqual({ pullN: 0, index: 1 });
  });
  it('gives ties to the first in load-path order, whatever the last bits say', () => {
    expect(worstIndex([0.5, 0.8, 0.8 * (1 + 1e-12)])).toBe(1);
    expect(worstIndex([0.8, 0.8 * (1 + 1e-8)])).toBe(1);
    expect(leastPull([80, 80 * (1 - 1e-12)], [1, 1])?.index).toBe(0);
    expect(worstIndex([0.5, Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY])).toBe(1);
    expect(worstIndex([0, 0])).toBeUndefined();
  });
});
