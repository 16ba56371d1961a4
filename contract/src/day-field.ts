import { Matches, type ValidationArguments } from 'class-validator';

/** So much of what stands there is shown back. */
const SHOWN = 40;

const wanted = ({ value }: ValidationArguments): string =>
  typeof value === 'string' && value !== ''
    ? `A date such as 2026-05-31 is expected, not “${value.slice(0, SHOWN)}”.`
    : 'Give the date, such as 2026-05-31.';

/** A calendar day as text, or only its month or year; whether it exists in the calendar is the server's question. */
export const IsPartialDateText = () =>
  Matches(/^\d{4}(-\d{2}(-\d{2})?)?$/, {
    message: ({ value }) =>
      `A date such as 2026-05-31, or 2026-05 or 2026 where no more is known, is expected, not “${String(value).slice(0, SHOWN)}”.`,
  });

/** A calendar day as text; whether it exists in the calendar is the server's question. */
export const IsDayText = () => Matches(/^\d{4}-\d{2}-\d{2}$/, { message: wanted });
