import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { CellMend, ColumnChoice, FileEncoding, WordMeaning } from '@wainrope/contract';
import type { DayOrder } from '@wainrope/core';
import { describe, expect, it } from 'vitest';
import { unpack } from '../../threads/packed.ts';
import { type ReadLine, readRegister } from './read-register.ts';

const FOLDER = join(import.meta.dirname, 'sheets');

/** What a row of a sheet says, as whoever wrote it would tell; no class: it stands for no piece. Forces in kN. */
interface ExpectedRow {
  readonly line: number;
  readonly kind: string | null;
  readonly marks?: { readonly [basis: string]: number | readonly number[] };
  readonly attributes?: { readonly [key: string]: number };
  readonly pieces?: number;
  /** The column of a cell that nobody can read: the row is to be refused. */
  readonly fault?: string;
  readonly [field: string]: unknown;
}

interface Answers {
  readonly columns?: readonly ColumnChoice[];
  readonly meanings?: readonly WordMeaning[];
  readonly dayOrder?: DayOrder;
  readonly encoding?: FileEncoding;
  readonly mends?: readonly CellMend[];
}

const sheets = readdirSync(FOLDER)
  .filter((name) => name.endsWith('.csv'))
  .map((name) => name.replace(/\.csv$/, ''));

function read(name: string, { meanings = [], ...answers }: Answers): readonly ReadLine[] {
  const contentBase64 = readFileSync(join(FOLDER, `${name}.csv`)).toString('base64');
  const outcome = readRegister({ contentBase64, decimal: '.', tonOfMaker: new Map(), meanings, ...answers }, () => undefined);
  if (!outcome.ok) throw new Error(`${name}: ${outcome.message ?? JSON.stringify(outcome.faults)}`);
  return unpack(outcome.register.lines);
}

const expectedOf = (name: string): { readonly answers: Answers; readonly rows: readonly ExpectedRow[] } =>
  JSON.parse(readFileSync(join(FOLDER, `${name}.expected.json`), 'utf8'));

const isUnderstood = ({ row, questions }: ReadLine): boolean => row !== undefined && questions.every(({ optional }) => optional);

/** What a row was understood to say, as far as the expected row tells it. */
function told({ row, pieces, stands }: ReadLine, expected: ExpectedRow): object {
  if (stands !== 'piece') return { line: expected.line, kind: null };
  const marks = row?.marks.map(({ basis, readings }) => {
    const forces = readings.map(({ forceN }) => Number((forceN / 1000).toFixed(2)));
    return [basis, Array.isArray(expected.marks?.[basis]) ? forces : forces[0]] as const;
  });
  const { line, kind, marks: _marks, attributes, pieces: several, fault: _fault, ...fields } = expected;
  const all: { readonly [field: string]: unknown } = {
    ...row,
    inspectedOn: row?.inspection?.on,
    grade: row?.inspection?.grade,
  };
  return {
    line,
    kind: row?.kind ?? null,
    ...(expected.marks && { marks: Object.fromEntries(marks ?? []) }),
    ...(attributes && {
      attributes: Object.fromEntries(Object.keys(attributes).map((key) => [key, rounded(row?.attributes[key])])),
    }),
    ...(several !== undefined && { pieces }),
    ...Object.fromEntries(Object.keys(fields).map((field) => [field, all[field]])),
  };
}

/** Without what is not known. */
const said = (found: object): object => JSON.parse(JSON.stringify(found));

const rounded = (value: unknown): unknown => (typeof value === 'number' ? Number(value.toFixed(6)) : value);

const ofPieces = (rows: readonly ExpectedRow[]) => rows.filter(({ kind, fault }) => kind !== null && fault === undefined);

describe('gear lists as people keep them', () => {
  it('are fifteen, with more than a hundred pieces', () => {
    expect(sheets).toHaveLength(15);
    expect(sheets.flatMap((name) => ofPieces(expectedOf(name).rows)).length).toBeGreaterThan(130);
  });

  it.each(sheets)('%s: nothing is understood wrongly, and what stands for no piece is none', (name) => {
    const { rows } = expectedOf(name);
    const lines = read(name, {}).filter(({ stands }) => stands !== 'empty');
    expect(lines.map(({ line }) => line)).toEqual(rows.map(({ line }) => line));
    for (const expected of rows) {
      const line = lines.find(({ line: at }) => at === expected.line);
      if (line === undefined || (line.stands === 'piece' && !isUnderstood(line))) continue;
      const { fault: _fault, grade, inspectedOn, ...plain } = expected;
      // A word for a condition that nobody has graded yet counts as no inspection.
      const known =
        line.questions.length === 0
          ? { ...plain, ...(grade !== undefined && { grade }), ...(inspectedOn !== undefined && { inspectedOn }) }
          : plain;
      // What stands under a heading that nobody has mapped yet is left out, not wrong.
      expect(known).toMatchObject(said(told(line, known as ExpectedRow)));
    }
  });

  it.each(sheets)('%s: what is asked, once answered, is understood', (name) => {
    const { rows, answers } = expectedOf(name);
    const lines = read(name, answers).filter(({ stands }) => stands !== 'empty');
    for (const expected of rows) {
      const line = lines.find(({ line: at }) => at === expected.line);
      if (expected.fault !== undefined) expect(line?.faults.map(({ column }) => column)).toEqual([expected.fault]);
      else if (line) expect(told(line, expected)).toEqual(expected);
    }
  });

  it('are understood at once in six rows of ten, and in nine of ten once their words and columns are mapped', () => {
    const counts = sheets.map((name) => {
      const { rows, answers } = expectedOf(name);
      const pieces = new Set(rows.filter(({ kind }) => kind !== null).map(({ line }) => line));
      const understood = (given: Answers) => read(name, given).filter((line) => pieces.has(line.line) && isUnderstood(line)).length;
      return { name, of: pieces.size, atOnce: understood({}), mapped: understood(answers) };
    });
    const sum = (key: 'of' | 'atOnce' | 'mapped') => counts.reduce((total, entry) => total + entry[key], 0);
    const words = JSON.stringify(counts);
    expect(sum('atOnce') / sum('of'), words).toBeGreaterThanOrEqual(0.6);
    expect(sum('mapped') / sum('of'), words).toBeGreaterThanOrEqual(0.9);
    console.log(`understood at once ${sum('atOnce')}, mapped ${sum('mapped')}, of ${sum('of')}`);
  });
});
