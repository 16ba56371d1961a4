/** Relative tolerance with which limits compare: exactly at the limit passes. */
export const LIMIT_TOLERANCE = 1e-9;

/** Whether `value` is above `limit` by more than the tolerance. */
export function exceeds(value: number, limit: number): boolean {
  return value > limit * (1 + LIMIT_TOLERANCE);
}

/** Whether `value` is below `limit` by more than the tolerance. */
export function fallsShort(value: number, limit: number): boolean {
  return value < limit * (1 - LIMIT_TOLERANCE);
}

/** What a value has left below a limit: below 0 where it exceeds it. A value that is no number has nothing to exceed with. */
export const leftBelow = (value: number, limit: number): number => limit * (1 + LIMIT_TOLERANCE) - value;

/** What a value has above a limit: below 0 where it falls short of it. */
export const leftAbove = (value: number, limit: number): number => value - limit * (1 - LIMIT_TOLERANCE);
