/** Throws on a programmer's fault. What a user's data can cause is returned as a value instead. */
export function invariant(condition: unknown, message: string): asserts condition {
  if (!condition) throw new Error(`Broken invariant: ${message}`);
}
