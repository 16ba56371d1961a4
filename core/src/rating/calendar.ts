/** Days between two calendar days (`to` − `from`), both `YYYY-MM-DD`. */
export function daysBetween(from: string, to: string): number {
  return Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / 86_400_000);
}

/** The day `months` calendar months after `day`; the 31st falls back to the month's last day. */
export function addMonths(day: string, months: number): string {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
  const index = year * 12 + (month - 1) + months;
  const last = new Date(Date.UTC(Math.floor(index / 12), (index % 12) + 1, 0)).getUTCDate();
  return new Date(Date.UTC(Math.floor(index / 12), index % 12, Math.min(date, last))).toISOString().slice(0, 10);
}
