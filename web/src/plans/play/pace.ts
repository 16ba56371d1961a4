import { MissedFrames } from '../draft/missed-frames.ts';

/** A step has two frames. One that is painted within so many of the shortest is in time, one that takes more than so many is slow. */
const IN_TIME_FRAMES = 2.25;
const SLOW_FRAMES = 4;
/** So many of a kind, one after the other, tell of the device. */
const TELLING = 3;
/** So many times as long as a step took a slow device, it is left to itself before the next, and at most so long, ms. */
const REST = 6;
const MOST_REST_MS = 900;

/**
 * How often something that is played is drawn. In each frame where the device can; where that makes frames late, in every other, so that
 * a step has one frame to be made and one to be painted; where that is too much too, a step and a rest in turns, so that in between the
 * device answers at once. Told of every frame of one run; the next, after a pause, begins as the last one went.
 */
export class Pace {
  readonly #missed = new MissedFrames();
  #kind: 'each' | 'other' | 'rests';
  #stepAt: number | undefined;
  #framesDrawn = 0;
  #tookMs = 0;
  #inTime = 0;
  #slow = 0;

  constructor(last?: Pace) {
    this.#kind = last ? last.#kind : 'each';
  }

  /**
   * Whether the next step is due in the frame at `now` (ms): `isDrawn` says whether the last one is on the page, `isSeen` whether there is
   * something new to draw.
   */
  isDue(now: number, isDrawn: boolean, isSeen: boolean): boolean {
    if (this.#missed.isTooMany(now) && this.#kind === 'each') this.#kind = 'other';
    if (this.#missed.isSmooth && this.#kind === 'other') this.#kind = 'each';
    this.#framesDrawn = isDrawn ? this.#framesDrawn + 1 : 0;
    // In its second frame a step is painted.
    if (this.#framesDrawn === 2 && this.#stepAt !== undefined) this.#measureStep(now - this.#stepAt);
    const isDue = isSeen && this.#framesDrawn >= (this.#kind === 'each' ? 1 : 2) && (this.#kind !== 'rests' || this.#isRested(now));
    if (isDue) {
      this.#stepAt = now;
      this.#framesDrawn = 0;
    }
    return isDue;
  }

  #measureStep(tookMs: number): void {
    this.#tookMs = tookMs;
    const frames = tookMs / this.#missed.shortestMs;
    this.#inTime = frames < IN_TIME_FRAMES ? this.#inTime + 1 : 0;
    this.#slow = frames > SLOW_FRAMES ? this.#slow + 1 : 0;
    if (this.#kind === 'other' && this.#slow >= TELLING) this.#kind = 'rests';
    if (this.#kind === 'rests' && this.#inTime >= TELLING) this.#kind = 'other';
  }

  #isRested(now: number): boolean {
    return this.#stepAt === undefined || now - this.#stepAt >= this.#tookMs + Math.min(REST * this.#tookMs, MOST_REST_MS);
  }
}
