import 'reflect-metadata';
import { validateSync } from 'class-validator';
import { describe, expect, it } from 'vitest';
import { IsDayText } from './day-field.ts';

class Dated {
  on: unknown;
}
IsDayText()(Dated.prototype, 'on');

describe('a day in a request', () => {
  it.each([
    ['2026-05-31', undefined],
    // Whether it exists is asked elsewhere.
    ['2026-02-31', undefined],
    ['31.5.2026', 'A date such as 2026-05-31 is expected, not “31.5.2026”.'],
    ['9'.repeat(50_000), `A date such as 2026-05-31 is expected, not “${'9'.repeat(40)}”.`],
    ['', 'Give the date, such as 2026-05-31.'],
    [undefined, 'Give the date, such as 2026-05-31.'],
    [20_260_531, 'Give the date, such as 2026-05-31.'],
  ])('%j', (on, message) => {
    const [fault] = validateSync(Object.assign(new Dated(), { on }));
    expect(Object.values(fault?.constraints ?? {})[0]).toBe(message);
  });
});
