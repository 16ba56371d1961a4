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

/** What stands before a day in a sentence of ours. Any other word, and it may be a tag or a serial number, which stay as they are. */
const BEFORE = 'on|of|by|due|used|since|until|inspected|from|to';

/** Text with each day in it as the reader writes it. */
export const withDays = (text: string): string => text.replace(new RegExp(`(?<=\\b(?:${BEFORE}) )\\d{4}-\\d{2}-\\d{2}\\b(?!T)`, 'gi'), day);

/** How long ago, for what has just happened: by the clock within a day, whatever the calendar says. */
export function ago(iso: string): string {
  const [then, now] = [parseISO(iso), new Date()];
  const minutes = Math.abs(now.getTime() - then.getTime()) / 60_000;
  const unit = minutes < 60 ? 'minute' : minutes < 24 * 60 ? 'hour' : 'day';
  return intlFormatDistance(then, now, { ...WAY, numeric: 'always', unit });
}
