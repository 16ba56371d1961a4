import { type DecimalMark, type Field, keyWords, parseQuantity } from '@wainrope/core';

type AttributeCell = { readonly ok: true; readonly value: string | number | boolean } | { readonly ok: false; readonly message: string };

/** Reads one attribute as typed: quantities with their unit, choices by name, yes or no. SI out. */
export function readAttribute(field: Field, text: string, decimal: DecimalMark): AttributeCell {
  switch (field.type) {
    case 'text':
      return text.length <= 200 ? { ok: true, value: text } : { ok: false, message: `${text.length} characters; at most 200 fit here.` };
    case 'flag': {
      const word = text.toLowerCase();
      if (['yes', 'y', 'true', '1'].includes(word)) return { ok: true, value: true };
      return ['no', 'n', 'false', '0'].includes(word)
        ? { ok: true, value: false }
        : { ok: false, message: `“${text}” is neither yes nor no.` };
    }
    case 'choice': {
      const name = plainly(text);
      const option = field.options.find((entry) => entry === name || plainly(keyWords(entry)) === name);
      return option
        ? { ok: true, value: option }
        : { ok: false, message: `“${text}” is not recognised; expected one of: ${field.options.map(keyWords).join('; ')}.` };
    }
    case 'count':
    case 'number':
      return readNumber(field, text, decimal);
    default:
      return readMeasure(field, text, decimal);
  }
}

/** A choice however it is written: by its key or by its words. */
const plainly = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[’',]/g, '')
    .replace(/[\s_]+/g, '-');

function readNumber(field: Extract<Field, { readonly max: number }>, text: string, decimal: DecimalMark): AttributeCell {
  const value = Number(decimal === ',' ? text.replace(',', '.') : text);
  if (!Number.isFinite(value) || value < 0 || value > field.max)
    return { ok: false, message: `“${text}” is not a number from 0 to ${field.max}.` };
  if (field.type === 'count' && !Number.isInteger(value)) return { ok: false, message: `“${text}” is not a whole number.` };
  return { ok: true, value };
}

function readMeasure(field: Extract<Field, { readonly max: number }>, text: string, decimal: DecimalMark): AttributeCell {
  const dimension = field.type === 'mass' ? 'mass' : field.type === 'force' ? 'force' : 'length';
  const negative = field.signed === true && /^\s*[-−]/.test(text);
  if (field.signed && /^\s*[-−]?\s*0+([.,]0+)?\s*(m|mm|cm|in|ft)?\s*$/.test(text)) return { ok: true, value: 0 };
  const parsed = parseQuantity(negative ? text.replace(/^\s*[-−]/, '') : text, { dimension, decimal });
  if (parsed.kind === 'fault') return { ok: false, message: parsed.message };
  if (parsed.kind === 'ambiguous') return { ok: false, message: `“${text}” does not say which ton; write tonne, short ton or long ton.` };
  const value = parsed.reading.valueSi * (negative ? -1 : 1);
  if (Math.abs(value) > field.max) return { ok: false, message: `“${text}” is more than is allowed here.` };
  return { ok: true, value };
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

/** One attribute as text that reads back to the same value, within twelve digits. */
export function writeAttribute(field: Field, value: string | number | boolean): string {
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'string') return value;
  return `${plainDecimal(value)}${UNIT[field.type]}`;
}

/**
 * A number to twelve digits, which no gauge comes near, without an exponent where that loses nothing; a point before exactly three digits
 * gets a zero behind it, lest it be read as thousands.
 */
export function plainDecimal(value: number): string {
  const rounded = Number(value.toPrecision(12));
  const text = String(rounded);
  const whole = text.includes('e') ? rounded.toFixed(20).replace(/0+$/, '') : text;
  const plain = Number(whole) === rounded ? whole : text;
  return /^[1-9]\d{0,2}\.\d{3}$/.test(plain) ? `${plain}0` : plain;
}
