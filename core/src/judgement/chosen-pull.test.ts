import { describe, expect, it } from 'vitest';
import { exampleCase } from '../testing/example-case.ts';
import { judge } from './judge.ts';

const choosing = (pullN: number) => {
  const plain = exampleCase();
  return judge({ ...plain, rig: { ...plain.rig, chosenPull: { pullN, person: 'Test', reason: 'load cell' } } });
};

describe('a chosen pull below every estimate', () => {
  const { effort } = judge(exampleCase());
  if (!effort) throw new Error('no estimate');
  const { lowN, medianN } = effort;
  const told = (pullN: number) => choosing(pullN).findings.filter(({ code }) => code === 'pull-chosen-low');
  it('is a caution just below the lowest method, and none at it and above', () => {
    expect(lowN).toBeLessThan(medianN);
    expect(told(0.999 * lowN)).toMatchObject([{ severity: 'caution', data: { pullN: 0.999 * lowN, lowN } }]);
    expect(told(lowN)).toEqual([]);
    expect(told(1.001 * lowN)).toEqual([]);
  });
  it('keeps the rig from being clear', () => {
    expect(choosing(0.5 * lowN).verdict).not.toMatch(/clear/);
  });
});
