import { Matches } from 'class-validator';

/** A calendar day as text; whether it exists in the calendar is the server's question. */
export const IsDayText = () =>
  Matches(/^\d{4}-\d{2}-\d{2}$/, { message: '$property: a date such as 2026-05-31 is expected, not “$value”.' });
