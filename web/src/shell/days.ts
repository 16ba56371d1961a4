import { intlFormat, intlFormatDistance, parseISO } from 'date-fns';

/** The reader's own way to write a date, in English, since the page speaks English. */
const WAY = globalThis.navigator?.languages?.find((language) => /^en\b/i.test(language)) ?? 'en-GB';

/** A moment, as the reader writes it. */
export const moment = (iso: string): string =>
  intlFormat(parseISO(iso), { day: 'numeric', month: 'short', year: 'numeric', hour: '2-digit', minute: '2-digit' }, { locale: WAY });

/** How long ago, for what has just happened. */
export const ago = (iso: string): string => intlFormatDistance(parseISO(iso), new Date(), { locale: WAY, numeric: 'always' });
