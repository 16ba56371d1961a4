import {
  type Cells,
  type ColumnChoice,
  type ImportFault,
  type RegisterRow,
  readRegisterRow,
  registerColumns,
  unguardCell,
} from '@wainrope/contract';
import type { TonUnit } from '@wainrope/core';
import type { FieldFault } from '../http/problem.ts';
import type { Tell } from '../threads/in-thread.ts';
import { type Packed, pack } from '../threads/packed.ts';
import { type RegisterFile, readRegisterFile, recogniseColumns } from './register-file.ts';

export interface ReadInput {
  readonly contentBase64: string;
  /** A person's correction of what the columns are. */
  readonly columns?: readonly ColumnChoice[] | undefined;
  readonly decimal: '.' | ',';
  readonly tonOfMaker: ReadonlyMap<string, TonUnit>;
}

/** A row of the file by itself, not yet held against the register. */
export interface ReadLine {
  readonly line: number;
  readonly cells: Cells;
  readonly isEmpty: boolean;
  readonly row?: RegisterRow;
  readonly faults: readonly ImportFault[];
}

export interface ReadRegister {
  readonly encoding: string;
  readonly separator: string;
  readonly columns: readonly ColumnChoice[];
  /** Tags of the file, in lower case. */
  readonly tags: readonly string[];
  readonly lines: Packed<readonly ReadLine[]>;
}

export type ReadOutcome =
  | { readonly ok: true; readonly register: ReadRegister }
  | { readonly ok: false; readonly faults: readonly FieldFault[]; readonly message?: string };

/** Reads a register file row by row, knowing nothing of the register. */
export function readRegister({ contentBase64, columns: chosen, decimal, tonOfMaker }: ReadInput, tell: Tell): ReadOutcome {
  const outcome = readRegisterFile(Buffer.from(contentBase64, 'base64'));
  if (!outcome.ok) return { ok: false, faults: [{ path: 'contentBase64', message: outcome.message }], message: outcome.message };
  const { file } = outcome;
  const columns = chosen ?? recogniseColumns(file.headings);
  const faults = columnFaults(file, columns);
  if (faults.length > 0) return { ok: false, faults };
  const units = Object.fromEntries(columns.flatMap(({ column, unit }) => (column && unit ? [[column, unit]] : [])));
  const lines = file.rows.map(({ line, cells }, index): ReadLine => {
    tell(index, file.rows.length);
    const named = Object.fromEntries(columns.flatMap(({ column }, at) => (column ? [[column, unguardCell(cells[at] ?? '')]] : [])));
    if (cells.every((cell) => cell.trim() === '')) return { line, cells: named, isEmpty: true, faults: [] };
    const { row, faults: found } = readRegisterRow(named, { decimal, units, tonOfMaker });
    return { line, cells: named, isEmpty: false, ...(row && { row }), faults: [...found, ...surplusFaults(cells.length, file)] };
  });
  const tags = new Set(lines.flatMap(({ cells }) => cells.tag?.trim().toLowerCase() || []));
  return { ok: true, register: { encoding: file.encoding, separator: file.separator, columns, tags: [...tags], lines: pack(lines) } };
}

function surplusFaults(cells: number, { headings }: RegisterFile): readonly ImportFault[] {
  const surplus = cells - headings.length;
  return surplus > 0 ? [{ column: 'tag', message: `The row has ${surplus} more cells than there are headings.` }] : [];
}

function columnFaults(file: RegisterFile, columns: readonly ColumnChoice[]): readonly FieldFault[] {
  const known = new Set(registerColumns.map(({ key }) => key));
  if (columns.length !== file.headings.length)
    return [{ path: 'columns', message: `The file has ${file.headings.length} columns, ${columns.length} were described.` }];
  return columns.flatMap(({ column }, index) => {
    if (column === undefined) return [];
    if (!known.has(column)) return [{ path: `columns[${index}].column`, message: `“${column}” is not a column of the register.` }];
    const twice = columns.findIndex((other) => other.column === column) < index;
    return twice ? [{ path: `columns[${index}].column`, message: `Two columns are taken for “${column}”; leave one out.` }] : [];
  });
}
