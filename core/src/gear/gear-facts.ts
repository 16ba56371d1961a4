import type { Codec, TypeOf } from '../codec/codec.ts';
import { choice, day, id, numeric, partialDate, text } from '../codec/scalars.ts';
import { list, optional, record, tagged } from '../codec/structures.ts';
import { type AttributesOf, attributesCodec, type FieldTable } from './classes/fields.ts';
import { type GearClass, gearClasses, gearClassNames } from './classes/gear-classes.ts';
import { markCodec } from './mark.ts';

/** Whether a piece may be used. Only `in-use` may be planned with. */
export const gearStates = ['in-use', 'quarantined', 'retired'] as const;
export type GearState = (typeof gearStates)[number];

/** Condition grade given by an inspector; D is out of use. */
export const grades = ['A', 'B', 'C', 'D'] as const;
export type Grade = (typeof grades)[number];

const common = {
  id,
  tag: text({ maxLength: 40 }),
  name: text({ maxLength: 120 }),
  marks: list(markCodec, { max: 10 }),
  state: choice(gearStates),
  /** The last inspection on record. */
  inspection: optional(record({ on: day, grade: choice(grades), nextDue: optional(day) })),
  madeOn: optional(partialDate),
  firstUsedOn: optional(partialDate),
  /** Overloads and shocks since the last inspection. */
  overloadsSinceInspection: numeric({ min: 0, max: 1e6, integer: true }),
  /** A renewal beyond the age limit, given by a person with a reason, until this day. */
  renewedUntil: optional(day),
} as const;

const commonCodec = record(common);
type Common = TypeOf<typeof commonCodec>;

type FactsOf<K extends GearClass> = Common & { readonly kind: K; readonly attributes: AttributesOf<(typeof gearClasses)[K]['fields']> };

/** What is judged about a piece: a union by class. Nothing here is a place, an owner or a note. */
export type GearFacts = { [K in GearClass]: FactsOf<K> }[GearClass];

/** The facts of one class. */
export type GearOf<K extends GearClass> = Extract<GearFacts, { readonly kind: K }>;

/** A reader that tells the classes apart, each with the attributes of its row. */
function codecOfFacts(): Codec<GearFacts>;
function codecOfFacts(): Codec<object> {
  const ofClass = (kind: GearClass) =>
    record({ ...common, kind: choice([kind]), attributes: attributesCodec<FieldTable>(gearClasses[kind].fields) });
  return tagged(Object.fromEntries(gearClassNames.map((kind) => [kind, ofClass(kind)])));
}
export const gearFactsCodec = codecOfFacts();

/** The reader of one class's attributes. */
export function readerOfAttributes(kind: GearClass): Codec<{ readonly [key: string]: unknown }> {
  return attributesCodec<FieldTable>(gearClasses[kind].fields);
}
