import { partsOfRow } from './columns.ts';
import type { Cells, ColumnsOf, FullRow, RegisterRow } from './register-row.ts';

/** A row as cells of the file: measures in SI, to twelve digits, with their unit. */
export function writeRegisterRow(row: RegisterRow): Cells {
  const cells = parts.flatMap((part) => Object.entries(cellsOf(row, part)));
  return Object.fromEntries(cells.filter((entry): entry is [string, string] => entry[1] !== undefined));
}

const parts = Object.keys(partsOfRow) as readonly (keyof FullRow)[];

function cellsOf<P extends keyof FullRow>(row: Partial<FullRow>, part: P): { readonly [column: string]: string | undefined } {
  const columns: ColumnsOf<FullRow[P]> = partsOfRow[part];
  const value = row[part];
  return value === undefined ? {} : columns.write(value);
}
