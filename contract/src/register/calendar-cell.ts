import { isDay } from '@wainrope/core';

export type CalendarCell = { readonly ok: true; readonly day: string } | { readonly ok: false; readonly message: string };

/** Reads a day as spreadsheets write it: `2026-05-31`, `31.05.2026`, `31/05/2026`. Day and month that could be swapped are refused. */
export function readCalendarCell(cell: string): CalendarCell {
  const text = cell.trim();
  const iso = /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})(?:[T ].*)?$/.exec(text);
  if (iso) return checked(text, Number(iso[1]), Number(iso[2]), Number(iso[3]));
  const parts = /^(\d{1,2})([./-])(\d{1,2})\2(\d{4})$/.exec(text);
  if (!parts) return { ok: false, message: `“${text}” is not a date known here; write it as 2026-05-31.` };
  const [first, second, year] = [Number(parts[1]), Number(parts[3]), Number(parts[4])];
  if (parts[2] === '.' || first > 12 || first === second) return checked(text, year, second, first);
  if (second > 12) return checked(text, year, first, second);
  return {
    ok: false,
    message: `“${text}” may be day or month first; write it as ${year}-${pad(second)}-${pad(first)} or ${year}-${pad(first)}-${pad(second)}.`,
  };
}

const pad = (value: number) => String(value).padStart(2, '0');

function checked(text: string, year: number, month: number, day: number): CalendarCell {
  const written = `${year}-${pad(month)}-${pad(day)}`;
  return isDay(written) ? { ok: true, day: written } : { ok: false, message: `“${text}” is not a day of the calendar.` };
}
