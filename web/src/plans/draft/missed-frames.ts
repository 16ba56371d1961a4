/** What a screen's frame takes at most, ms, until a shorter one is seen: with half as much again it is longer than that of any screen. */
const FRAME_MS = 25;
/** A frame that takes so many times as long as the shortest is late: the screen had nothing new to show in between. */
const LATE = 1.5;
/** So much of a late frame each frame in time makes up for: more than about one late frame in eleven is too many. */
const MADE_UP = 0.1;
/** So many late frames that are not made up for are too many. */
const TOO_MANY = 3;
/** After so many frames in time, one after the other, what was put off for late ones is tried again. */
const MANY_IN_TIME = 300;

/** Tells whether frames stutter, by what each takes beside the shortest: a screen that draws thirty a second does not stutter. */
export class MissedFrames {
  #shortestMs = FRAME_MS;
  #at: number | undefined;
  #score = 0;
  #inTime = 0;

  /** The shortest frame so far, ms. */
  get shortestMs(): number {
    return this.#shortestMs;
  }

  /** Whether no frame has been late for a good while. */
  get isSmooth(): boolean {
    return this.#inTime >= MANY_IN_TIME;
  }

  /** Told of each frame, one after the other (ms); whether too many were late, of which it then begins to count anew. */
  isTooMany(now: number): boolean {
    const tookMs = this.#at === undefined ? undefined : now - this.#at;
    this.#at = now;
    if (tookMs === undefined || tookMs <= 0) return false;
    this.#shortestMs = Math.min(this.#shortestMs, tookMs);
    const isLate = tookMs > LATE * this.#shortestMs;
    this.#inTime = isLate ? 0 : this.#inTime + 1;
    this.#score = isLate ? this.#score + 1 : Math.max(0, this.#score - MADE_UP);
    if (this.#score < TOO_MANY) return false;
    this.#score = 0;
    return true;
  }
}
