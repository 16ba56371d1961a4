import { type DecimalMark, parseQuantity, type ReaderUnits } from '@wainrope/core';

export type TypedForce =
  | { readonly kind: 'empty' }
  | { readonly kind: 'force'; readonly newtons: number }
  | { readonly kind: 'fault'; readonly message: string };

/** What a bare number means to a reader of each unit. */
const UNIT: { readonly [U in ReaderUnits]: string } = { kN: 'kN', t: 'tf', lbf: 'lbf' };

/** A force as typed; a number without a unit is in the reader's own. */
export function readForce(typed: string, decimal: DecimalMark, units: ReaderUnits): TypedForce {
  const text = typed.trim();
  if (text === '') return { kind: 'empty' };
  const read = parseQuantity(/^[\d.,\s\u202f]+$/.test(text) ? `${text} ${UNIT[units]}` : text, { dimension: 'force', decimal });
  if (read.kind === 'understood') return { kind: 'force', newtons: read.reading.valueSi };
  return { kind: 'fault', message: read.kind === 'fault' ? read.message : 'Which ton? Write tonne, short ton or long ton.' };
}
