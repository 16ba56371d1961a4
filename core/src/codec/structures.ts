import { type Codec, describe, type Fault, type JsonSchema, refuse, type TypeOf } from './codec.ts';

type Fields = { readonly [key: string]: Codec<unknown> };
type OptionalKeys<F extends Fields> = { [K in keyof F]: F[K] extends { readonly optional: true } ? K : never }[keyof F];
type ObjectOf<F extends Fields> = { readonly [K in Exclude<keyof F, OptionalKeys<F>>]: TypeOf<F[K]> } & {
  readonly [K in OptionalKeys<F>]?: TypeOf<F[K]>;
};
type Flat<T> = { [K in keyof T]: T[K] } & {};

/** Marks a field that may be missing. */
export function optional<T>(codec: Codec<T>): Codec<T> & { readonly optional: true } {
  return { ...codec, optional: true };
}

/** An object of known fields. Unknown fields are refused with their path, except under `ext`, which is kept as it is. */
export function record<const F extends Fields>(fields: F): Codec<Flat<ObjectOf<F>>> {
  const required = Object.keys(fields).filter((key) => fields[key]?.optional !== true);
  const properties = Object.fromEntries(Object.entries(fields).map(([key, codec]) => [key, codec.schema]));
  return {
    schema: { type: 'object', properties: { ...properties, ext: {} }, required, additionalProperties: false },
    visit: (value, path, faults) => {
      if (typeof value !== 'object' || value === null || Array.isArray(value))
        return refuse(faults, path, `${describe(value)} stands here; an object is expected`);
      return visitFields(fields, value as Record<string, unknown>, path, faults) as Flat<ObjectOf<F>>;
    },
  };
}

function visitFields(fields: Fields, value: Record<string, unknown>, path: string, faults: Fault[]): Record<string, unknown> {
  const result: Record<string, unknown> = {};
  for (const [key, codec] of Object.entries(fields)) {
    const here = join(path, key);
    if (value[key] !== undefined) result[key] = codec.visit(value[key], here, faults);
    else if (codec.optional !== true) refuse(faults, here, 'this field is missing');
  }
  for (const key of Object.keys(value)) {
    if (key === 'ext') result.ext = value.ext;
    else if (!Object.hasOwn(fields, key)) refuse(faults, join(path, key), 'this field is not known; put extensions under "ext"');
  }
  return result;
}

function join(path: string, key: string): string {
  return path === '' ? key : `${path}.${key}`;
}

interface ListLimits {
  readonly min?: number;
  readonly max?: number;
}

/** A list, by default of at most 500 entries. */
export function list<T>(item: Codec<T>, { min = 0, max = 500 }: ListLimits = {}): Codec<readonly T[]> {
  return {
    schema: { type: 'array', items: item.schema, minItems: min, maxItems: max },
    visit: (value, path, faults) => {
      if (!Array.isArray(value)) return refuse(faults, path, `${describe(value)} stands here; a list is expected`);
      if (value.length < min || value.length > max)
        return refuse(faults, path, `a list of ${value.length}; ${min} to ${max} entries are allowed`);
      return value.map((entry, index) => item.visit(entry, `${path}[${index}]`, faults) as T);
    },
  };
}

/** A dictionary from free keys to values of one kind. */
export function dictionary<T>(item: Codec<T>, maxKeys = 500): Codec<{ readonly [key: string]: T }> {
  return {
    schema: { type: 'object', additionalProperties: item.schema, maxProperties: maxKeys },
    visit: (value, path, faults) => {
      if (typeof value !== 'object' || value === null || Array.isArray(value))
        return refuse(faults, path, `${describe(value)} stands here; an object is expected`);
      const entries = Object.entries(value);
      if (entries.length > maxKeys) return refuse(faults, path, `${entries.length} keys; at most ${maxKeys} are allowed`);
      return Object.fromEntries(entries.map(([key, entry]) => [key, item.visit(entry, join(path, key), faults) as T]));
    },
  };
}

/** A union told apart by its `kind`. */
export function tagged<const V extends { readonly [kind: string]: Codec<unknown> }>(variants: V): Codec<TypeOf<V[keyof V]>> {
  const oneOf: JsonSchema[] = Object.values(variants).map((codec) => codec.schema);
  return {
    schema: { oneOf },
    visit: (value, path, faults) => {
      const kind = typeof value === 'object' && value !== null ? (value as { kind?: unknown }).kind : undefined;
      const codec = typeof kind === 'string' && Object.hasOwn(variants, kind) ? variants[kind] : undefined;
      if (codec === undefined)
        return refuse(faults, join(path, 'kind'), `${describe(kind)} stands here; expected one of ${Object.keys(variants).join(', ')}`);
      return codec.visit(value, path, faults) as TypeOf<V[keyof V]>;
    },
  };
}
