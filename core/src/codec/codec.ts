/**
 * A declarative reader for documents that come from outside: one declaration gives the type, the reader and the
 * JSON Schema. Reading never throws and never guesses: every fault is listed with the path where it stands.
 */
export interface Fault {
  /** Path from the document's root, for example `rig.bodies[2].xM`. */
  readonly path: string;
  /** What stands there, what was expected. */
  readonly message: string;
}

export type JsonSchema = { readonly [key: string]: unknown };

export type ReadResult<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly faults: readonly Fault[] };

export interface Codec<T> {
  readonly schema: JsonSchema;
  readonly optional?: boolean;
  /** Reads a parsed JSON value; pushes every fault it meets and returns undefined where there was one. */
  readonly visit: (value: unknown, path: string, faults: Fault[]) => T | undefined;
}

export type TypeOf<C> = C extends Codec<infer T> ? T : never;

/** Reads a whole document. */
export function read<T>(codec: Codec<T>, value: unknown, path = ''): ReadResult<T> {
  const faults: Fault[] = [];
  const result = codec.visit(value, path, faults);
  if (faults.length > 0) return { ok: false, faults };
  return { ok: true, value: result as T };
}

/** A short picture of a faulty value for a message. */
export function describe(value: unknown): string {
  if (value === undefined) return 'nothing';
  if (value === null) return 'null';
  if (Array.isArray(value)) return `a list of ${value.length}`;
  if (typeof value === 'object') return 'an object';
  if (typeof value === 'string') return `"${value.length > 40 ? `${value.slice(0, 40)}…` : value}"`;
  return String(value);
}

/** Adds one fault and answers undefined, so that a visit can end with it. */
export function refuse(faults: Fault[], path: string, message: string): undefined {
  faults.push({ path, message });
  return undefined;
}
