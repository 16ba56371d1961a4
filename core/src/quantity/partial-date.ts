import { addDays, addMonths } from './calendar.ts';

/** A day, or no more of it than is known: `2021`, `2021-03`, `2021-03-14`. */
export const PARTIAL_DATE = /^\d{4}(?:-\d{2}(?:-\d{2})?)?$/;

/** Whether the text is an existing calendar day written `YYYY-MM-DD`. */
export function isDay(value: string): boolean {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(value)) return false;
  const time = Date.parse(`${value}T00:00:00Z`);
  return Number.isFinite(time) && new Date(time).toISOString().startsWith(value);
}

/** Whether the text is a year, a month or an existing day, written `YYYY`, `YYYY-MM` or `YYYY-MM-DD`. */
export const isPartialDate = (value: string): boolean => PARTIAL_DATE.test(value) && isDay(firstDay(value));

/** The first day that a date may mean: of `2021` the first of January. For whatever grows worse with age. */
export const firstDay = (date: string): string => `${date}-01-01`.slice(0, 10);

/** The last day that a date may mean: of `2021-02` the 28th. For whatever is counted from it on. */
export function lastDay(date: string): string {
  if (date.length === 10) return date;
  return addDays(addMonths(firstDay(date), date.length === 4 ? 12 : 1), -1);
}
