/** Frames that take longer than this, one with another, stutter, ms; and how much the newest weighs. */
const STUTTERS_MS = 38;
const NEWEST = 0.3;
/** After so many steps that were drawn sooner it is taken to be no slow device. */
const IN_TIME = 3;
/** So many times as long as a step took a slow device, it is left to itself before the next, and at most so long, ms. */
const REST = 6;
const MOST_REST_MS = 900;

/**
 * How often something that is played is drawn: in each frame where the device can; where it stutters, a step and a rest in turns, so that
 * in between it answers at once. Told of every frame of one run; the next, after a pause, has a pace of its own.
 */
export class Pace {
  #isSlow = false;
  #usualMs = 0;
  #frameAt: number | undefined;
  #stepAt: number | undefined;
  #framesDrawn = 0;
  #tookMs = 0;
  #inTime = 0;

  /** Whether the next step is due in the frame at `now` (ms); `isDrawn` says whether the last one is on the page. */
  isDue(now: number, isDrawn: boolean): boolean {
    this.#measureFrame(now);
    this.#framesDrawn = isDrawn ? this.#framesDrawn + 1 : 0;
    // In its second frame a step is painted.
    if (this.#framesDrawn === 2 && this.#stepAt !== undefined) this.#measureStep(now - this.#stepAt);
    const isDue = this.#isSlow ? this.#framesDrawn >= 2 && this.#isRested(now) : isDrawn;
    if (isDue) {
      this.#stepAt = now;
      this.#framesDrawn = 0;
    }
    return isDue;
  }

  #measureFrame(now: number): void {
    if (this.#frameAt !== undefined) this.#usualMs += (now - this.#frameAt - this.#usualMs) * NEWEST;
    this.#frameAt = now;
    if (this.#isSlow || this.#usualMs <= STUTTERS_MS) return;
    this.#isSlow = true;
    this.#inTime = 0;
  }

  #measureStep(tookMs: number): void {
    this.#tookMs = tookMs;
    this.#inTime = tookMs < STUTTERS_MS ? this.#inTime + 1 : 0;
    if (this.#inTime >= IN_TIME) this.#isSlow = false;
  }

  #isRested(now: number): boolean {
    return this.#stepAt === undefined || now - this.#stepAt >= this.#tookMs + Math.min(REST * this.#tookMs, MOST_REST_MS);
  }
}
