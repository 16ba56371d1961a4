import { firstDay, type ParsedDate, parseDate } from '@wainrope/core';
import type { ColumnsOf, RowReader } from './register-row.ts';

/** Longest note, characters. */
export const LONGEST_NOTE = 2000;

interface Heading {
  readonly key: string;
  readonly label: string;
}

/** A part of a row that stands in one cell. */
export const inOneCell = <V>(
  heading: Heading,
  read: (text: string | undefined, reader: RowReader) => V | undefined,
  write: (value: V) => string | undefined,
): ColumnsOf<V> => ({
  columns: [heading],
  read: (reader) => read(reader.cell(heading.key), reader),
  write: (value) => ({ [heading.key]: write(value) }),
});

/** Words of at most so many characters. */
export const inWords = (most: number, heading: Heading): ColumnsOf<string> =>
  inOneCell(
    heading,
    (text, { refuse }) => (text === undefined ? undefined : shortWords(text, most, (message) => refuse(heading.key, message))),
    (value) => value,
  );

export const shortWords = (text: string, most: number, refuse: (message: string) => undefined): string | undefined =>
  text.length > most ? refuse(`${text.length} characters; at most ${most} fit here.`) : text;

/** A date as far as it is known: `YYYY`, `YYYY-MM` or `YYYY-MM-DD` once it is read. */
export const onADate = (heading: Heading): ColumnsOf<string> =>
  inOneCell(
    heading,
    (text, reader) => (text === undefined ? undefined : dateOf(text, heading.key, reader)),
    (value) => value,
  );

/** A day, `YYYY-MM-DD` once it is read. */
export const onADay = (heading: Heading): ColumnsOf<string> =>
  inOneCell(
    heading,
    (_, reader) => dayOf(heading, reader),
    (value) => value,
  );

function dateOf(text: string, column: string, { refuse, ask, settings }: RowReader): string | undefined {
  const parsed: ParsedDate = parseDate(text, settings.dayOrder);
  if (parsed.kind === 'date') return parsed.date;
  return parsed.kind === 'fault' ? refuse(column, parsed.message) : ask({ about: 'day-order', word: text });
}

/** The day in a cell; of a month or a year that stands there its first day is taken, and said so. */
export function dayOf({ key, label }: Heading, reader: RowReader): string | undefined {
  const text = reader.cell(key);
  const date = text === undefined ? undefined : dateOf(text, key, reader);
  if (date === undefined) return undefined;
  if (date.length < firstDay(date).length) reader.say(`${label} “${text}”: taken as ${firstDay(date)}, the first day it may mean`);
  return firstDay(date);
}
