import { isDay, isPartialDate, PARTIAL_DATE } from '../quantity/partial-date.ts';
import { type Codec, describe, type JsonSchema, refuse } from './codec.ts';

interface TextLimits {
  readonly minLength?: number;
  readonly maxLength?: number;
}

/** Text, by default 1 to 200 characters. */
export function text({ minLength = 1, maxLength = 200 }: TextLimits = {}): Codec<string> {
  return {
    schema: { type: 'string', minLength, maxLength },
    visit: (value, path, faults) => {
      if (typeof value !== 'string') return refuse(faults, path, `${describe(value)} stands here; text is expected`);
      if (value.length < minLength || value.length > maxLength)
        return refuse(faults, path, `text of ${value.length} characters; ${minLength} to ${maxLength} are allowed`);
      return value;
    },
  };
}

interface NumberLimits {
  readonly min?: number;
  readonly max?: number;
  readonly above?: number;
  readonly integer?: boolean;
}

/** A finite number within its limits; `above` is an open lower end. */
export function numeric(limits: NumberLimits = {}): Codec<number> {
  return {
    schema: numberSchema(limits),
    visit: (value, path, faults) => {
      if (typeof value !== 'number' || !Number.isFinite(value))
        return refuse(faults, path, `${describe(value)} stands here; a number is expected`);
      const problem = outside(value, limits);
      return problem === undefined ? value : refuse(faults, path, problem);
    },
  };
}

function outside(value: number, { min, max, above, integer }: NumberLimits): string | undefined {
  if (integer && !Number.isInteger(value)) return `${value} stands here; a whole number is expected`;
  if (min !== undefined && value < min) return `${value} is below the least allowed, ${min}`;
  if (above !== undefined && value <= above) return `${value} must be above ${above}`;
  if (max !== undefined && value > max) return `${value} is above the greatest allowed, ${max}`;
  return undefined;
}

function numberSchema({ min, max, above, integer }: NumberLimits): JsonSchema {
  return {
    type: integer ? 'integer' : 'number',
    ...(min === undefined ? {} : { minimum: min }),
    ...(above === undefined ? {} : { exclusiveMinimum: above }),
    ...(max === undefined ? {} : { maximum: max }),
  };
}

export const flag: Codec<boolean> = {
  schema: { type: 'boolean' },
  visit: (value, path, faults) =>
    typeof value === 'boolean' ? value : refuse(faults, path, `${describe(value)} stands here; true or false is expected`),
};

/** One of a closed list of words. */
export function choice<const T extends string | number>(options: readonly T[]): Codec<T> {
  return {
    schema: { enum: options },
    visit: (value, path, faults) => {
      const found = options.find((option) => option === value);
      if (found !== undefined) return found;
      return refuse(faults, path, `${describe(value)} stands here; expected one of ${options.join(', ')}`);
    },
  };
}

/** A calendar day as `YYYY-MM-DD`; days that do not exist are refused. */
export const day: Codec<string> = {
  schema: { type: 'string', format: 'date' },
  visit: (value, path, faults) => {
    const ok = typeof value === 'string' && isDay(value);
    return ok ? value : refuse(faults, path, `${describe(value)} stands here; a date such as 2026-05-31 is expected`);
  },
};

/** A day, a month or a year, as far as it is known: `2021`, `2021-03`, `2021-03-14`. */
export const partialDate: Codec<string> = {
  schema: { type: 'string', pattern: PARTIAL_DATE.source },
  visit: (value, path, faults) => {
    const ok = typeof value === 'string' && isPartialDate(value);
    return ok ? value : refuse(faults, path, `${describe(value)} stands here; a date such as 2026-05-31, 2026-05 or 2026 is expected`);
  },
};

/** An id: 1 to 80 letters, digits, dots, dashes and underscores. */
export const id: Codec<string> = {
  schema: { type: 'string', pattern: '^[A-Za-z0-9._-]{1,80}$' },
  visit: (value, path, faults) =>
    typeof value === 'string' && /^[A-Za-z0-9._-]{1,80}$/.test(value)
      ? value
      : refuse(faults, path, `${describe(value)} stands here; an id of letters, digits, dots, dashes is expected`),
};
