import { isPartialDate } from './partial-date.ts';

/** Which comes first in a date such as 05/06/2026. */
export type DayOrder = 'day-first' | 'month-first';

export type ParsedDate =
  /** As far as it is written: `2021`, `2021-03`, `2021-03-14`. */
  | { readonly kind: 'date'; readonly date: string }
  /** Day and month could be swapped, and nobody said which comes first. */
  | { readonly kind: 'either'; readonly dayFirst: string; readonly monthFirst: string }
  | { readonly kind: 'fault'; readonly message: string };

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];
const NAMED =
  '(jan(?:uary)?|feb(?:ruary)?|mar(?:ch)?|apr(?:il)?|may|june?|july?|aug(?:ust)?|sept?(?:ember)?|oct(?:ober)?|nov(?:ember)?|dec(?:ember)?)';
const YEAR = String.raw`('?\d{2}|\d{4})`;
const GAP = String.raw`[\s\-/.,]*`;

const DAY_MONTH_NAME = new RegExp(`^(\\d{1,2})(?:st|nd|rd|th)?${GAP}${NAMED}\\.?${GAP}${YEAR}$`, 'i');
const MONTH_NAME_DAY = new RegExp(`^${NAMED}\\.?\\s+(\\d{1,2})(?:st|nd|rd|th)?[\\s,]+(\\d{4})$`, 'i');
const MONTH_NAME = new RegExp(`^${NAMED}\\.?${GAP}${YEAR}$`, 'i');
const YEAR_MONTH_NAME = new RegExp(`^(\\d{4})${GAP}${NAMED}\\.?$`, 'i');

/** Two-figure years up to this one are of this century. */
const LATEST_SHORT_YEAR = 79;
/** Gear is not older, and nothing is planned further ahead. */
const YEARS = { first: '1900', last: '2199' };
/** Day 1 of the numbering in which spreadsheets keep days is the first of January 1900; the count has one day too many after February. */
const SERIAL_ORIGIN = Date.UTC(1899, 11, 30);
/** Days of 2000 to 2099 in that numbering. */
const SERIALS = { first: 36_526, last: 73_050 };

/**
 * Reads a date as people and spreadsheets write it: `2026-05-31`, `31.05.26`, `31 May 2026`, `May-24`, `03/2019`, `2021`, a spreadsheet's
 * day number. What is written as a year or a month stays one. Where day and month could be swapped, `order` decides.
 */
export function parseDate(written: string, order?: DayOrder): ParsedDate {
  const text = written.trim().replace(/^(?:c\.?|ca\.?|circa|about|approx\.?|~)\s*(?=\d|[a-z]{3})/i, '');
  return named(text) ?? numbered(text, order) ?? fault(written);
}

const fault = (written: string): ParsedDate => ({
  kind: 'fault',
  message: `“${written.trim()}” cannot be read as a date. Write it as 2026-05-31, or 2026-05 or 2026 where no more is known.`,
});

function named(text: string): ParsedDate | undefined {
  const full = DAY_MONTH_NAME.exec(text);
  if (full) return dated(text, full[3], monthOf(full[2]), full[1]);
  const american = MONTH_NAME_DAY.exec(text);
  if (american) return dated(text, american[3], monthOf(american[1]), american[2]);
  const month = MONTH_NAME.exec(text);
  if (month) return dated(text, month[2], monthOf(month[1]));
  const yearFirst = YEAR_MONTH_NAME.exec(text);
  return yearFirst ? dated(text, yearFirst[1], monthOf(yearFirst[2])) : undefined;
}

function numbered(text: string, order: DayOrder | undefined): ParsedDate | undefined {
  const iso = /^(\d{4})(?:([-/.])(\d{1,2})(?:\2(\d{1,2})(?:[T ].*)?)?)?$/.exec(text);
  if (iso) return dated(text, iso[1], iso[3], iso[4]);
  const month = /^(\d{1,2})[-/.](\d{4})$/.exec(text);
  if (month) return dated(text, month[2], month[1]);
  const parts = /^(\d{1,2})([./-])(\d{1,2})\2('?\d{2}|\d{4})(?:\s+\d{1,2}:\d{2}.*)?$/.exec(text);
  if (parts) return inEitherOrder(text, [parts[1], parts[3], parts[4]], parts[2] === '.' ? 'day-first' : order);
  const serial = /^\d{5}$/.test(text) ? Number(text) : 0;
  if (serial < SERIALS.first || serial > SERIALS.last) return undefined;
  return { kind: 'date', date: new Date(SERIAL_ORIGIN + serial * 86_400_000).toISOString().slice(0, 10) };
}

type Parts = readonly [string | undefined, string | undefined, string | undefined];

function inEitherOrder(text: string, [first, second, year]: Parts, order: DayOrder | undefined): ParsedDate {
  const dayFirst = dated(text, year, second, first);
  const monthFirst = dated(text, year, first, second);
  if (dayFirst.kind !== 'date' || monthFirst.kind !== 'date' || dayFirst.date === monthFirst.date)
    return dayFirst.kind === 'date' ? dayFirst : monthFirst;
  if (order !== undefined) return order === 'day-first' ? dayFirst : monthFirst;
  return { kind: 'either', dayFirst: dayFirst.date, monthFirst: monthFirst.date };
}

const two = (figures: string): string => figures.padStart(2, '0');

function dated(text: string, year: string | undefined, month?: string, day?: string): ParsedDate {
  const full = fullYear(year ?? '');
  if (full < YEARS.first || full > YEARS.last)
    return { kind: 'fault', message: `“${text}” is in the year ${full}; a year from ${YEARS.first} to ${YEARS.last} is expected.` };
  const date = [full, ...[month, day].flatMap((part) => (part === undefined ? [] : [two(part)]))].join('-');
  return isPartialDate(date) ? { kind: 'date', date } : { kind: 'fault', message: `“${text}” is not in the calendar.` };
}

function fullYear(figures: string): string {
  const plain = figures.replace("'", '');
  if (plain.length === 4) return plain;
  return `${Number(plain) <= LATEST_SHORT_YEAR ? 20 : 19}${plain}`;
}

const monthOf = (name: string | undefined): string => String(MONTHS.indexOf(name?.slice(0, 3).toLowerCase() ?? '') + 1);
