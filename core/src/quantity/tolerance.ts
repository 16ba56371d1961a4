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
