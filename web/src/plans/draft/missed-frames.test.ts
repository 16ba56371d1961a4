import { describe, expect, it } from 'vitest';
import { MissedFrames } from './missed-frames.ts';

/** In which frame too many were late, of frames that take so long, ms; the first begins at 0. */
function tooManyIn(frames: readonly number[]): number {
  const missed = new MissedFrames();
  missed.isTooMany(0);
  let now = 0;
  return frames.findIndex((tookMs) => {
    now += tookMs;
    return missed.isTooMany(now);
  });
}

describe('frames that are late', () => {
  it('are too many from the third on, if none in time came between', () => {
    expect(tooManyIn([16, 32, 32, 32])).toBe(3);
    expect(tooManyIn([16, 32, 32])).toBe(-1);
  });
  it('are those half as long again as the shortest, however long that is', () => {
    expect(tooManyIn([20, ...Array(50).fill(30)])).toBe(-1);
    expect(tooManyIn([20, ...Array(50).fill(30.1)])).toBe(3);
    expect(tooManyIn(Array(50).fill(33))).toBe(-1);
    // Where none is short, a screen's frame is taken to be 25 ms.
    expect(tooManyIn(Array(50).fill(37.5))).toBe(-1);
    expect(tooManyIn(Array(50).fill(37.6))).toBe(2);
  });
  it('are made up for by ten in time each', () => {
    const each = (inTime: number) => Array.from({ length: 60 }, () => [32, ...Array(inTime).fill(16)]).flat();
    expect(tooManyIn([16, ...each(10)])).toBe(-1);
    expect(tooManyIn([16, ...each(9)])).toBeGreaterThan(100);
  });
  it('are forgotten after three hundred in time', () => {
    const missed = new MissedFrames();
    missed.isTooMany(0);
    for (let frame = 1; frame < 300; frame++) missed.isTooMany(16 * frame);
    expect(missed.isSmooth).toBe(false);
    missed.isTooMany(16 * 300);
    expect(missed.isSmooth).toBe(true);
    missed.isTooMany(16 * 302);
    expect(missed.isSmooth).toBe(false);
  });
  it('are counted anew once they were too many', () => {
    const missed = new MissedFrames();
    expect([0, 16, 48, 80, 112, 144, 176, 208].map((now) => missed.isTooMany(now))).toEqual([
      false,
      false,
      false,
      false,
      true,
      false,
      false,
      true,
    ]);
    expect(missed.shortestMs).toBe(16);
  });
});
