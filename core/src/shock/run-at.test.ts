import { describe, expect, it } from 'vitest';
import { type RunUp, runAt, runUpTakesS } from './run-at.ts';

/** 4 m/s over 4 m: 2 m/s² for 2 s. */
const run: RunUp = {
  speedMPerS: 4,
  slackM: 4,
  planned: [
    { timeS: 0, tensionN: 0, towedM: 0, movedM: 0 },
    { timeS: 0.5, tensionN: 20_000, towedM: 1.5, movedM: 0 },
    { timeS: 1, tensionN: 10_000, towedM: 2, movedM: 1 },
  ],
};

describe('a run-up at an instant', () => {
  it('takes 2s/v from standing, and none where there is no slack or no speed', () => {
    expect(runUpTakesS(run)).toBe(2);
    expect(runUpTakesS({ speedMPerS: 4 })).toBe(0);
    expect(runUpTakesS({ speedMPerS: 0, slackM: 3 })).toBe(0);
  });
  it('goes evenly faster before the ropes are tight: a quarter of the way after half of the time', () => {
    expect(runAt(run, -2)).toEqual({ timeS: -2, tensionN: 0, towedM: -4, movedM: 0 });
    expect(runAt(run, -1).towedM).toBe(-3);
    // Just before it is tight it has its speed: 4 m/s over the last hundredth, less half of 2 m/s² × 0.01² s².
    expect(runAt(run, -0.01).towedM).toBeCloseTo(-0.0399, 12);
    expect(runAt(run, 0)).toEqual({ timeS: 0, tensionN: 0, towedM: 0, movedM: 0 });
  });
  it('lies between two instants that are known after it', () => {
    expect(runAt(run, 0.25)).toEqual({ timeS: 0.25, tensionN: 10_000, towedM: 0.75, movedM: 0 });
    expect(runAt(run, 0.75)).toEqual({ timeS: 0.75, tensionN: 15_000, towedM: 1.75, movedM: 0.5 });
  });
  it('is held within the run', () => {
    expect(runAt(run, -9)).toEqual(runAt(run, -2));
    expect(runAt(run, 9)).toEqual(run.planned[2]);
    expect(runAt({ speedMPerS: 2, planned: run.planned }, -1)).toEqual({ timeS: 0, tensionN: 0, towedM: 0, movedM: 0 });
  });
});
