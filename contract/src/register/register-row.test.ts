import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readAttribute, writeAttribute } from './attribute-cells.ts';
import { readCalendarCell } from './calendar-cell.ts';
import { recogniseHeading, registerColumns } from './columns.ts';
import { readRegisterRow } from './read-row.ts';
import { writeRegisterRow } from './write-row.ts';

const settings = { decimal: '.', units: {} } as const;
const strap = { tag: 'TS-9', class: 'Tree strap', mark_1: 'MBS 10 t', length: '2.4 m', width: '2 1/2 in' };

describe('a row of the register', () => {
  it('reads class by label, marks by their words, measures by their unit', () => {
    const { row, faults } = readRegisterRow({ ...strap, inspected_on: '31.05.2026', grade: 'b', kit: 'Light bag' }, settings);
    expect(faults).toEqual([]);
    expect(row).toMatchObject({
      kind: 'tree-strap',
      name: 'Tree strap',
      state: 'in-use',
      attributes: { lengthM: 2.4, widthM: 0.0635 },
      inspection: { on: '2026-05-31', grade: 'B' },
      kit: 'Light bag',
    });
    expect(row?.marks[0]).toMatchObject({ basis: 'mbs', source: 'label' });
  });
  it('lists every fault of a row with its column and stores none of it', () => {
    const { row, faults } = readRegisterRow(
      { class: 'hammock', length: '2.4', grade: 'A', next_due: '2026-13-01', mark_1: 'strong' },
      settings,
    );
    expect(row).toBeUndefined();
    expect(faults.map(({ column }) => column).sort()).toEqual(['class', 'inspected_on', 'mark_1', 'next_due', 'tag']);
  });
  it('refuses an attribute that the class does not have', () => {
    expect(readRegisterRow({ ...strap, tread_diameter: '80 mm' }, settings).faults).toEqual([
      { column: 'tread_diameter', message: expect.stringContaining('has no “Sheave tread diameter”') },
    ]);
  });
  it('takes the unit from the heading for a bare number', () => {
    expect(readRegisterRow({ ...strap, width: '60' }, { decimal: '.', units: { width: 'mm' } }).row?.attributes.widthM).toBeCloseTo(
      0.06,
      12,
    );
    expect(readRegisterRow({ ...strap, width: '60' }, settings).faults).toHaveLength(1);
  });
  it('comes back the same after it was written: every class, loss-free', () => {
    const text = readFileSync(new URL('../../../demo/register.csv', import.meta.url), 'utf8')
      .trim()
      .split(/\r?\n/);
    const heads = text[0]?.split(',') ?? [];
    let rows = 0;
    for (const line of text.slice(1)) {
      const values =
        line.match(/("([^"]|"")*"|[^,]*)(,|$)/g)?.map((value) => value.replace(/,$/, '').replace(/^"|"$/g, '').replace(/""/g, '"')) ?? [];
      const read = readRegisterRow(Object.fromEntries(heads.map((head, index) => [head, values[index] ?? ''])), settings);
      expect(read.faults, line).toEqual([]);
      if (!read.row) continue;
      rows++;
      expect(readRegisterRow(writeRegisterRow(read.row), settings).row).toEqual(read.row);
    }
    expect(rows).toBeGreaterThan(69);
  });
});

describe('a number of a piece', () => {
  const field = { type: 'number', label: '', readBy: 'record-only', max: 3 } as const;
  it.each([
    [1e-7, '0.0000001'],
    [1.234, '1.2340'],
    // With its digits alone nothing would be left of it.
    [1e-308, '1e-308'],
    [0, '0'],
  ])('%d is written as %s, and read back as it was', (value, text) => {
    expect(writeAttribute(field, value)).toBe(text);
    expect(readAttribute(field, text, '.')).toEqual({ ok: true, value });
  });
});

describe('headings and dates', () => {
  it.each([
    ['Tag No', 'tag', undefined],
    ['Length (m)', 'length', 'm'],
    ['rope_diameter_mm', 'rope_diameter', 'mm'],
    ['W.L.L', undefined, undefined],
    ['SWL [kN]', 'wll', 'kn'],
    ['Last Inspection', 'inspected_on', undefined],
  ])('%s', (heading, column, unit) => {
    expect(recogniseHeading(heading)).toEqual(column === undefined ? undefined : unit === undefined ? { column } : { column, unit });
  });
  it('knows every heading it writes, each once', () => {
    for (const { key } of registerColumns) expect(recogniseHeading(key)?.column).toBe(key);
    expect(new Set(registerColumns.map(({ key }) => key)).size).toBe(registerColumns.length);
  });
  it('refuses days that could be swapped, and days that do not exist', () => {
    expect(readCalendarCell('31/05/2026')).toEqual({ ok: true, day: '2026-05-31' });
    expect(readCalendarCell('05/06/2026')).toMatchObject({ ok: false, message: expect.stringContaining('day or month first') });
    expect(readCalendarCell('30.02.2026')).toMatchObject({ ok: false });
  });
});
