import { describe, expect, it } from 'vitest';
import { teamStandard } from '../policy/team-standard.ts';
import {
  closedFormPeakN,
  forceOn,
  loadingCurve,
  loadingEnergyJ,
  type RopeTrain,
  storedEnergyJ,
  stretchOf,
  unloadingCurve,
} from './rope-train.ts';
import { runTwoBodies, type TwoBodies } from './two-bodies.ts';

const { laws } = teamStandard.stretch;
const rope = (lengthM = 9, mbsN = 100_000, law = laws['stretch-rope']): RopeTrain => [{ law, mbsN, lengthM }];
const KMH = 1 / 3.6;
const stuckFast = { massKg: 2000, breaksAwayN: 1e9, rollsN: 1e9, overM: 0.1, driveN: 0 };
const coasting = { massKg: 2500, speedMPerS: 15 * KMH, driveN: 0, rollingN: 0, slopeN: 0 };
const pull = (change: Partial<TwoBodies> = {}): TwoBodies => ({
  train: rope(),
  towing: { massKg: 2500, speedMPerS: 15 * KMH, driveN: 6000, rollingN: 2000, slopeN: 500 },
  stuck: { massKg: 2300, breaksAwayN: 20_000, rollsN: 6000, overM: 0.1, driveN: 0 },
  ...change,
});

describe('the law of ropes', () => {
  it('at half its strength a stretch rope of 9 m is 0.3 × 9 × 0.5^(1/1.5) = 1.701 m longer, and has taken 1.701 × 50 kN ÷ 2.5 = 34.0 kJ', () => {
    expect(stretchOf(rope(), 50_000, 0)).toBeCloseTo(1.7009, 4);
    expect(loadingEnergyJ(rope(), 50_000)).toBeCloseTo(34_018, 0);
    expect(forceOn(loadingCurve(rope()), 1.7009)).toBeCloseTo(50_000, -1);
  });
  it('gives back 70 % of what it took, by F_pk·(ε/ε_pk)^(2.5/0.7 − 1)', () => {
    expect(storedEnergyJ(rope(), 50_000, 50_000) / loadingEnergyJ(rope(), 50_000)).toBeCloseTo(0.7, 12);
    const half = stretchOf(rope(), 50_000, 0) / 2;
    expect(forceOn(unloadingCurve(rope(), 50_000), half)).toBeCloseTo(50_000 * 0.5 ** (2.5 / 0.7 - 1), 3);
    expect(stretchOf(rope(), 50_000 * 0.5 ** (2.5 / 0.7 - 1), 50_000)).toBeCloseTo(half, 9);
    // Nothing is left stretched, and nothing is left stored, at no force.
    expect(storedEnergyJ(rope(), 0, 50_000)).toBe(0);
  });
  it('lets two joined ropes of one kind be one rope as long as both, and shares out unlike ones by force', () => {
    const joined: RopeTrain = [...rope(4), ...rope(5)];
    expect(closedFormPeakN(joined, 2500, 4)).toBeCloseTo(closedFormPeakN(rope(9), 2500, 4), 4);
    const mixed: RopeTrain = [...rope(9), { law: laws['static-polyester'], mbsN: 80_000, lengthM: 5 }];
    const stretchM = stretchOf(mixed, 40_000, 0);
    expect(stretchM).toBeCloseTo(0.3 * 9 * 0.4 ** (1 / 1.5) + 0.08 * 5 * 0.5 ** (1 / 1.2), 9);
    expect(forceOn(loadingCurve(mixed), stretchM)).toBeCloseTo(40_000, 4);
    expect(closedFormPeakN(mixed, 2500, 4)).toBeLessThan(closedFormPeakN(rope(9), 2500, 4));
  });
});

describe('a run-up against something that does not move', () => {
  it.each([
    // F = MBS·[2.5 × ½ m v² ÷ (MBS × 9 × 0.3)]^0.6 for 2,500 kg on a rope of 100 kN, worked with a pencil.
    [10, 23.5],
    [15, 38.2],
    [20, 53.9],
  ])('peaks at %i km/h by the closed form at %f kN, and over time at the same', (kmh, kilonewtons) => {
    const closed = closedFormPeakN(rope(), 2500, kmh * KMH);
    expect(closed / 1000).toBeCloseTo(kilonewtons, 1);
    const run = runTwoBodies({ train: rope(), towing: { ...coasting, speedMPerS: kmh * KMH }, stuck: stuckFast, toFirstPeak: true });
    expect(run.peakN / closed).toBeCloseTo(1, 5);
  });
  it('throws the vehicle back with 70 % of its energy, and the driver has lifted off by then', () => {
    const run = runTwoBodies({ train: rope(), towing: { ...coasting, driveN: 0 }, stuck: stuckFast, historyS: 0.01 });
    const back = Math.min(...run.history.map(({ towingMPerS }) => towingMPerS));
    expect(back).toBeCloseTo(-coasting.speedMPerS * Math.sqrt(0.7), 3);
  });
  it('pulls harder the faster, the heavier, the shorter the rope; and a helping drive never makes it less', () => {
    const peak = (change: Partial<TwoBodies>) => runTwoBodies({ train: rope(), towing: coasting, stuck: stuckFast, ...change }).peakN;
    const base = peak({});
    expect(peak({ towing: { ...coasting, speedMPerS: 5 } })).toBeGreaterThan(base);
    expect(peak({ towing: { ...coasting, massKg: 3000 } })).toBeGreaterThan(base);
    expect(peak({ train: rope(6) })).toBeGreaterThan(base);
    expect(peak({ towing: { ...coasting, driveN: 5000 } })).toBeGreaterThan(base);
    expect(peak({ towing: { ...coasting, slopeN: 3000 } })).toBeLessThan(base);
  });
});

describe('two vehicles and a rope', () => {
  it('balances its energy to a thousandth of what was put in, whatever the vehicles', () => {
    for (const massKg of [900, 2500, 6000])
      for (const kmh of [3, 12, 25])
        for (const breaksAwayN of [5000, 30_000]) {
          const subject = pull();
          const run = runTwoBodies({
            ...subject,
            towing: { ...subject.towing, massKg, speedMPerS: kmh * KMH },
            stuck: { ...subject.stuck, breaksAwayN, rollsN: breaksAwayN / 3 },
          });
          expect(run.energyError).toBeLessThan(1e-3);
        }
  });
  it('makes a quarter of the error with half the step', () => {
    const at = (stepS: number) => runTwoBodies(pull({ stepS }));
    const exact = at(1e-4).peakN;
    const [coarse, fine] = [at(4e-3).peakN - exact, at(2e-3).peakN - exact];
    expect(coarse / fine).toBeGreaterThan(3.5);
    expect(coarse / fine).toBeLessThan(4.5);
    expect(at(4e-3).energyError / at(2e-3).energyError).toBeGreaterThan(3.2);
  });
  it('frees what has moved a tenth of a metre, and not what the peak does not break away', () => {
    const free = runTwoBodies(pull());
    expect(free.freedS).toBeGreaterThan(0);
    expect(free.movedM).toBeGreaterThan(0.1);
    expect(free.atRest).toBe(true);
    const { peakN } = runTwoBodies(pull({ stuck: stuckFast }));
    const held = (breaksAwayN: number) => runTwoBodies(pull({ stuck: { ...pull().stuck, breaksAwayN, rollsN: 6000 } }));
    expect(held(peakN * 0.999).movedM).toBeGreaterThan(0);
    expect(held(peakN * 1.001).movedM).toBe(0);
    expect(held(peakN * 1.001).freedS).toBeUndefined();
  });
  it('goes further with a driver who helps, and its rope is taut no harder', () => {
    const alone = runTwoBodies(pull());
    const helped = runTwoBodies(pull({ stuck: { ...pull().stuck, driveN: 3000 } }));
    expect(helped.movedM).toBeGreaterThan(alone.movedM);
    expect(helped.peakN).toBeLessThan(alone.peakN);
  });
  it('ends within ten seconds, with a history from first tension on', () => {
    const run = runTwoBodies(pull({ historyS: 0.05 }));
    expect(run.history[0]).toMatchObject({ timeS: 0, tensionN: 0, movedM: 0 });
    expect(run.history.at(-1)?.timeS).toBeCloseTo(run.endedS, 9);
    expect(run.endedS).toBeLessThanOrEqual(10);
    expect(Math.max(...run.history.map(({ tensionN }) => tensionN))).toBeLessThanOrEqual(run.peakN);
  });
});
