import { describe, expect, it } from 'vitest';
import { Pace } from './pace.ts';

/** When a step is due, ms, on a device that takes so long for the frame after each step, and 16 ms for the others. */
function played(frames: number, tookMs: (frame: number) => number): readonly number[] {
  const pace = new Pace();
  const due: number[] = [];
  let now = 0;
  let heavy = false;
  for (let frame = 0; frame < frames; frame++) {
    now += heavy ? tookMs(frame) : 16;
    heavy = pace.isDue(now, true, true);
    if (heavy) due.push(now);
  }
  return due;
}

/** A step falls on the first frame that is late enough. */
const withinAFrame = (gap: number, least: number) => gap >= least && gap < least + 16;

const gaps = (due: readonly number[]) => due.slice(1).map((at, index) => at - (due[index] ?? 0));

describe('how often what is played is drawn', () => {
  it('is in each frame where the device can', () => {
    expect(played(50, () => 16)).toHaveLength(50);
  });
  it('waits for what is not drawn yet', () => {
    const pace = new Pace();
    expect([false, false, true].map((isDrawn, index) => pace.isDue(16 * index, isDrawn, true))).toEqual([false, false, true]);
  });
  it('waits for something new to draw, and then does not wait any longer', () => {
    const pace = new Pace();
    expect([true, false, false, true, true].map((isSeen, index) => pace.isDue(16 * index, true, isSeen))).toEqual([
      true,
      false,
      false,
      true,
      true,
    ]);
  });
  it('on a device that stutters is a step and six times as long a rest', () => {
    const due = played(400, () => 100);
    // A step takes its heavy frame and the one after it: 116 ms, and 696 ms of rest in frames of 16 ms.
    for (const gap of gaps(due).slice(-5)) expect(withinAFrame(gap, 116 + 6 * 116)).toBe(true);
  });
  it('rests 0.9 s at most', () => {
    for (const gap of gaps(played(400, () => 400)).slice(-3)) expect(withinAFrame(gap, 416 + 900)).toBe(true);
  });
  it('is in every other frame again once three steps are drawn in time', () => {
    const spans = gaps(played(400, (frame) => (frame < 200 ? 100 : 16)));
    expect(Math.max(...spans.slice(0, 12))).toBeGreaterThan(800);
    expect(spans.at(-1)).toBe(32);
  });
  it('is in every other frame where a step in each makes frames late', () => {
    // A frame in which a step is painted while the next one is made takes two of the screen; one with a step alone is in time.
    const pace = new Pace();
    const due: number[] = [];
    let [now, before] = [0, false];
    for (let frame = 0; frame < 60; frame++) {
      const isDue = pace.isDue(now, true, true);
      if (isDue) due.push(now);
      now += isDue && before ? 32 : 16;
      before = isDue;
    }
    expect(gaps(due).slice(0, 3)).toEqual([16, 32, 32]);
    expect(new Set(gaps(due).slice(5))).toEqual(new Set([32]));
    expect(due.length).toBeGreaterThan(28);
  });
  it('begins as the last run went, and is in each frame again after three hundred in time', () => {
    const last = new Pace();
    let now = 0;
    for (const tookMs of [16, 40, 40, 40, 16]) {
      last.isDue(now, true, true);
      now += tookMs;
    }
    const next = new Pace(last);
    const due = Array.from({ length: 310 }, (_, frame) => next.isDue(16 * frame, true, true));
    expect(due.slice(0, 6)).toEqual([false, true, false, true, false, true]);
    expect(due.slice(-5)).toEqual([true, true, true, true, true]);
  });
  it('is in each frame on a screen that draws thirty a second', () => {
    const pace = new Pace();
    for (let frame = 0; frame < 50; frame++) expect(pace.isDue(33 * frame, true, true)).toBe(true);
  });
  it('takes a frame now and then that is late for no slow device', () => {
    const pace = new Pace();
    let now = 0;
    for (let frame = 0; frame < 120; frame++) {
      expect(pace.isDue(now, true, true)).toBe(true);
      now += frame % 12 === 11 ? 68 : 16;
    }
  });
});
