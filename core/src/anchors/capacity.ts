/** What an anchor is trusted with: a working number and a failing one, newtons. */
export interface AnchorCapacity {
  readonly workingN: number;
  readonly failingN: number;
  readonly judgedBy?: string;
  /** Why it counts for nothing, where it does. */
  readonly refusedFor?: string;
}
