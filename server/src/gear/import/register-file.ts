import { type ColumnChoice, type FileEncoding, IMPORT_MAX_ROWS, recogniseHeading } from '@wainrope/contract';
import { headingVocabulary } from '@wainrope/core';
import { parse } from 'csv-parse/sync';
import { readLetters } from './file-letters.ts';
import { spellingOf } from './mend-spelling.ts';

/** A register file taken apart: where each row begins and its cells by heading order. */
export interface RegisterFile {
  readonly encoding: FileEncoding;
  readonly separator: string;
  /** Line on which the headings stand. */
  readonly headingLine: number;
  readonly headings: readonly string[];
  readonly rows: readonly { readonly line: number; readonly cells: readonly string[] }[];
}

export type FileOutcome = { readonly ok: true; readonly file: RegisterFile } | { readonly ok: false; readonly message: string };

const SEPARATORS = [',', ';', '\t', '|'];
const SEPARATOR_WORDS: { readonly [mark: string]: string } = { ',': 'comma', ';': 'semicolon', '\t': 'tab', '|': 'bar' };
/** A first line that says nothing but how cells are separated, as some spreadsheets write it. */
const STATED_SEPARATOR = /^\uFEFF?"?sep=(.)"?[ \t]*\n/i;
/** So many lines are looked at for the separator and the headings. */
const LOOKED_AT = 30;

/** The separator that cuts some line near the top into the most cells. */
function separatorOf(text: string): string {
  const lines = text.split('\n', LOOKED_AT).map((line) => line.replace(/"[^"]*"/g, ''));
  const counted = SEPARATORS.map((mark) => ({ mark, count: Math.max(...lines.map((line) => line.split(mark).length)) }));
  return counted.sort((a, b) => b.count - a.count)[0]?.mark ?? ',';
}

/** Reads a delimited file, or says in words why it is none. */
export function readRegisterFile(bytes: Uint8Array, named?: FileEncoding): FileOutcome {
  if (bytes.length === 0) return { ok: false, message: 'The file is empty.' };
  const letters = readLetters(bytes, named);
  if (!letters) return { ok: false, message: notText(bytes) };
  // One kind of line end, so that lines count as an editor counts them.
  const whole = letters.text.replace(/\r\n?/g, '\n');
  const stated = STATED_SEPARATOR.exec(whole);
  const text = stated ? whole.slice(stated[0].length) : whole;
  const separator = stated?.[1] ?? separatorOf(text);
  try {
    const records: Row[] = [];
    parse(text, {
      delimiter: separator,
      bom: true,
      relax_column_count: true,
      skip_empty_lines: false,
      // An inch mark stands in the middle of a cell as often as not.
      relax_quotes: true,
      // Each row with the line on which it ends; the parser itself keeps nothing.
      on_record: (record: readonly string[], { lines }) => {
        refuseTooMuch(record, records.length);
        records.push({ record, lines: lines + (stated ? 1 : 0) });
        return null;
      },
    });
    return fileOf(records, letters.encoding, separator, stated ? 1 : 0);
  } catch (error) {
    if (error instanceof TooMuch) return { ok: false, message: error.message };
    return { ok: false, message: `The file cannot be read as CSV: ${error instanceof Error ? error.message : String(error)}` };
  }
}

/** Texts hold no null characters; a spreadsheet's own file, or a picture, is full of them. */
function notText(bytes: Uint8Array): string {
  const line = bytes.subarray(0, bytes.indexOf(0)).reduce((count, byte) => count + (byte === 0x0a ? 1 : 0), 1);
  return `This is not a text file: a null character stands on line ${line}. Save the sheet as CSV and choose that file.`;
}

/** Refused while it is read: what comes after is not looked at. */
class TooMuch extends Error {}

/** A line of headings, and what somebody may have left above and below. */
const SPARE_ROWS = 1000;
const MOST_CELLS = 500;

function refuseTooMuch(record: readonly string[], before: number): void {
  if (before > IMPORT_MAX_ROWS + SPARE_ROWS)
    throw new TooMuch(`The file has more than ${IMPORT_MAX_ROWS} rows; at most that many can be read at once. Split it.`);
  if (record.length > MOST_CELLS)
    throw new TooMuch(`Row ${before + 1} of the file has ${record.length} cells; at most ${MOST_CELLS} are taken. Is it a register?`);
}

interface Row {
  readonly record: readonly string[];
  readonly lines: number;
}

/** How many cells of a line are headings that are known. */
const knownIn = ({ record }: Row, mend: (word: string) => string): number =>
  record.filter((cell) => cell.trim() !== '' && recogniseHeading(cell, mend)).length;

/** The line near the top with the most known headings; titles may stand above it. */
function headingRow(records: readonly Row[]): number {
  const mend = spellingOf(headingVocabulary);
  const known = records.slice(0, LOOKED_AT).map((row) => knownIn(row, mend));
  const most = Math.max(0, ...known);
  return most === 0 ? -1 : known.indexOf(most);
}

function fileOf(records: readonly Row[], encoding: FileEncoding, separator: string, before: number): FileOutcome {
  const first = records.find(({ record }) => record.some((cell) => cell.trim() !== ''));
  if (!first) return { ok: false, message: 'The file holds no rows.' };
  const at = headingRow(records);
  const headings = records[at]?.record.map((cell) => cell.trim());
  if (!headings)
    return {
      ok: false,
      message: `No column of this file is recognised (first line: “${first.record.join(' ').trim().slice(0, 80)}”). One of its first lines must name the columns, among them what each piece is.`,
    };
  const body = records.slice(at + 1);
  if (body.length > IMPORT_MAX_ROWS)
    return { ok: false, message: `The file has ${body.length} rows; at most ${IMPORT_MAX_ROWS} are taken at once. Split it.` };
  // A record's line is counted where it ends; it began after the one before it.
  const rows = body.map(({ record }, index) => ({ line: (records[at + index]?.lines ?? 0) + 1, cells: record }));
  const headingLine = (records[at - 1]?.lines ?? before) + 1;
  return { ok: true, file: { encoding, separator: SEPARATOR_WORDS[separator] ?? separator, headingLine, headings, rows } };
}

/** Headings that claim a column which is another's say more about the piece: they go into its note. */
const TOLD_IN_NOTE = ['tag', 'name', 'note'];

/**
 * What each heading is taken for. A column that several claim goes to the surest; a column of numbers that all differ is no count, one of
 * bare numbers no name.
 */
export function recogniseColumns({ headings, rows }: Pick<RegisterFile, 'headings' | 'rows'>): ColumnChoice[] {
  const mend = spellingOf(headingVocabulary);
  const found = headings.map((heading, at) => {
    const known = recogniseHeading(heading, mend);
    return (
      known && {
        ...known,
        column: byContent(
          known.column,
          heading,
          rows.map(({ cells }) => cells[at]?.trim() ?? ''),
        ),
      }
    );
  });
  const best = new Map<string, number>();
  found.forEach((known, at) => {
    if (!known) return;
    const before = best.get(known.column);
    if (before === undefined || known.rank < (found[before]?.rank ?? 0)) best.set(known.column, at);
  });
  return headings.map((heading, at) => {
    const known = found[at];
    if (!known) return { heading };
    const { column, unit } = known;
    if (best.get(column) === at) return { heading, column, ...(unit !== undefined && { unit }) };
    return TOLD_IN_NOTE.includes(column) ? { heading, column: 'note' } : { heading };
  });
}

/** `No` above numbers that repeat counts pieces; `Item` above bare numbers numbers them. */
function byContent(column: string, heading: string, cells: readonly string[]): string {
  const filled = cells.filter((cell) => cell !== '');
  const numbers = filled.filter((cell) => /^\d{1,4}$/.test(cell));
  if (filled.length < 2 || numbers.length < filled.length) return column;
  const repeats = new Set(filled).size < filled.length;
  if (column === 'name') return repeats ? column : 'tag';
  return column === 'tag' && repeats && /^(?:no|nr|number|#)\.?$/i.test(heading.trim()) ? 'quantity' : column;
}
