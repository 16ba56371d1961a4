import type { DayOrder, DecimalMark, Field, GearClass, Grade, Mark, RecognisedClass, TonUnit } from '@wainrope/core';
import type { GearInput } from '../gear/gear.dto.ts';

/** What a row says of a piece beside the words that a person enters about it. */
interface BesideInput {
  readonly marks: readonly Mark[];
  readonly attributes: { readonly [key: string]: string | number | boolean };
  readonly inspection?: { readonly on: string; readonly grade: Grade; readonly nextDue?: string; readonly by?: string };
  readonly kit?: string;
  readonly vehicle?: string;
}

/** A row of the register as it would be stored. Kit and vehicle are still names. What a piece gets in addition, the row gets too. */
export type RegisterRow = Readonly<Omit<GearInput, 'marks' | 'attributes' | 'kitId' | 'vehicleId'>> & BesideInput;

/** A row that says everything. */
export type FullRow = Required<RegisterRow>;

export type Cells = { readonly [column: string]: string };

export interface CellFault {
  readonly column: string;
  readonly message: string;
}

/** What is asked of a person about the words of a file. */
export const askedAbout = ['class', 'state', 'grade', 'unit', 'day-order'] as const;
export type AskedAbout = (typeof askedAbout)[number];

/** A question that one answer settles for every row in which the word stands. */
export interface RowQuestion {
  readonly about: AskedAbout;
  /** The words that are asked about; for a unit the column that lacks one. */
  readonly word: string;
  /** Answers that come first, the likeliest before the others. */
  readonly choices?: readonly string[];
  /** The row can be brought in without an answer. */
  readonly optional?: true;
}

export interface ReadRowSettings {
  readonly decimal: DecimalMark;
  /** Units written in headings, by column. */
  readonly units: { readonly [column: string]: string };
  /** The headings are the register's own: its classes stand there by their names, whatever the pieces are called. */
  readonly isOwn?: boolean;
  /** Which ton a maker means, by its name in lower case, where somebody has confirmed it once. */
  readonly tonOfMaker?: ReadonlyMap<string, TonUnit>;
  /** Which comes first in a date such as 05/06/2026, where somebody has said so or another date of the file shows it. */
  readonly dayOrder?: DayOrder;
  /** What words mean that are in no table, by `meaningKey`. */
  readonly meanings?: ReadonlyMap<string, string>;
  /** Says what class a text names, slips of spelling mended, where the file's reader knows how; else it has to be spelt right. */
  readonly recognise?: (text: string) => RecognisedClass;
  /** Words of the class column under which this file lists all kinds of things. */
  readonly broad?: ReadonlySet<string>;
  /** Headings of the file by column, for what is kept in the note. */
  readonly headings?: { readonly [column: string]: string };
}

/** One column of the register file. */
export interface RegisterColumn {
  /** Heading as written on export. */
  readonly key: string;
  readonly label: string;
  /** It is read where somebody else's file has it, and never written. */
  readonly readOnly?: true;
  /** Set for a class's attribute: its key in the facts and how it is read. */
  readonly attribute?: { readonly key: string; readonly field: Field };
}

/** A row while it is read. */
export interface RowReader {
  /** What stands in a cell; undefined where it is empty. */
  readonly cell: (column: string) => string | undefined;
  readonly refuse: (column: string, message: string) => undefined;
  readonly ask: (question: RowQuestion) => undefined;
  /** The class is taken from the words of the row, by the trade's use or by what the team has said of them. */
  readonly guess: (kind: GearClass) => void;
  /** Tells what was read otherwise than it is written. */
  readonly say: (words: string) => void;
  /** Keeps what stands in a cell in the note of the piece, since it has no place of its own. */
  readonly keep: (column: string, text: string) => undefined;
  readonly settings: ReadRowSettings;
  /** The class that the row names; undefined where it names none. */
  readonly kind: () => GearClass | undefined;
}

/** How one part of a row stands in the file. */
export interface ColumnsOf<V> {
  readonly columns: readonly RegisterColumn[];
  /** Undefined where the cells are empty or refused. */
  readonly read: (reader: RowReader) => V | undefined;
  readonly write: (value: V) => { readonly [column: string]: string | undefined };
}
