/** A cell that a spreadsheet would run as a formula, behind any guards that stand before it already. */
const FORMULA = /^'*[=+\-@\t\r]/;
/** A plain number is none, whatever its sign. */
const NUMBER = /^[+-]?\d+(?:[.,]\d+)?$/;

/** A cell as it goes into a file that a spreadsheet opens: one that would be run is made text by an apostrophe. */
export const guardCell = (text: string): string => (FORMULA.test(text) && !NUMBER.test(text) ? `'${text}` : text);

/** The cell as it was before it was guarded. */
export const unguardCell = (text: string): string => (text.startsWith("'") && FORMULA.test(text) ? text.slice(1) : text);
