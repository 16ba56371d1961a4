import type { RegisterColumn, RowReader } from './register-row.ts';

/** How many pieces one row may stand for. */
const MOST_OF_A_ROW = 200;

const QUANTITY: RegisterColumn = { key: 'quantity', label: 'Quantity', readOnly: true };

/** Columns that other people's files have and that say how a row is to be read. */
export const quantityColumns: readonly RegisterColumn[] = [QUANTITY];

/** How many pieces a row stands for: `4`, `x4`, `4 off`, `1 pair`. */
export function quantityOf({ cell, refuse }: RowReader): number | undefined {
  const text = cell(QUANTITY.key);
  if (text === undefined) return 1;
  if (/^(?:a|1|one)?\s*pair$/i.test(text)) return 2;
  const count = /^(?:x\s*)?(\d{1,4})(?:[.,]0+)?\s*(?:x|off|no\.?|pcs?\.?|pieces?|ea\.?|each)?$/i.exec(text)?.[1];
  if (count === undefined) return refuse(QUANTITY.key, `“${text}” is not a count; write a whole number.`);
  if (Number(count) > MOST_OF_A_ROW)
    return refuse(QUANTITY.key, `${count} pieces in one row; at most ${MOST_OF_A_ROW} are made of one. Split the row.`);
  return Number(count);
}
