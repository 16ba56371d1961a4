import { type Field, type GearClass, gearClasses, gearClassNames } from '@wainrope/core';
import { readAttribute, writeAttribute } from './attribute-cells.ts';
import { isBare, withUnit } from './one-of.ts';
import type { ColumnsOf, RegisterColumn, RegisterRow, RowReader } from './register-row.ts';

/** `ropeDiameterM` → `rope_diameter`: the unit stands in the cell, not in the heading. */
function attributeHeading(key: string, field: Field): string {
  const bare =
    field.type === 'mass'
      ? key.replace(/Kg$/, '')
      : field.type === 'force'
        ? key.replace(/N$/, '')
        : field.type.endsWith('length')
          ? key.replace(/M$/, '')
          : key;
  return bare.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
}

function attributeColumns(): readonly RegisterColumn[] {
  const found = new Map<string, RegisterColumn>();
  for (const kind of gearClassNames) {
    for (const [key, field] of Object.entries<Field>(gearClasses[kind].fields)) {
      const heading = attributeHeading(key, field);
      if (!found.has(heading)) found.set(heading, { key: heading, label: field.label, attribute: { key, field } });
    }
  }
  return [...found.values()];
}

const columns = attributeColumns();

/** Which of a class's fields a heading without more to it means: the diameter of a rope, of a chain's link. */
const DIAMETERS = ['ropeDiameterM', 'linkDiameterM'];
const DIAMETER: RegisterColumn = { key: 'diameter', label: 'Diameter', readOnly: true };
/** Diameter or width, and length, in one cell: `10 mm x 28 m`. */
const SIZE: RegisterColumn = { key: 'size', label: 'Size', readOnly: true };

/** What a class's own fields say, each attribute by its heading; the unit stands in the cell. */
export const attributesInColumns: ColumnsOf<RegisterRow['attributes']> = {
  columns: [...columns, DIAMETER, SIZE],
  read: attributesOf,
  write: (attributes) =>
    Object.fromEntries(
      columns.flatMap(({ key, attribute }) => {
        const value = attribute && attributes[attribute.key];
        return attribute === undefined || value === undefined ? [] : [[key, writeAttribute(attribute.field, value)]];
      }),
    ),
};

type Found = Record<string, string | number | boolean>;

function attributesOf(reader: RowReader): RegisterRow['attributes'] {
  const kind = reader.kind();
  const found: Found = {};
  if (kind === undefined) return found;
  for (const { key, attribute } of columns) {
    const text = reader.cell(key);
    if (attribute !== undefined && text !== undefined) take(reader, found, { kind, column: key, key: attribute.key, text });
  }
  const diameter = reader.cell(DIAMETER.key);
  const ofClass = DIAMETERS.find((key) => key in gearClasses[kind].fields);
  if (diameter !== undefined) take(reader, found, { kind, column: DIAMETER.key, key: ofClass ?? '', text: diameter });
  const size = reader.cell(SIZE.key);
  if (size !== undefined) takeSize(reader, found, kind, size);
  countPair(reader, found, kind);
  return found;
}

interface AttributeCell {
  readonly kind: GearClass;
  readonly column: string;
  readonly key: string;
  readonly text: string;
}

/** One cell; what the class has no place for is kept in the note. */
function take({ settings, ask, refuse, keep }: RowReader, found: Found, { kind, column, key, text }: AttributeCell): undefined {
  const fields: { readonly [key: string]: Field } = gearClasses[kind].fields;
  const field = fields[key];
  if (field === undefined || found[key] !== undefined) return keep(column, text);
  if (MEASURED.includes(field.type) && isBare(text, settings.units[column])) return ask({ about: 'unit', word: column });
  const value = readAttribute(field, withUnit(text, settings.units[column]), settings.decimal);
  if (!value.ok) return field.type === 'choice' || field.type === 'flag' ? keep(column, text) : refuse(column, value.message);
  found[key] = value.value;
  return undefined;
}

const MEASURED: readonly Field['type'][] = ['length', 'small-length', 'mass', 'force'];

/** The parts of a size that a class has a place for: the longest is its length, the other its diameter or width. Anything else is a note. */
function takeSize({ settings, keep }: RowReader, found: Found, kind: GearClass, text: string): undefined {
  const fields: { readonly [key: string]: Field } = gearClasses[kind].fields;
  const along = fields.lengthM;
  const parts = text.split(/\s*[x×*]\s*|\s*,\s+/i);
  if (!along || parts.length > 2) return keep(SIZE.key, text);
  const read = parts.map((part) => readAttribute(along, withUnit(part, settings.units[SIZE.key]), settings.decimal));
  const metres = read.flatMap((value) => (value.ok && typeof value.value === 'number' ? [value.value] : [])).sort((a, b) => a - b);
  const [small = 0, large] = metres;
  const across = acrossOf(fields, small);
  const fits = metres.length === parts.length && small <= MOST_ACROSS_M && (large === undefined || large > MOST_ACROSS_M);
  if (!across || !fits) return keep(SIZE.key, text);
  found[across] ??= small;
  if (large !== undefined) found.lengthM ??= large;
  return undefined;
}

/** From here on what may be a rope or a strap is a strap, metres. */
const LEAST_WIDTH_M = 0.04;

/** What the smaller of two sizes is: a rope's diameter, or a strap's width. */
function acrossOf(fields: object, metres: number): string | undefined {
  const across = metres < LEAST_WIDTH_M ? [...DIAMETERS, 'widthM'] : ['widthM', ...DIAMETERS];
  return across.find((key) => key in fields);
}

/** No rope is thicker and no strap wider, metres. */
const MOST_ACROSS_M = 0.4;

/** A pair is two of what is kept by the count. */
function countPair({ cell }: RowReader, found: Found, kind: GearClass): void {
  if ('pieces' in gearClasses[kind].fields && /\bpairs?\b/i.test(`${cell('class') ?? ''} ${cell('name') ?? ''}`)) found.pieces ??= 2;
}
