import { type DecimalMark, parseQuantity } from '@wainrope/core';

export type TypedMetres =
  | { readonly kind: 'empty' }
  | { readonly kind: 'metres'; readonly metres: number }
  | { readonly kind: 'fault'; readonly message: string };

/** A length as typed; a number without a unit is in metres. */
export function readMetres(typed: string, decimal: DecimalMark): TypedMetres {
  const text = typed.trim();
  if (text === '') return { kind: 'empty' };
  const read = parseQuantity(/^[\d.,\s]+$/.test(text) ? `${text} m` : text, { dimension: 'length', decimal });
  if (read.kind === 'understood') return { kind: 'metres', metres: read.reading.valueSi };
  return { kind: 'fault', message: read.kind === 'fault' ? read.message : `“${text}” is not a length.` };
}
