import { formatFigure, length, type MeasuredShare, type SheetMeasure } from '@wainrope/core';

/** The unit in which a measure is typed. */
export const measureUnits: { readonly [Q in SheetMeasure['quantity']]: string } = {
  length: 'm',
  'small-length': 'mm',
  'angle-deg': '°',
  count: '',
  share: '%',
};

/** A measured value with its unit; small lengths to a hundredth of a millimetre, since a tenth of wear decides. */
export function valueWords(quantity: SheetMeasure['quantity'], value: number): string {
  if (quantity === 'length') return formatFigure(length(value));
  if (quantity === 'small-length') return `${Math.round(value * 100_000) / 100} mm`;
  if (quantity === 'angle-deg') return `${Math.round(value)}°`;
  return quantity === 'share' ? `${Math.round(value * 1000) / 10} %` : String(value);
}

/** What a measure allows, from the value when new where that is known. */
export function limitWords({ quantity, limit }: SheetMeasure, known: number | undefined): string {
  if (limit.kind === 'at-most') return limit.value === 0 ? 'none is allowed' : `at most ${valueWords(quantity, limit.value)}`;
  const percent = Math.round(limit.value * 1000) / 10;
  const edge = known === undefined ? undefined : known * (limit.kind === 'loss' ? 1 - limit.value : 1 + limit.value);
  const words = limit.kind === 'loss' ? `may lose ${percent} %` : `may grow by ${percent} %`;
  return known === undefined || edge === undefined
    ? words
    : `new ${valueWords(quantity, known)}; ${words}, that is ${limit.kind === 'loss' ? 'down' : 'up'} to ${valueWords(quantity, edge)}`;
}

/** What a measured value amounts to, against what is allowed. */
export function shareWords({ limit, quantity }: SheetMeasure, { change, used, over }: MeasuredShare): string {
  const what =
    limit.kind === 'at-most'
      ? valueWords(quantity, change)
      : `${limit.kind === 'loss' ? 'lost' : 'grown by'} ${Math.round(change * 1000) / 10} %`;
  if (over) return `${what}: over the limit, out of use.`;
  return limit.value === 0 ? `${what}: in order.` : `${what}: ${Math.round(used * 100)} % of what is allowed.`;
}
