import { type DecimalMark, parseQuantity, type SheetMeasure } from '@wainrope/core';

export type ReadMeasure =
  | { readonly kind: 'empty' }
  | { readonly kind: 'value'; readonly value: number }
  | { readonly kind: 'fault'; readonly message: string };

/** A bare number in a field of millimetres or metres is one: the field says its unit. */
const BARE = /^[\d.,\s]+$/;
const UNIT: { readonly [Q in SheetMeasure['quantity']]?: string } = { length: ' m', 'small-length': ' mm', 'angle-deg': '°' };
const DEGREES_PER_RADIAN = 180 / Math.PI;

/** Reads what was typed for a measure, in the measure's own unit (m, degrees, counts, fractions). */
export function readMeasure(quantity: SheetMeasure['quantity'], typed: string, decimal: DecimalMark): ReadMeasure {
  const text = typed.trim();
  if (text === '') return { kind: 'empty' };
  if (quantity === 'count' || quantity === 'share') return readNumber(quantity, text, decimal);
  const parsed = parseQuantity(BARE.test(text) ? text + (UNIT[quantity] ?? '') : text, {
    dimension: quantity === 'angle-deg' ? 'angle' : 'length',
    decimal,
  });
  if (parsed.kind !== 'understood')
    return { kind: 'fault', message: parsed.kind === 'fault' ? parsed.message : `“${text}” can be read in two ways.` };
  return { kind: 'value', value: quantity === 'angle-deg' ? parsed.reading.valueSi * DEGREES_PER_RADIAN : parsed.reading.valueSi };
}

function readNumber(quantity: 'count' | 'share', text: string, decimal: DecimalMark): ReadMeasure {
  const percent = text.endsWith('%') || quantity === 'share';
  const value = Number(text.replace('%', '').trim().replace(decimal, '.'));
  if (!Number.isFinite(value) || value < 0)
    return { kind: 'fault', message: `“${text}” is not a number of ${quantity === 'share' ? 'per cent' : 'pieces'}.` };
  if (quantity === 'count' && !Number.isInteger(value)) return { kind: 'fault', message: `“${text}” is not a whole number.` };
  return { kind: 'value', value: percent ? value / 100 : value };
}
