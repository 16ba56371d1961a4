import { isDay } from '@wainrope/core';
import { intlFormat, intlFormatDistance, parseISO } from 'date-fns';

/** The reader's own way to write a date, in English, since the page speaks English. */
const WAY = { locale: globalThis.navigator?.languages?.find((language) => /^en\b/i.test(language)) ?? 'en-GB' };

/** A moment, as the reader writes it. */
export const moment = (iso: string): string =>
  intlFormat(parseISO(iso), { day: 'numeric', month: 'short', year: 'numeric', hour: '2-digit', minute: '2-digit' }, WAY);

/** A day, or the month or the year that is all one knows, as the reader writes it; what is no date stays as it is. */
export function day(iso: string): string {
  if (isDay(iso)) return intlFormat(parseISO(iso), { day: 'numeric', month: 'short', year: 'numeric' }, WAY);
  return isDay(`${iso}-01`) ? intlFormat(parseISO(`${iso}-01`), { month: 'short', year: 'numeric' }, WAY) : iso;
}

/** Text with each day in it as the reader writes it. */
export const withDays = (text: string): string => text.replace(/\b\d{4}-\d{2}-\d{2}\b(?!T)/g, day);

/** How long ago, for what has just happened. */
export const ago = (iso: string): string => intlFormatDistance(parseISO(iso), new Date(), { ...WAY, numeric: 'always' });
