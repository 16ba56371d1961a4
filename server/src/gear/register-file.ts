import { type ColumnChoice, IMPORT_MAX_ROWS, recogniseHeading } from '@wainrope/contract';
import { parse } from 'csv-parse/sync';

/** A register file taken apart: where each row begins and its cells by heading order. */
export interface RegisterFile {
  readonly encoding: string;
  readonly separator: string;
  readonly headings: readonly string[];
  readonly rows: readonly { readonly line: number; readonly cells: readonly string[] }[];
}

export type FileOutcome = { readonly ok: true; readonly file: RegisterFile } | { readonly ok: false; readonly message: string };

const SEPARATORS = [',', ';', '\t', '|'];
const SEPARATOR_WORDS: { readonly [mark: string]: string } = { ',': 'comma', ';': 'semicolon', '\t': 'tab', '|': 'bar' };

/** Text of a file: UTF-8 with or without mark, UTF-16 by its mark, else the Western European code page of old spreadsheets. */
function decode(bytes: Uint8Array): { readonly text: string; readonly encoding: string } | undefined {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return { text: new TextDecoder('utf-16le').decode(bytes), encoding: 'UTF-16' };
  if (bytes.includes(0)) return undefined;
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), encoding: 'UTF-8' };
  } catch {
    // Not UTF-8: every byte sequence is valid in the single-byte code page, so the letters may be wrong but nothing is lost; the preview shows them.
    return { text: new TextDecoder('windows-1252').decode(bytes), encoding: 'Latin-1' };
  }
}

/** The separator that cuts the heading line into the most columns. */
function separatorOf(text: string): string {
  const head = text.trimStart().split('\n', 1)[0] ?? '';
  const counted = SEPARATORS.map((mark) => ({ mark, count: head.replace(/"[^"]*"/g, '').split(mark).length }));
  return counted.sort((a, b) => b.count - a.count)[0]?.mark ?? ',';
}

/** Reads a delimited file, or says in words why it is none. */
export function readRegisterFile(bytes: Uint8Array): FileOutcome {
  if (bytes.length === 0) return { ok: false, message: 'The file is empty.' };
  const decoded = decode(bytes);
  if (!decoded) return { ok: false, message: notText(bytes) };
  // One kind of line end, so that lines count as an editor counts them.
  const text = decoded.text.replace(/\r\n?/g, '\n');
  const separator = separatorOf(text);
  try {
    const records: Row[] = [];
    parse(text, {
      delimiter: separator,
      bom: true,
      relax_column_count: true,
      skip_empty_lines: false,
      relax_quotes: false,
      // Each row with the line on which it ends; the parser itself keeps nothing.
      on_record: (record: readonly string[], { lines }) => {
        refuseTooMuch(record, records.length);
        records.push({ record, lines });
        return null;
      },
    });
    return fileOf(records, decoded.encoding, separator);
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
    throw new TooMuch(`The file has more than ${IMPORT_MAX_ROWS} rows; at most so many are taken at once. Split it.`);
  if (record.length > MOST_CELLS)
    throw new TooMuch(`Row ${before + 1} of the file has ${record.length} cells; at most ${MOST_CELLS} are taken. Is it a register?`);
}

interface Row {
  readonly record: readonly string[];
  readonly lines: number;
}

function fileOf(records: readonly Row[], encoding: string, separator: string): FileOutcome {
  const first = records.findIndex(({ record }) => record.some((cell) => cell.trim() !== ''));
  const headings = records[first]?.record.map((cell) => cell.trim());
  if (!headings) return { ok: false, message: 'The file holds no rows.' };
  if (headings.filter((heading) => recogniseHeading(heading)).length === 0)
    return {
      ok: false,
      message: `No column of this file is recognised (first line: “${headings.join(' ').slice(0, 80)}”). The first line must name the columns, among them tag and class.`,
    };
  const body = records.slice(first + 1);
  if (body.length > IMPORT_MAX_ROWS)
    return { ok: false, message: `The file has ${body.length} rows; at most ${IMPORT_MAX_ROWS} are taken at once. Split it.` };
  // A record's line is counted where it ends; it began after the one before it.
  const rows = body.map(({ record }, index) => ({ line: (records[first + index]?.lines ?? 0) + 1, cells: record }));
  return { ok: true, file: { encoding, separator: SEPARATOR_WORDS[separator] ?? separator, headings, rows } };
}

/** What each heading is taken for; a column that two headings claim goes to the first. */
export function recogniseColumns(headings: readonly string[]): ColumnChoice[] {
  const taken = new Set<string>();
  return headings.map((heading) => {
    const found = recogniseHeading(heading);
    if (!found || taken.has(found.column)) return { heading };
    taken.add(found.column);
    return { heading, ...found };
  });
}
