import type { Field } from '@wainrope/core';
import { MARKS_IN_FILE, registerColumns } from './columns.ts';
import type { RegisterRow } from './read-row.ts';
import { type Cells } from './read-row.ts';

/** A row as cells of the file, loss-free: measures in SI with every digit and their unit. */
export function writeRegisterRow(row: RegisterRow): Cells {
  const marks = Object.fromEntries(
    row.marks.slice(0, MARKS_IN_FILE).flatMap(({ asWritten, basis, source, confirmedUnit }, index) => [
      [`mark_${index + 1}`, asWritten],
      [`mark_${index + 1}_basis`, basis],
      [`mark_${index + 1}_source`, source],
      [`mark_${index + 1}_unit`, confirmedUnit],
    ]),
  );
  const attributes = Object.fromEntries(
    registerColumns.flatMap(({ key, attribute }) => {
      const value = attribute && row.attributes[attribute.key];
      return attribute === undefined || value === undefined ? [] : [[key, writeAttribute(attribute.field, value)]];
    }),
  );
  return clean({
    tag: row.tag,
    class: row.kind,
    name: row.name,
    maker: row.maker,
    model: row.model,
    owner: row.owner,
    state: row.state,
    kit: row.kit,
    vehicle: row.vehicle,
    made_on: row.madeOn,
    bought_on: row.boughtOn,
    first_used_on: row.firstUsedOn,
    inspected_on: row.inspection?.on,
    grade: row.inspection?.grade,
    next_due: row.inspection?.nextDue,
    inspected_by: row.inspection?.by,
    overloads_since_inspection: row.overloadsSinceInspection === 0 ? undefined : String(row.overloadsSinceInspection),
    renewed_until: row.renewedUntil,
    note: row.note,
    ...marks,
    ...attributes,
  });
}

function clean(cells: { readonly [key: string]: string | undefined }): Cells {
  return Object.fromEntries(Object.entries(cells).filter((entry): entry is [string, string] => entry[1] !== undefined));
}

const UNIT: { readonly [T in Field['type']]: string } = {
  length: ' m',
  'small-length': ' m',
  mass: ' kg',
  force: ' N',
  number: '',
  count: '',
  choice: '',
  flag: '',
  text: '',
};

/** One attribute as text that reads back to the same value. */
export function writeAttribute(field: Field, value: string | number | boolean): string {
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'string') return value;
  return `${plainDecimal(value)}${UNIT[field.type]}`;
}

/** Every digit of a number without an exponent; a point before exactly three digits gets a zero behind it, lest it be read as thousands. */
function plainDecimal(value: number): string {
  const text = String(value);
  const plain = text.includes('e') ? value.toFixed(20).replace(/0+$/, '') : text;
  return /^[1-9]\d{0,2}\.\d{3}$/.test(plain) ? `${plain}0` : plain;
}
