import { format, formatDistanceToNowStrict, parseISO } from 'date-fns';

/** A moment, as people write it. */
export const moment = (iso: string): string => format(parseISO(iso), 'd MMM yyyy, HH:mm');

/** How long ago, for what has just happened. */
export const ago = (iso: string): string => formatDistanceToNowStrict(parseISO(iso), { addSuffix: true });
