import type { DecimalMark, Field, GearClass, Grade, Mark, TonUnit } from '@wainrope/core';
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

export interface ReadRowSettings {
  readonly decimal: DecimalMark;
  /** Units written in headings, by column. */
  readonly units: { readonly [column: string]: string };
  /** Which ton a maker means, by its name in lower case, where somebody has confirmed it once. */
  readonly tonOfMaker?: ReadonlyMap<string, TonUnit>;
}

/** One column of the register file. */
export interface RegisterColumn {
  /** Heading as written on export. */
  readonly key: string;
  readonly label: string;
  /** Other headings by which the column is known, in lower case with spaces. */
  readonly aliases: readonly string[];
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
