import { type RegisterRow, writeRegisterRow } from '@wainrope/contract';
import { parseMark } from '@wainrope/core';
import { describe, expect, it } from 'vitest';
import { shiftDays } from '../../seed/demo-team.ts';
import { mergeRegisterRow, rowChanges } from './merge-register-row.ts';
import { readRegisterFile, recogniseColumns } from './register-file.ts';

const bytes = (text: string, encoding: BufferEncoding = 'utf8') => new Uint8Array(Buffer.from(text, encoding));
const file = (text: string, encoding: BufferEncoding = 'utf8') => {
  const outcome = readRegisterFile(bytes(text, encoding));
  if (!outcome.ok) throw new Error(outcome.message);
  return outcome.file;
};

describe('taking a file apart', () => {
  it.each([
    [',', 'comma'],
    [';', 'semicolon'],
    ['\t', 'tab'],
    ['|', 'bar'],
  ])('finds the separator %o by the heading line', (mark, name) => {
    const parsed = file(`${['tag', 'class', 'note'].join(mark)}\n${['A', 'ring', 'x'].join(mark)}`);
    expect(parsed).toMatchObject({ separator: name, headings: ['tag', 'class', 'note'], rows: [{ line: 2, cells: ['A', 'ring', 'x'] }] });
  });
  it('is not misled by separators inside quotes', () => {
    expect(file('"tag, or code",class;x\nA,ring\n'.replace('"tag, or code"', 'tag')).separator).toBe('comma');
    expect(file('tag;"a, b, c, d, e";class\nA;x;ring\n').separator).toBe('semicolon');
  });
  it('counts lines as an editor does, across quoted newlines, empty rows and Windows line ends', () => {
    const parsed = file('\r\n\r\ntag,class,note\r\nA,ring,"two\r\nlines"\r\n\r\nB,ring,x\r\n');
    expect(parsed.rows.filter(({ cells }) => cells.some((cell) => cell !== '')).map(({ line, cells }) => [line, cells[0]])).toEqual([
      [4, 'A'],
      [7, 'B'],
    ]);
  });
  it('knows UTF-8 with and without mark, UTF-16 by its mark, and Latin-1 by what is left', () => {
    expect(file('\uFEFFtag,class\nÄ,ring\n')).toMatchObject({ encoding: 'UTF-8', headings: ['tag', 'class'] });
    expect(readRegisterFile(Buffer.concat([Buffer.from([0xff, 0xfe]), Buffer.from('tag,class\nÄ,ring\n', 'utf16le')]))).toMatchObject({
      ok: true,
      file: { encoding: 'UTF-16', rows: [{ cells: ['Ä', 'ring'] }] },
    });
    expect(file('tag,class\nÄ,ring\n', 'latin1')).toMatchObject({ encoding: 'windows-1252', rows: [{ cells: ['Ä', 'ring'] }] });
  });
  it('gives a column that two headings claim to the surer, and keeps the other in the note', () => {
    const headings = ['Code', 'Tag', 'Class', 'Length (m)', 'Whatever', 'Type'];
    expect(recogniseColumns({ headings, rows: [] })).toEqual([
      { heading: 'Code', column: 'note' },
      { heading: 'Tag', column: 'tag' },
      { heading: 'Class', column: 'class' },
      { heading: 'Length (m)', column: 'length', unit: 'm' },
      { heading: 'Whatever' },
      { heading: 'Type' },
    ]);
  });
  it('refuses more rows than it can show', () => {
    expect(readRegisterFile(bytes(`tag,class\n${'A,ring\n'.repeat(20_001)}`))).toMatchObject({
      ok: false,
      message: expect.stringContaining('20001 rows'),
    });
  });
});

const mark = (text: string) => {
  const parsed = parseMark(text, { source: 'label', decimal: '.' });
  if (parsed.kind === 'fault') throw new Error(parsed.message);
  return parsed.mark;
};
const known: RegisterRow = {
  tag: 'TS-1',
  kind: 'tree-strap',
  name: 'Strap',
  state: 'quarantined',
  marks: [mark('MBS 8 t')],
  attributes: { lengthM: 2.4, widthM: 0.06 },
  overloadsSinceInspection: 2,
  inspection: { on: '2026-01-10', grade: 'B', nextDue: '2027-01-10' },
  note: 'frayed',
};

describe('laying a row over what the register knows', () => {
  const row: RegisterRow = {
    tag: 'ts-1',
    kind: 'tree-strap',
    name: 'Tree strap',
    state: 'in-use',
    marks: [],
    attributes: { lengthM: 3 },
    overloadsSinceInspection: 0,
  };
  it('keeps whatever the row leaves empty', () => {
    const merged = mergeRegisterRow(known, row, { tag: 'ts-1', class: 'tree strap', length: '3 m' });
    expect(merged).toMatchObject({
      tag: 'ts-1',
      name: 'Strap',
      state: 'quarantined',
      attributes: { lengthM: 3, widthM: 0.06 },
      overloadsSinceInspection: 2,
      note: 'frayed',
      marks: known.marks,
      inspection: known.inspection,
    });
    expect(rowChanges(known, merged)).toEqual(['Tag: TS-1 → ts-1', 'Length: 2.4 m → 3 m']);
  });
  it('takes what the row says, and an inspection only when it is not older', () => {
    const said = { ...row, state: 'retired' as const, inspection: { on: '2025-06-01', grade: 'A' as const } };
    const merged = mergeRegisterRow(known, said, { state: 'retired', name: '' });
    expect(merged).toMatchObject({ state: 'retired', inspection: { on: '2026-01-10', grade: 'B' } });
    expect(mergeRegisterRow(known, { ...said, inspection: { on: '2026-01-10', grade: 'C' } }, {}).inspection).toEqual({
      on: '2026-01-10',
      grade: 'C',
    });
  });
  it('puts the file’s own note in the place of the register’s, and what was only kept there behind it, once', () => {
    expect(mergeRegisterRow(known, { ...row, note: 'Red' }, { note: 'Red' }).note).toBe('Red');
    expect(mergeRegisterRow(known, { ...row, note: 'Size: 3/4"' }, {}).note).toBe('frayed; Size: 3/4"');
    expect(mergeRegisterRow({ ...known, note: 'frayed; Size: 3/4"' }, { ...row, note: 'Size: 3/4"' }, {}).note).toBe('frayed; Size: 3/4"');
  });
  it('drops the sizes of another class', () => {
    expect(mergeRegisterRow(known, { ...row, kind: 'recovery-ring', attributes: { boreDiameterM: 0.03 } }, {}).attributes).toEqual({
      boreDiameterM: 0.03,
    });
  });
  it('finds no change between a row and itself', () => {
    expect(rowChanges(known, structuredClone(known))).toEqual([]);
    expect(writeRegisterRow(known)).toMatchObject({
      tag: 'TS-1',
      mark_1: 'MBS 8 t',
      mark_1_basis: 'mbs',
      length: '2.4 m',
      overloads_since_inspection: '2',
    });
  });
});

describe('demo days', () => {
  it('move together, and only what is a day', () => {
    expect(shiftDays('A,2026-01-31,31 700 lb,2025-02-30,9999', 30)).toBe('A,2026-03-02,31 700 lb,2025-02-30,9999');
    expect(shiftDays('2026-03-01', -1)).toBe('2026-02-28');
  });
});
