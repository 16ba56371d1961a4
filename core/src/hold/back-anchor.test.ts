import { describe, expect, it } from 'vitest';
import { type Vec3, vec3 } from '../statics/vec3.ts';
import { holdBack, leastTension } from './back-anchor.ts';

const degrees = (value: number) => (value * Math.PI) / 180;
/** The way of a strap that leads so many degrees off straight behind; the push is along y. */
const off = (angleDeg: number): Vec3 => vec3(Math.sin(degrees(angleDeg)), Math.cos(degrees(angleDeg)), 0);
const push = (newtons: number): Vec3 => vec3(0, newtons, 0);

describe('the least tension of one strap', () => {
  it('straight behind is the push less what the wheels hold', () => {
    expect(leastTension(push(20_000), off(0), 5000)).toBeCloseTo(15_000, 6);
  });
  it('30° off: t² − 2·20·cos 30°·t + 20² − 12² = 0, 10.7 kN', () => {
    expect(leastTension(push(20_000), off(30), 12_000)).toBeCloseTo(10_687.3, 0);
    expect(leastTension(push(20_000), off(-30), 12_000)).toBeCloseTo(10_687.3, 0);
  });
  it('is none where the wheels hold by themselves, just so and by a newton', () => {
    expect(leastTension(push(20_000), off(45), 20_000)).toBe(0);
    expect(leastTension(push(20_000), off(45), 20_001)).toBe(0);
    expect(leastTension(push(20_000), off(45), 19_990)).toBeGreaterThan(0);
  });
  it('45° off leaves 18.4 of 26 kN across: none holds with 8 kN on the wheels, just so with as much, none with a newton less', () => {
    expect(leastTension(push(26_000), off(45), 8000)).toBeUndefined();
    const acrossN = 26_000 * Math.SQRT1_2;
    expect(leastTension(push(26_000), off(45), acrossN)).toBeCloseTo(acrossN, 1);
    expect(leastTension(push(26_000), off(45), acrossN - 1)).toBeUndefined();
  });
  it('a strap ahead of the push holds nothing', () => {
    expect(leastTension(push(20_000), off(120), 5000)).toBeUndefined();
    expect(leastTension(push(20_000), off(180), 5000)).toBeUndefined();
  });
  it('a strap that rises pulls less along the ground: at 60° its tension is twice as much', () => {
    expect(leastTension(push(20_000), vec3(0, 0.5, 0), 5000)).toBeCloseTo(30_000, 6);
  });
});

describe('several straps', () => {
  it('30° to either side take alike: (20 − 5) ÷ 2 ÷ cos 30° = 8.66 kN each', () => {
    const { tensionsN, acrossN } = holdBack(push(20_000), [off(30), off(-30)], 5000);
    for (const own of tensionsN) expect(own).toBeCloseTo(8660.25, 1);
    expect(acrossN).toBeCloseTo(0, 6);
  });
  it('square to each other against 3 and 4 kN with 1 kN on the wheels: what is left stands alike to both', () => {
    const { tensionsN } = holdBack(vec3(3000, 4000, 0), [vec3(1, 0, 0), vec3(0, 1, 0)], 1000);
    // 3 − 0.707 and 4 − 0.707 kN of least sum; equal ones of t(1, 1): 2t² − 14t + 24 = 0, 3 kN. Each is judged for the larger.
    expect(tensionsN[0]).toBeCloseTo(3000, 6);
    expect(tensionsN[1]).toBeCloseTo(3292.89, 1);
  });
  it('one straight behind and one 60° off: the straight one holds all, since no equal tension of both does', () => {
    const { tensionsN } = holdBack(push(20_000), [off(0), off(60)], 5000);
    // Equal: |D − t(u + v)| = H with u + v = (0.866, 1.5): 3t² − 60t + 375 = 0 has no root. With 12 kN on the wheels it has one at 5.72 kN.
    expect(tensionsN).toEqual([expect.closeTo(15_000, 6), 0]);
    const more = holdBack(push(20_000), [off(0), off(60)], 12_000).tensionsN;
    expect(more[0]).toBeCloseTo(8000, 6);
    expect(more[1]).toBeCloseTo(1000 * ((60 - Math.sqrt(3600 - 12 * 256)) / 6), 3);
  });
  it('hold by the pair where neither would alone', () => {
    const { tensionsN, acrossN } = holdBack(push(20_000), [off(70), off(-70)], 5000);
    expect(leastTension(push(20_000), off(70), 5000)).toBeUndefined();
    for (const own of tensionsN) expect(own).toBeCloseTo(15_000 / 2 / Math.cos(degrees(70)), 1);
    expect(acrossN).toBeCloseTo(0, 6);
  });
  it('leave what no tension takes: both on one side, the nearer decides', () => {
    const { acrossN } = holdBack(push(20_000), [off(30), off(60)], 5000);
    expect(acrossN).toBeCloseTo(10_000, 6);
  });
  it('take the whole of the push where nobody knows what the wheels hold', () => {
    expect(holdBack(push(20_000), [off(30)], undefined).tensionsN[0]).toBeCloseTo(20_000, 6);
    const both = holdBack(push(20_000), [off(30), off(-30)], undefined);
    for (const own of both.tensionsN) expect(own).toBeCloseTo(20_000 / 2 / Math.cos(degrees(30)), 1);
  });
  it('never leave more on the wheels than they hold, and one never takes less of a harder push', () => {
    let seed = 20_261_129;
    const random = () => {
      seed = (seed * 16_807) % 2_147_483_647;
      return seed / 2_147_483_647;
    };
    for (let round = 0; round < 300; round++) {
      const ways = [off(random() * 160 - 80)];
      const [demandN, holdN] = [20_000 * random(), 8000 * random()];
      const { tensionsN, acrossN } = holdBack(push(demandN), ways, holdN);
      const harder = holdBack(push(demandN * 1.1), ways, holdN);
      if (acrossN <= holdN && harder.acrossN <= holdN)
        expect(harder.tensionsN[0] ?? 0).toBeGreaterThanOrEqual((tensionsN[0] ?? Number.NaN) - 1e-6);
      if (acrossN <= holdN) {
        const left = vec3((ways[0]?.x ?? 0) * -(tensionsN[0] ?? 0), demandN - (ways[0]?.y ?? 0) * (tensionsN[0] ?? 0), 0);
        expect(Math.hypot(left.x, left.y)).toBeLessThanOrEqual(holdN * (1 + 1e-9) + 1e-6);
      }
    }
  });
});
