import { describe, expect, it } from 'vitest';
import type { Mark } from '../gear/mark.ts';
import { teamStandard } from '../policy/team-standard.ts';
import { mark, piece } from '../testing/example-case.ts';
import { bendFactor, bowAngleFactor, conditionDerate, eyeFactor } from './derates.ts';
import { workingLimit } from './working-limit.ts';

const TONNE = 9806.65;
const limit = (marks: readonly Mark[], policy = teamStandard) => {
  const result = workingLimit(marks, 'steel-hardware', policy);
  if (result.kind === 'unrated') throw new Error('unrated');
  return result;
};

describe('from marks to a working limit', () => {
  it('takes the lower of the marked limit and breaking strength ÷ design factor', () => {
    expect(limit([mark('WLL 4.75 t'), mark('MBS 28.5 t')]).wllN).toBeCloseTo(4.75 * TONNE, 6);
    const generous = limit([mark('WLL 8 t'), mark('MBS 28 t')]);
    expect(generous.wllN).toBeCloseTo(7 * TONNE, 6);
    expect(generous.markAboveQuotient).toBe(true);
  });
  it('infers a breaking strength from a working limit alone, without a caution', () => {
    const { wllN, mbsN, markAboveQuotient, inferredBy } = limit([mark('WLL 4 t')]);
    expect([wllN, mbsN, markAboveQuotient, inferredBy]).toEqual([4 * TONNE, 16 * TONNE, false, 4]);
  });
  it('reads an unstated mark as breaking strength, halves basket and proof marks, takes the lowest of a basis', () => {
    expect(limit([mark('12 t')])).toMatchObject({ wllN: 3 * TONNE, basisUnstated: true });
    expect(limit([mark('MBS basket 24 t')]).mbsN).toBeCloseTo(12 * TONNE, 6);
    expect(limit([mark('proof load 8 t')]).wllN).toBeCloseTo(4 * TONNE, 6);
    expect(limit([mark('MBS 12 t'), mark('MBS 10 t')]).mbsN).toBeCloseTo(10 * TONNE, 6);
  });
  it('takes the smallest ton for a strength', () => {
    expect(limit([mark('MBS 13 ton')]).mbsN).toBeCloseTo(13 * 2000 * 0.45359237 * 9.80665, 4);
  });
  it('never lets an advert raise a limit, and flags one that stands alone', () => {
    expect(limit([mark('MBS 12 t'), mark('WLL 9 t', 'advert')]).wllN).toBeCloseTo(3 * TONNE, 6);
    expect(limit([mark('MBS 12 t'), mark('MBS 8 t', 'advert')]).wllN).toBeCloseTo(2 * TONNE, 6);
    expect(limit([mark('WLL 4 t'), mark('MBS 99 t', 'advert')]).wllN).toBeLessThanOrEqual(4 * TONNE);
    expect(limit([mark('MBS 12 t', 'advert')]).advertOnly).toBe(true);
  });
  it('is unrated without marks, and trusts marked limits alone where the team says so', () => {
    expect(workingLimit([], 'soft-good', teamStandard)).toEqual({ kind: 'unrated' });
    expect(limit([mark('WLL 8 t'), mark('MBS 28 t')], { ...teamStandard, trustMarkedWll: true }).wllN).toBeCloseTo(8 * TONNE, 6);
  });
});

describe('derates', () => {
  const shackle = (extra: object) => piece({ id: 'x', kind: 'soft-shackle', marks: [], attributes: {}, ...extra });
  it('counts an uninspected piece at 0.90 in its first year and at 0.75 after, or after an overload', () => {
    const at = (extra: object) => conditionDerate(shackle({ inspection: undefined, ...extra }), teamStandard, '2026-06-01').derate.factor;
    expect(at({ firstUsedOn: '2025-06-02' })).toBe(0.9);
    expect(at({ firstUsedOn: '2025-06-01' })).toBe(0.75);
    expect(at({ firstUsedOn: '2026-01-01', overloadsSinceInspection: 1 })).toBe(0.75);
    expect(at({})).toBe(0.75);
  });
  it('gives D nothing', () => {
    expect(conditionDerate(shackle({ inspection: { on: '2026-01-01', grade: 'D' } }), teamStandard, '2026-06-01')).toMatchObject({
      basis: 'out-of-use',
      derate: { factor: 0 },
    });
  });
  it('bends by D/d, in full from 30° of wrap, not at all at none', () => {
    const at = (ratio: number, wrapRad: number, steelWire = false) =>
      bendFactor({ treadDiameterM: ratio * 0.01, ropeDiameterM: 0.01, wrapRad, steelWire }, teamStandard);
    expect([at(0.5, 3), at(1, 3), at(4, 3), at(8, 3), at(20, 3)].map((value) => Number(value.toFixed(6)))).toEqual([0.5, 0.5, 0.825, 1, 1]);
    expect(at(3, Math.PI / 12)).toBeCloseTo(0.875, 9);
    expect(at(3, 0)).toBe(1);
    expect(at(12.5, 3, true)).toBeCloseTo(0.875, 9);
  });
  it('treats an eye on a pin and a shackle off its bow by their own tables', () => {
    expect([eyeFactor(0.01, 0.01, teamStandard), eyeFactor(0.0099, 0.01, teamStandard)]).toEqual([1, 0.7]);
    expect([0, 22.5, 45, 67.5, 90].map((degrees) => Number(bowAngleFactor((degrees * Math.PI) / 180)?.toFixed(6)))).toEqual([
      1, 0.85, 0.7, 0.6, 0.5,
    ]);
    expect(bowAngleFactor(1.6)).toBeUndefined();
  });
});
