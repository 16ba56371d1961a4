import {
  broadWords,
  type CellMend,
  type Cells,
  type ColumnChoice,
  type FileEncoding,
  IMPORT_MAX_ROWS,
  type ImportFault,
  meaningKey,
  type ReadRowSettings,
  type RowQuestion,
  readRegisterRow,
  registerColumns,
  saidIn,
  type UntaggedRow,
  unguardCell,
  type WordMeaning,
} from '@wainrope/contract';
import {
  classVocabulary,
  type DayOrder,
  type GearClass,
  parseDate,
  type RecognisedClass,
  recogniseClass,
  type TonUnit,
} from '@wainrope/core';
import type { FieldFault } from '../../http/problem.ts';
import type { Tell } from '../../threads/in-thread.ts';
import { type Packed, pack } from '../../threads/packed.ts';
import { spellingOf } from './mend-spelling.ts';
import { type RegisterFile, readRegisterFile, recogniseColumns } from './register-file.ts';

export interface ReadInput {
  readonly contentBase64: string;
  /** A person's correction of what the columns are. */
  readonly columns?: readonly ColumnChoice[] | undefined;
  readonly encoding?: FileEncoding | undefined;
  readonly dayOrder?: DayOrder | undefined;
  /** What words mean: by what the team remembers and what was answered now, which stands behind. */
  readonly meanings: readonly WordMeaning[];
  readonly mends?: readonly CellMend[] | undefined;
  readonly decimal: '.' | ',';
  readonly tonOfMaker: ReadonlyMap<string, TonUnit>;
}

/** A row of the file by itself, not yet held against the register. */
export interface ReadLine {
  readonly line: number;
  readonly cells: Cells;
  readonly stands: 'piece' | 'empty' | 'aside';
  /** Why a row that is set aside stands for no piece. */
  readonly why?: string;
  readonly row?: UntaggedRow;
  readonly guessed?: GearClass;
  readonly pieces: number;
  readonly said: readonly string[];
  readonly faults: readonly ImportFault[];
  readonly questions: readonly RowQuestion[];
}

export interface ReadRegister {
  readonly encoding: FileEncoding;
  readonly separator: string;
  readonly headingLine: number;
  readonly columns: readonly ColumnChoice[];
  readonly dayOrder?: DayOrder;
  /** Tags of the file, in lower case. */
  readonly tags: readonly string[];
  /** Some rows have no tag, or stand for several pieces: their tags are made. */
  readonly makesTags: boolean;
  readonly lines: Packed<readonly ReadLine[]>;
}

export type ReadOutcome =
  | { readonly ok: true; readonly register: ReadRegister }
  | { readonly ok: false; readonly faults: readonly FieldFault[]; readonly message?: string };

/** Reads a register file row by row, knowing nothing of the register. */
export function readRegister(input: ReadInput, tell: Tell): ReadOutcome {
  const outcome = readRegisterFile(Buffer.from(input.contentBase64, 'base64'), input.encoding);
  if (!outcome.ok) return { ok: false, faults: [{ path: 'contentBase64', message: outcome.message }], message: outcome.message };
  const { file } = outcome;
  const columns = input.columns ?? recogniseColumns(file);
  const faults = columnFaults(file, columns);
  if (faults.length > 0) return { ok: false, faults };
  const rows = mended(file, columns, input.mends ?? []);
  const settings = settingsOf(input, columns, rows);
  const lines = rows.map((row, index): ReadLine => {
    tell(index, rows.length);
    return readLine(row, settings);
  });
  const pieces = lines.reduce((sum, line) => sum + (line.stands === 'piece' ? line.pieces : 0), 0);
  if (pieces > IMPORT_MAX_ROWS) {
    const message = `The file stands for ${pieces} pieces; at most ${IMPORT_MAX_ROWS} are brought in at once. Split it.`;
    return { ok: false, faults: [{ path: 'contentBase64', message }], message };
  }
  const tags = lines.flatMap(({ cells, pieces }) => tagsOf(cells, pieces).map((tag) => tag.toLowerCase()));
  const { encoding, separator, headingLine } = file;
  return {
    ok: true,
    register: {
      encoding,
      separator,
      headingLine,
      columns,
      ...(settings.dayOrder && { dayOrder: settings.dayOrder }),
      tags: [...new Set(tags)],
      makesTags: lines.some(({ row }) => row !== undefined && row.tag === undefined),
      lines: pack(lines),
    },
  };
}

/** The tags that a row writes: its own, or one each with a number behind where it stands for several pieces. */
export function tagsOf(cells: Cells, pieces: number): readonly string[] {
  const tag = saidIn(cells.tag)?.replace(/\s+/g, ' ');
  if (tag === undefined) return [];
  return pieces === 1 ? [tag] : Array.from({ length: pieces }, (_, index) => `${tag}-${index + 1}`);
}

interface NamedRow {
  readonly line: number;
  readonly cells: Cells;
  /** Cells that hold something. */
  readonly filled: number;
  /** A person has said what class it is. */
  readonly classIsMended: boolean;
  /** The line of headings stands here once more. */
  readonly isHeadings: boolean;
  readonly surplus: number;
}

/** Rows by the columns that their cells were taken for, with what a person mended. */
function mended({ rows, headings }: RegisterFile, columns: readonly ColumnChoice[], mends: readonly CellMend[]): readonly NamedRow[] {
  const byLine = new Map<number, CellMend[]>();
  for (const mend of mends) byLine.set(mend.row, [...(byLine.get(mend.row) ?? []), mend]);
  return rows.map(({ line, cells }) => ({
    line,
    cells: {
      ...namedCells(columns, cells),
      ...Object.fromEntries((byLine.get(line) ?? []).map(({ column, text }) => [column, text])),
    },
    classIsMended: (byLine.get(line) ?? []).some(({ column }) => column === 'class'),
    filled: cells.filter((cell) => cell.trim() !== '').length,
    isHeadings: headings.length > 1 && headings.every((heading, at) => heading === (cells[at]?.trim() ?? '')),
    surplus: cells.slice(headings.length).filter((cell) => cell.trim() !== '').length,
  }));
}

function namedCells(columns: readonly ColumnChoice[], cells: readonly string[]): Cells {
  const named: Record<string, string> = {};
  const notes: string[] = [];
  const several = columns.filter(({ column }) => column === 'note').length > 1;
  columns.forEach(({ column, heading }, at) => {
    const text = unguardCell(cells[at] ?? '');
    if (column === undefined) return;
    if (column !== 'note') named[column] = text;
    else if (text.trim() !== '')
      notes.push(several && !/^(?:notes?|remarks?|comments?)$/i.test(heading) ? `${heading}: ${text.trim()}` : text);
  });
  return columns.some(({ column }) => column === 'note') ? { ...named, note: notes.join('; ') } : named;
}

function settingsOf(
  { meanings, decimal, tonOfMaker, dayOrder }: ReadInput,
  columns: readonly ColumnChoice[],
  rows: readonly NamedRow[],
): ReadRowSettings {
  const recognise = recogniser();
  const order = dayOrder ?? orderSeen(columns, rows);
  return {
    decimal,
    tonOfMaker,
    recognise,
    isOwn: isOwnFile(columns),
    units: Object.fromEntries(columns.flatMap(({ column, unit }) => (column && unit ? [[column, unit]] : []))),
    headings: Object.fromEntries(columns.flatMap(({ column, heading }) => (column && heading ? [[column, heading]] : []))),
    meanings: new Map(meanings.map(({ about, word, meaning }) => [meaningKey(about, word), meaning])),
    broad: broadWords(
      rows.map(({ cells }) => cells),
      recognise,
    ),
    ...(order && { dayOrder: order }),
  };
}

/** Whether the headings are those that the register writes; a plain `class` or `name` anybody writes. */
const isOwnFile = (columns: readonly ColumnChoice[]): boolean =>
  columns.every(({ heading, column }) => column === undefined || heading === column) && columns.some(({ column }) => column?.includes('_'));

/** Says what class a text names, its spelling mended; the same text is not looked at twice. */
function recogniser(): (text: string) => RecognisedClass {
  const mend = spellingOf(classVocabulary);
  const kept = new Map<string, RecognisedClass>();
  return (text) => {
    const before = kept.get(text);
    if (before !== undefined) return before;
    const found = recogniseClass(text, mend);
    kept.set(text, found);
    return found;
  };
}

const DATES = ['made_on', 'bought_on', 'first_used_on', 'inspected_on', 'next_due', 'renewed_until'];

/** Which comes first in the dates of a file, where those that can be read one way only agree. */
function orderSeen(columns: readonly ColumnChoice[], rows: readonly NamedRow[]): DayOrder | undefined {
  const dated = DATES.filter((key) => columns.some(({ column }) => column === key));
  const seen = new Set(rows.flatMap(({ cells }) => dated.flatMap((column) => orderOf(cells[column] ?? '') ?? [])));
  const [only] = seen;
  return seen.size === 1 ? only : undefined;
}

/** Which comes first in a date that can be read one way only; undefined for any other. */
function orderOf(text: string): DayOrder | undefined {
  const parts = /^\s*(\d{1,2})[/-](\d{1,2})[/-]/.exec(text);
  if (!parts || parseDate(text).kind !== 'date' || parts[1] === parts[2]) return undefined;
  return Number(parts[1]) > 12 ? 'day-first' : 'month-first';
}

/** What stands below a list for all of it. */
const TOTAL = /^(?:sub)?\s*-?\s*totals?\b|^sum\b|^grand total|^count\b|^end of (?:list|register)/i;

function readLine(named: NamedRow, settings: ReadRowSettings): ReadLine {
  const { line, cells, filled, surplus } = named;
  const nothing = { line, cells, pieces: 1, said: [], faults: [], questions: [] };
  if (filled === 0) return { ...nothing, stands: 'empty' };
  const why = whyAside(named);
  if (why !== undefined) return { ...nothing, stands: 'aside', why };
  const { row, faults, questions, said, pieces, guessed } = readRegisterRow(
    cells,
    named.classIsMended ? { ...settings, isOwn: true } : settings,
  );
  if (pieces === 0) return { ...nothing, stands: 'aside', why: 'The quantity is 0: there is no piece to bring in.' };
  const found = [...faults, ...surplusFaults(surplus)].map((fault) => ({ ...fault, ...textIn(cells, fault.column) }));
  return { line, cells, stands: 'piece', ...(row && { row }), ...(guessed && { guessed }), pieces, said, faults: found, questions };
}

const textIn = (cells: Cells, column: string) => (cells[column]?.trim() ? { text: cells[column]?.trim() } : {});

/** From so many columns on a line with one cell filled is a heading within the list. */
const COLUMNS_OF_A_LIST = 3;

/** A total, a heading within the list, or the headings once more; nothing of which a person has said that it is a piece. */
function whyAside({ cells, filled, isHeadings, classIsMended }: NamedRow): string | undefined {
  if (classIsMended) return undefined;
  if (isHeadings) return 'The headings once more.';
  const [tag, kind, name] = [saidIn(cells.tag), saidIn(cells.class), saidIn(cells.name)];
  const said = [tag, kind, name].filter((text) => text !== undefined);
  if (said.some((text) => TOTAL.test(text))) return 'A total, not a piece.';
  const others = Object.entries(cells).filter(([column, text]) => !['tag', 'class', 'name'].includes(column) && saidIn(text) !== undefined);
  if (said.length === 0 && others.every(([, text]) => /^[\d.,\s]*$/.test(text))) return 'Nothing here says what the piece is.';
  const alone = filled === 1 && Object.keys(cells).length >= COLUMNS_OF_A_LIST;
  return alone ? 'Nothing stands here but this: a heading within the list.' : undefined;
}

function surplusFaults(surplus: number): readonly ImportFault[] {
  return surplus > 0 ? [{ column: 'tag', message: `The row has ${surplus} more cells than there are headings.` }] : [];
}

function columnFaults(file: RegisterFile, columns: readonly ColumnChoice[]): readonly FieldFault[] {
  const known = new Set(registerColumns.map(({ key }) => key));
  if (columns.length !== file.headings.length)
    return [{ path: 'columns', message: `The file has ${file.headings.length} columns, ${columns.length} were described.` }];
  return columns.flatMap(({ column }, index) => {
    if (column === undefined || column === 'note') return [];
    if (!known.has(column)) return [{ path: `columns[${index}].column`, message: `“${column}” is not a column of the register.` }];
    const twice = columns.findIndex((other) => other.column === column) < index;
    return twice ? [{ path: `columns[${index}].column`, message: `Two columns are taken for “${column}”; leave one out.` }] : [];
  });
}
