import { type Field, gearClasses, gearClassNames } from '@wainrope/core';
import { readAttribute, writeAttribute } from './attribute-cells.ts';
import { withUnit } from './one-of.ts';
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
      if (!found.has(heading))
        found.set(heading, { key: heading, label: field.label, aliases: ATTRIBUTE_ALIASES[heading] ?? [], attribute: { key, field } });
    }
  }
  return [...found.values()];
}

const ATTRIBUTE_ALIASES: { readonly [heading: string]: readonly string[] } = {
  rope_diameter: ['diameter', 'rope dia', 'dia', 'cord diameter'],
  length: ['len', 'length when new'],
  width: ['strap width'],
  mass: ['weight'],
};

const columns = attributeColumns();

/** What a class's own fields say, each attribute by its heading; the unit stands in the cell. */
export const attributesInColumns: ColumnsOf<RegisterRow['attributes']> = {
  columns,
  read: attributesOf,
  write: (attributes) =>
    Object.fromEntries(
      columns.flatMap(({ key, attribute }) => {
        const value = attribute && attributes[attribute.key];
        return attribute === undefined || value === undefined ? [] : [[key, writeAttribute(attribute.field, value)]];
      }),
    ),
};

function attributesOf({ cell, refuse, settings, kind: named }: RowReader): RegisterRow['attributes'] {
  const kind = named();
  const found: Record<string, string | number | boolean> = {};
  if (kind === undefined) return found;
  const fields: { readonly [key: string]: Field } = gearClasses[kind].fields;
  for (const column of columns) {
    const text = cell(column.key);
    if (column.attribute === undefined || text === undefined) continue;
    const field = fields[column.attribute.key];
    if (field === undefined) {
      refuse(column.key, `A ${gearClasses[kind].label.toLowerCase()} has no “${column.label}”; empty the cell or correct the class.`);
      continue;
    }
    const value = readAttribute(field, withUnit(text, settings.units[column.key]), settings.decimal);
    if (value.ok) found[column.attribute.key] = value.value;
    else refuse(column.key, value.message);
  }
  return found;
}
