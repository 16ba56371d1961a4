import { describe, expect, it } from 'vitest';
import { readRegisterRow } from './read-row.ts';
import type { Cells, ReadRowSettings } from './register-row.ts';
import { broadWords } from './row-class.ts';
import { meaningKey } from './word-meanings.ts';

const read = (cells: Cells, settings: Partial<ReadRowSettings> = {}) => readRegisterRow(cells, { decimal: '.', units: {}, ...settings });

describe('the class of a row as people write it', () => {
  it('is guessed from the description where nothing else tells it, and said to be a guess', () => {
    expect(read({ name: 'Bow shackle 3/4" galv' })).toMatchObject({
      guessed: 'steel-shackle',
      row: { kind: 'steel-shackle', name: 'Bow shackle 3/4" galv' },
    });
    expect(read({ name: 'Tree protector' }).guessed).toBeUndefined();
    expect(read({ name: 'Tree protector' }).row?.kind).toBe('tree-strap');
  });
  it.each([
    // The class column says less than the description.
    ['Shackle', 'Soft shackle 10 mm', 'soft-shackle'],
    ['Strap', 'Tree protector 3 m', 'tree-strap'],
    ['Rope', 'Kinetic 9 m', 'stretch-rope'],
    ['Soft goods', 'Kinetic rope', 'stretch-rope'],
    ['Soft', 'Shackle', 'soft-shackle'],
    ['Winch', 'Winch damper', 'damper'],
  ])('%s, %s: guessed', (kind, name, gear) => {
    expect(read({ class: kind, name })).toMatchObject({ guessed: gear, row: { kind: gear } });
  });
  it.each([
    ['Winch', 'Winch rope 28 m', ['winch-line-synthetic', 'winch-line-steel'], 'winch'],
    ['Chain', 'Shackle for chain', ['chain', 'steel-shackle'], 'shackle for chain'],
    ['Hammock', 'Green one', undefined, 'hammock'],
    ['', 'Winch rope', ['winch-line-synthetic', 'winch-line-steel'], 'winch rope'],
  ])('%s, %s: asked', (kind, name, choices, word) => {
    const { row, questions } = read({ class: kind, name });
    expect(row).toBeUndefined();
    expect(questions).toEqual([{ about: 'class', word, ...(choices && { choices }) }]);
  });
  it('stands by its own name in a file of the register, whatever the piece is called', () => {
    expect(read({ class: 'winch', name: 'Winch rope side' }, { isOwn: true }).row?.kind).toBe('winch');
  });
  it('is what somebody has said once, for every spelling of the word', () => {
    const meanings = new Map([[meaningKey('class', 'hammocks'), 'tree-strap']]);
    // It is shown like a guess: one row can be of another class all the same.
    expect(read({ class: 'Hammock', name: 'Green' }, { meanings })).toMatchObject({ guessed: 'tree-strap', row: { kind: 'tree-strap' } });
    expect(read({ name: 'Hammock 3 m' }, { meanings }).row?.kind).toBe('tree-strap');
  });
  it('is what the description tells, whatever was said of the broader word of the class column', () => {
    const meanings = new Map([[meaningKey('class', 'strap'), 'static-strap']]);
    expect(read({ class: 'Strap', name: 'Strap 3 m' }, { meanings }).row?.kind).toBe('static-strap');
    expect(read({ class: 'Strap', name: 'Tree protector' }, { meanings }).row?.kind).toBe('tree-strap');
    const corrected = new Map([[meaningKey('class', 'winch extension'), 'line-extension']]);
    expect(read({ name: 'Winch extension' }, { meanings: corrected }).row?.kind).toBe('line-extension');
  });
  it('is asked by the description where the class column lists all kinds of things under one word', () => {
    const rows = [
      { class: 'Rigging', name: 'Bow shackle' },
      { class: 'Rigging', name: 'Chain' },
      { class: 'Hammock', name: 'Green' },
    ];
    const broad = broadWords(rows);
    expect([...broad]).toEqual(['rigging']);
    expect(read({ class: 'Rigging', name: 'Wibble' }, { broad }).questions).toEqual([{ about: 'class', word: 'wibble' }]);
    expect(read({ class: 'Hammock', name: 'Green' }, { broad }).questions).toEqual([{ about: 'class', word: 'hammock' }]);
  });
  it('is refused where nothing tells what the piece is', () => {
    expect(read({ tag: 'A-1' }).faults).toEqual([
      { column: 'class', message: expect.stringContaining('Neither a class nor a description') },
    ]);
  });
});

const strap = { tag: 'T', class: 'Tree strap' };

describe('cells as people write them', () => {
  it.each(['-', 'n/a', 'N/A', '?', 'unknown', 'None', 'TBC', '#N/A', ' '])('%j says nothing', (nothing) => {
    const { row, faults, questions } = read({ ...strap, wll: nothing, length: nothing, made_on: nothing, grade: nothing, maker: nothing });
    expect([faults, questions]).toEqual([[], []]);
    expect(row).toMatchObject({ marks: [], attributes: {} });
    expect([row?.maker, row?.madeOn, row?.inspection]).toEqual([undefined, undefined, undefined]);
  });
  it('keep a year and a month as they are', () => {
    const { row } = read({ ...strap, made_on: '2021', bought_on: '03/2019', first_used_on: 'Jan-24' });
    expect(row).toMatchObject({ madeOn: '2021', boughtOn: '2019-03', firstUsedOn: '2024-01' });
  });
  it('ask once which way round days are written, and go by the answer', () => {
    const cells = { ...strap, made_on: '05/06/2021', bought_on: '07/08/2021' };
    expect(read(cells).questions.map(({ about }) => about)).toEqual(['day-order', 'day-order']);
    expect(read(cells, { dayOrder: 'day-first' }).row).toMatchObject({ madeOn: '2021-06-05', boughtOn: '2021-08-07' });
    expect(read(cells, { dayOrder: 'month-first' }).row).toMatchObject({ madeOn: '2021-05-06' });
  });
  it('tell a mark by its column, in one unit or two', () => {
    const { row } = read({ ...strap, wll: '2 t', mbs: '10 t (22,046 lb)', proof: '4' }, { units: { proof: 't' } });
    expect(row?.marks.map(({ basis, readings }) => [basis, Math.round(readings[0]?.forceN ?? 0)])).toEqual([
      ['wll', 19613],
      ['mbs', 98067],
      ['proof', 39227],
    ]);
  });
  it('take what stands on a winch for its rated pull, unless it says otherwise', () => {
    const basis = (cells: Cells) => read({ class: 'Winch', ...cells }).row?.marks.map((mark) => mark.basis);
    expect(basis({ mark_1: '9500 lb' })).toEqual(['rated-pull']);
    expect(basis({ mark_1: '9500 lb WLL' })).toEqual(['wll']);
    expect(basis({ mark_1: '9500 lb', mark_1_basis: 'unstated' })).toEqual(['unstated']);
    expect(read({ class: 'Chain', mark_1: '9500 lb' }).row?.marks[0]?.basis).toBe('unstated');
  });
  it('ask for a unit where neither cell nor heading names one, and never take a ton for granted', () => {
    expect(read({ ...strap, wll: '2' })).toMatchObject({ questions: [{ about: 'unit', word: 'wll' }] });
    expect(read({ ...strap, length: '3' })).toMatchObject({ questions: [{ about: 'unit', word: 'length' }] });
    expect(read({ ...strap, wll: '2' }, { units: { wll: 'tons' } }).row?.marks[0]?.readings).toHaveLength(3);
  });
  it('lay a diameter and a size where the class has its place for them', () => {
    const metres = { decimal: '.', units: { diameter: 'mm' } } as const;
    expect(readRegisterRow({ class: 'Stretch rope or strap', diameter: '22' }, metres).row?.attributes).toEqual({ ropeDiameterM: 0.022 });
    expect(readRegisterRow({ class: 'Chain', diameter: '10' }, metres).row?.attributes).toEqual({ linkDiameterM: 0.01 });
    expect(readRegisterRow({ class: 'Steel shackle', diameter: '19' }, metres).row).toMatchObject({ attributes: {}, note: 'Diameter: 19' });
    expect(read({ class: 'Line extension', size: '10 mm x 28 m' }).row?.attributes).toEqual({ ropeDiameterM: 0.01, lengthM: 28 });
    expect(read({ class: 'Tree strap', size: '3m × 60mm' }).row?.attributes).toEqual({ widthM: 0.06, lengthM: 3 });
    expect(read({ class: 'Steel shackle', size: '3/4"' }).row).toMatchObject({ attributes: {}, note: 'Size: 3/4"' });
    // Two lengths: which is which nobody can tell.
    expect(read({ class: 'Tree strap', size: '3 m x 2 m' }).row).toMatchObject({ attributes: {}, note: 'Size: 3 m x 2 m' });
  });
  it('count pieces, and a pair of what is kept by the count', () => {
    expect(['4', 'x4', '4 off', '4x', '4 pcs', '4.0'].map((quantity) => read({ ...strap, quantity }).pieces)).toEqual([4, 4, 4, 4, 4, 4]);
    expect(['pair', '0', '200'].map((quantity) => read({ ...strap, quantity }).pieces)).toEqual([2, 0, 200]);
    expect(read({ ...strap, quantity: '201' }).faults).toEqual([{ column: 'quantity', message: expect.stringContaining('at most 200') }]);
    expect(read({ ...strap, quantity: 'some' }).faults).toHaveLength(1);
    expect(read({ name: 'Traction boards (pair)' }).row?.attributes).toEqual({ pieces: 2 });
  });
  it('know what may not be used, and ask about words for it that they do not know', () => {
    expect(['OK', 'In service', 'out of service', 'U/S', 'Condemned'].map((state) => read({ ...strap, state }).row?.state)).toEqual([
      'in-use',
      'in-use',
      'quarantined',
      'quarantined',
      'retired',
    ]);
    expect(read({ ...strap, state: 'Lost' })).toMatchObject({ questions: [{ about: 'state', word: 'lost' }] });
    expect(read({ ...strap, state: 'Lost' }, { meanings: new Map([['state lost', 'retired']]) }).row?.state).toBe('retired');
  });
});

describe('an inspection as people write it', () => {
  it('counts with its day and its grade alone; else it is kept in the note', () => {
    expect(read({ ...strap, inspected_on: 'Mar-24', grade: 'grade b' })).toMatchObject({
      row: { inspection: { on: '2024-03-01', grade: 'B' } },
      said: ['Inspected “Mar-24”: taken as 2024-03-01, the first day it may mean'],
    });
    const { row, questions } = read({ ...strap, inspected_on: '2024-03-12', grade: 'Good', inspected_by: 'Wren' });
    expect(row?.inspection).toBeUndefined();
    expect(row?.note).toBe('Inspected: 2024-03-12; Grade: Good; Inspected by: Wren');
    expect(questions).toEqual([{ about: 'grade', word: 'good', choices: ['A', 'B', 'C', 'D'], optional: true }]);
    expect(read({ ...strap, inspected_on: '2024-03-12' }).row).toMatchObject({ note: 'Inspected: 2024-03-12' });
  });
  it('is graded by what somebody has said of its word', () => {
    const cells = { ...strap, inspected_on: '2024-03-12', grade: 'Good' };
    expect(read(cells, { meanings: new Map([['grade good', 'B']]) }).row?.inspection).toEqual({ on: '2024-03-12', grade: 'B' });
    expect(read(cells, { meanings: new Map([['grade good', '']]) })).toMatchObject({
      questions: [],
      row: { note: expect.stringContaining('Good') },
    });
  });
  it('waits for an answer where its word may speak against the piece', () => {
    for (const grade of ['Failed', 'Poor', 'Knackered'])
      expect(read({ ...strap, inspected_on: '2024-03-12', grade })).toMatchObject({
        questions: [{ about: 'grade', word: grade.toLowerCase() }],
      });
    expect(read({ ...strap, inspected_on: '2024-03-12', grade: 'Failed' }).row).toBeUndefined();
    expect(read({ ...strap, grade: 'D' }).faults).toEqual([
      { column: 'inspected_on', message: expect.stringContaining('Grade D without the day') },
    ]);
  });
});
