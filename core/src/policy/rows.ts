import type { Codec, TypeOf } from '../codec/codec.ts';
import { numeric, text } from '../codec/scalars.ts';
import { record } from '../codec/structures.ts';

/** One figure of a table with the note of where it comes from. */
export const row = (least: number, most: number) => record({ value: numeric({ min: least, max: most }), source: text({ maxLength: 120 }) });
export const factorRow = row(0, 1);
export type Row = TypeOf<typeof factorRow>;

/** A row for each of the given names. */
export function table<const K extends string>(keys: readonly K[], item: Codec<TypeOf<typeof factorRow>>) {
  return record(Object.fromEntries(keys.map((key) => [key, item])) as { readonly [P in K]: typeof item });
}
