import { readCalendarCell } from './calendar-cell.ts';
import type { ColumnsOf, RowReader } from './register-row.ts';

interface Heading {
  readonly key: string;
  readonly label: string;
  readonly aliases: readonly string[];
}

/** A part of a row that stands in one cell. */
export const inOneCell = <V>(
  heading: Heading,
  read: (text: string | undefined, refuse: (message: string) => undefined, reader: RowReader) => V | undefined,
  write: (value: V) => string | undefined,
): ColumnsOf<V> => ({
  columns: [heading],
  read: (reader) => read(reader.cell(heading.key), (message) => reader.refuse(heading.key, message), reader),
  write: (value) => ({ [heading.key]: write(value) }),
});

/** Words of at most so many characters. */
export const inWords = (most: number, heading: Heading): ColumnsOf<string> =>
  inOneCell(
    heading,
    (text, refuse) => (text === undefined ? undefined : shortWords(text, most, refuse)),
    (value) => value,
  );

export const shortWords = (text: string, most: number, refuse: (message: string) => undefined): string | undefined =>
  text.length > most ? refuse(`${text.length} characters; at most ${most} fit here.`) : text;

/** A day, `YYYY-MM-DD` once it is read. */
export const onADay = (heading: Heading): ColumnsOf<string> =>
  inOneCell(
    heading,
    (text, refuse) => (text === undefined ? undefined : dayOf(text, refuse)),
    (value) => value,
  );

export function dayOf(text: string, refuse: (message: string) => undefined): string | undefined {
  const read = readCalendarCell(text);
  return read.ok ? read.day : refuse(read.message);
}
