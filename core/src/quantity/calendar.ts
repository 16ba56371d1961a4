/** Days between two calendar days (`to` − `from`), both `YYYY-MM-DD`. */
export function daysBetween(from: string, to: string): number {
  return Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / 86_400_000);
}

/** The day `days` days after `day` (before it where negative), both `YYYY-MM-DD`. */
export function addDays(day: string, days: number): string {
  return new Date(Date.parse(`${day}T00:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10);
}

/** The day `months` calendar months after `day`; the 31st falls back to the month's last day. */
export function addMonths(day: string, months: number): string {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
  const index = year * 12 + (month - 1) + months;
  const [inYear, inMonth] = [Math.floor(index / 12), index % 12];
  const last = inMonth === 1 ? (isLeap(inYear) ? 29 : 28) : [3, 5, 8, 10].includes(inMonth) ? 30 : 31;
  const two = (value: number) => String(value).padStart(2, '0');
  return `${String(inYear).padStart(4, '0')}-${two(inMonth + 1)}-${two(Math.min(date, last))}`;
}

const isLeap = (year: number): boolean => (year % 4 === 0 && year % 100 !== 0) || year % 400 === 0;
