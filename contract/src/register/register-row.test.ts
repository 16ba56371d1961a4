import { readFileSync } from 'node:fs';
import { type Field, gearClasses, gearClassNames, headingWords, keyWords } from '@wainrope/core';
import { describe, expect, it } from 'vitest';
import { readAttribute, writeAttribute } from './attribute-cells.ts';
import { registerColumns } from './columns.ts';
import { readRegisterRow } from './read-row.ts';
import { recogniseHeading } from './recognise-heading.ts';
import type { RegisterRow } from './register-row.ts';
import { writeRegisterRow } from './write-row.ts';

const settings = { decimal: '.', units: {} } as const;
const own = { ...settings, isOwn: true };
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
  it('lists every fault and question of a row and stores none of it', () => {
    const { row, faults, questions } = readRegisterRow(
      { class: 'hammock', length: '2.4', grade: 'D', next_due: '2026-13-01', mark_1: 'strong' },
      settings,
    );
    expect(row).toBeUndefined();
    expect(faults.map(({ column }) => column).sort()).toEqual(['inspected_on', 'mark_1', 'next_due']);
    expect(questions).toEqual([{ about: 'class', word: 'hammock' }]);
  });
  it('keeps in the note what the class has no place for', () => {
    const { row, said } = readRegisterRow(
      { ...strap, tread_diameter: '80 mm', note: 'Red' },
      { ...settings, headings: { tread_diameter: 'Sheave' } },
    );
    expect(row?.note).toBe('Red; Sheave: 80 mm');
    expect(said).toEqual(['Kept in the note: Sheave: 80 mm']);
  });
  it('takes the unit from the heading for a bare number', () => {
    expect(readRegisterRow({ ...strap, width: '60' }, { decimal: '.', units: { width: 'mm' } }).row?.attributes.widthM).toBeCloseTo(
      0.06,
      12,
    );
    expect(readRegisterRow({ ...strap, width: '60' }, settings)).toMatchObject({
      faults: [],
      questions: [{ about: 'unit', word: 'width' }],
    });
  });
  it('comes back the same after it was written, within twelve digits: every class', () => {
    const text = readFileSync(new URL('../../../demo/register.csv', import.meta.url), 'utf8')
      .trim()
      .split(/\r?\n/);
    const heads = text[0]?.split(',') ?? [];
    let rows = 0;
    for (const line of text.slice(1)) {
      const values =
        line.match(/("([^"]|"")*"|[^,]*)(,|$)/g)?.map((value) => value.replace(/,$/, '').replace(/^"|"$/g, '').replace(/""/g, '"')) ?? [];
      const read = readRegisterRow(Object.fromEntries(heads.map((head, index) => [head, values[index] ?? ''])), own);
      expect(read.faults, line).toEqual([]);
      if (read.row?.tag === undefined) continue;
      rows++;
      expect(readRegisterRow(writeRegisterRow({ ...read.row, tag: read.row.tag }), own).row).toEqual({
        ...read.row,
        attributes: nearly(read.row.attributes),
      });
    }
    expect(rows).toBeGreaterThan(69);
  });
});

/** Each number of a piece as one within twelve digits of it. */
function nearly(attributes: RegisterRow['attributes']): object {
  return Object.fromEntries(
    Object.entries(attributes).map(([key, value]) => [key, typeof value === 'number' ? expect.closeTo(value, 11) : value]),
  );
}

describe('a number of a piece', () => {
  const field = { type: 'number', label: '', readBy: 'record-only', max: 3 } as const;
  it.each([
    [1e-7, '0.0000001'],
    [1.234, '1.2340'],
    [0.1 * 3, '0.3'],
    [26 / 1000 + 2e-18, '0.026'],
    [1.23456789012, '1.23456789012'],
    [1.234567890126, '1.23456789013'],
    // With its digits alone nothing would be left of it.
    [1e-308, '1e-308'],
    [0, '0'],
  ])('%d is written as %s, and read back as it was', (value, text) => {
    expect(writeAttribute(field, value)).toBe(text);
    expect(readAttribute(field, text, '.')).toEqual({ ok: true, value: expect.closeTo(value, 11) });
  });
});

describe('a choice', () => {
  it('is read by its key and by its words, whatever the case, in every list of every class', () => {
    const lists = gearClassNames.flatMap((kind) => Object.values<Field>(gearClasses[kind].fields));
    const choices = lists.flatMap((field) => (field.type === 'choice' ? field.options.map((option) => ({ field, option })) : []));
    expect(choices.length).toBeGreaterThan(50);
    for (const { field, option } of choices)
      for (const text of [option, keyWords(option), keyWords(option).toUpperCase()])
        expect([text, readAttribute(field, text, '.')]).toEqual([text, { ok: true, value: option }]);
  });
  it('that is none of the list is refused with what there is, in words', () => {
    expect(readAttribute(gearClasses['steel-shackle'].fields.pinKind, 'glued', '.')).toEqual({
      ok: false,
      message: '“glued” is not recognised; expected one of: screw pin; bolt, nut and pin.',
    });
  });
});

describe('headings', () => {
  it.each([
    ['Tag No', 'tag', undefined],
    ['Length (m)', 'length', 'm'],
    ['rope_diameter_mm', 'rope_diameter', 'mm'],
    ['W.L.L', 'wll', undefined],
    ['W.L.L. (tonnes)', 'wll', 'tonnes'],
    ['SWL [kN]', 'wll', 'kn'],
    ['Rating (lbs)', 'mark_1', 'lbs'],
    ['Rating, lbs', 'mark_1', 'lbs'],
    ['Dia. (mm)', 'diameter', 'mm'],
    ['Dia in mm', 'diameter', 'mm'],
    ['Min. breaking strength', 'mbs', undefined],
    ['Breaking load (kN)', 'mbs', 'kn'],
    ['What it is', 'name', undefined],
    ['Equipment', 'name', undefined],
    ['Details', 'name', undefined],
    ['Asset no.', 'tag', undefined],
    ['Asset #', 'tag', undefined],
    ['Last Inspection', 'inspected_on', undefined],
    ['Date of last inspection (dd/mm/yyyy)', 'inspected_on', undefined],
    ['Qty', 'quantity', undefined],
    ['Checked in', undefined, undefined],
    ['Price', undefined, undefined],
    ['', undefined, undefined],
  ])('%s', (heading, column, unit) => {
    const found = recogniseHeading(heading);
    expect([found?.column, found?.unit]).toEqual([column, unit]);
  });
  it('knows every heading it writes, each once', () => {
    for (const { key } of registerColumns) expect(recogniseHeading(key)).toMatchObject({ column: key, rank: 0 });
    expect(new Set(registerColumns.map(({ key }) => key)).size).toBe(registerColumns.length);
  });
  it('stands for a column that the register has', () => {
    const keys = new Set(registerColumns.map(({ key }) => key));
    expect(Object.keys(headingWords).filter((column) => !keys.has(column))).toEqual([]);
    const all = Object.values(headingWords).flat();
    expect(all.filter((word, index) => all.indexOf(word) !== index)).toEqual([]);
  });
});
