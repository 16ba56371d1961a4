import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { guardCell, unguardCell } from './guard-cell.ts';

describe('a cell that a spreadsheet would run', () => {
  it.each(['=1+1', '+cmd', '-cmd', '@sum', '\t=1', '\r=1', "'=1", "''=1"])('%j is guarded, and read as it was', (text) => {
    expect(guardCell(text)).toBe(`'${text}`);
    expect(unguardCell(guardCell(text))).toBe(text);
  });
  it.each(['', 'Tree strap', '-5', '+5', '-2.4', '2,5', "Heron's strap", "'quoted'", 'a=b'])('%j is left as it is', (text) => {
    expect(guardCell(text)).toBe(text);
    expect(unguardCell(text)).toBe(text);
  });
  it('is run by none, and nothing is lost, whatever it says', () => {
    const cell = fc.oneof(fc.string(), fc.stringMatching(/^'{0,3}[=+\-@].{0,9}$/));
    fc.assert(
      fc.property(cell, (text) => {
        const guarded = guardCell(text);
        expect(unguardCell(guarded)).toBe(text);
        expect(/^[=+\-@\t\r]/.test(guarded) && !/^[+-]?\d+(?:[.,]\d+)?$/.test(guarded)).toBe(false);
      }),
    );
  });
});
