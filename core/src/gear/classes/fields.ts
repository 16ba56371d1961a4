import type { Codec } from '../../codec/codec.ts';
import { choice, flag, numeric, text } from '../../codec/scalars.ts';
import { optional, record } from '../../codec/structures.ts';

/** What reads an attribute: the way a line goes, how pieces meet, limits, the drum and its motor, where it sits, hazards; or nobody yet. */
export type ReadBy = 'length' | 'fit' | 'strength' | 'drum' | 'point' | 'hazard' | 'record-only';

/** One attribute of a gear class: how it is read, entered and shown. Lengths are metres, masses kilograms, forces newtons. */
export type Field = { readonly label: string; readonly readBy: ReadBy } & (
  | {
      readonly type: 'length' | 'small-length' | 'mass' | 'force' | 'number' | 'count';
      readonly max: number;
      readonly signed?: boolean;
    }
  | { readonly type: 'choice'; readonly options: readonly string[] }
  | { readonly type: 'flag' | 'text' }
);
export type FieldTable = { readonly [key: string]: Field };

/** The keys of a table's lengths. */
export type LengthKey<F extends FieldTable> = {
  [K in keyof F]: F[K] extends { readonly type: 'length' | 'small-length' } ? K : never;
}[keyof F] &
  string;

type FieldValue<F> = F extends { readonly type: 'choice'; readonly options: readonly (infer O)[] }
  ? O
  : F extends { readonly type: 'flag' }
    ? boolean
    : F extends { readonly type: 'text' }
      ? string
      : number;

/** Every attribute may be unknown: a register is never complete, and a rule that lacks one says so. */
export type AttributesOf<T extends FieldTable> = { readonly [K in keyof T]?: FieldValue<T[K]> };

/** A length in metres shown in metres. */
export const long = (label: string, readBy: ReadBy) => ({ type: 'length', label, max: 500, readBy }) as const;
/** A length in metres shown in millimetres. */
export const small = (label: string, readBy: ReadBy) => ({ type: 'small-length', label, max: 2, readBy }) as const;
/** A position in metres, either sign. */
export const position = (label: string, readBy: ReadBy) => ({ type: 'length', label, max: 20, signed: true, readBy }) as const;
export const weight = (label: string, readBy: ReadBy) => ({ type: 'mass', label, max: 20_000, readBy }) as const;
export const tension = (label: string, readBy: ReadBy) => ({ type: 'force', label, max: 1e7, readBy }) as const;
export const plain = (label: string, readBy: ReadBy, max = 1000) => ({ type: 'number', label, max, readBy }) as const;
export const whole = (label: string, readBy: ReadBy, max = 10_000) => ({ type: 'count', label, max, readBy }) as const;
export const words = (label: string, readBy: ReadBy) => ({ type: 'text', label, readBy }) as const;
export const yesNo = (label: string, readBy: ReadBy) => ({ type: 'flag', label, readBy }) as const;
export const pick = <const O extends string>(label: string, readBy: ReadBy, options: readonly O[]) =>
  ({ type: 'choice', label, options, readBy }) as const;

function fieldCodec(field: Field): Codec<unknown> {
  switch (field.type) {
    case 'choice':
      return choice(field.options);
    case 'flag':
      return flag;
    case 'text':
      return text({ maxLength: 200 });
    case 'count':
      return numeric({ min: 0, max: field.max, integer: true });
    default:
      return numeric(field.signed ? { min: -field.max, max: field.max } : { above: 0, max: field.max });
  }
}

/** The reader of a class's attributes, made from its table. */
export function attributesCodec<T extends FieldTable>(table: T): Codec<AttributesOf<T>>;
export function attributesCodec(table: FieldTable): Codec<object> {
  return record(Object.fromEntries(Object.entries(table).map(([key, field]) => [key, optional(fieldCodec(field))])));
}
