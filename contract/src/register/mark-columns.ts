import { type Mark, type MarkBasis, type MarkSource, markBases, markSources, parseMark, tonUnits } from '@wainrope/core';
import { oneOf, withUnit } from './one-of.ts';
import type { ColumnsOf, RegisterColumn, RowReader } from './register-row.ts';

/** How many marks a row of the file can carry. */
const MARKS_IN_FILE = 4;

const numbered: readonly RegisterColumn[] = Array.from({ length: MARKS_IN_FILE }, (_, index) => index + 1).flatMap((no) => [
  { key: `mark_${no}`, label: `Mark ${no}`, aliases: no === 1 ? ['rating', 'mark', 'marked', 'marking', 'strength', 'capacity'] : [] },
  { key: `mark_${no}_basis`, label: `Mark ${no} basis`, aliases: no === 1 ? ['basis', 'rating basis'] : [] },
  { key: `mark_${no}_unit`, label: `Mark ${no} ton confirmed`, aliases: [] },
  { key: `mark_${no}_source`, label: `Mark ${no} source`, aliases: no === 1 ? ['source', 'rating source'] : [] },
]);

/** Every mark by its words, its basis, its source and the ton that somebody confirmed; two that other people's files have by their basis. */
export const markColumns: ColumnsOf<readonly Mark[]> = {
  columns: [
    { key: 'wll', label: 'Mark: WLL', aliases: ['swl', 'working load limit', 'working load', 'safe working load'], readOnly: true },
    {
      key: 'mbs',
      label: 'Mark: breaking strength',
      aliases: ['breaking strength', 'breaking', 'mbl', 'min breaking strength'],
      readOnly: true,
    },
    ...numbered,
  ],
  read: marksOf,
  write: (marks) =>
    Object.fromEntries(
      marks.slice(0, MARKS_IN_FILE).flatMap(({ asWritten, basis, source, confirmedUnit }, index) => [
        [`mark_${index + 1}`, asWritten],
        [`mark_${index + 1}_basis`, basis],
        [`mark_${index + 1}_source`, source],
        [`mark_${index + 1}_unit`, confirmedUnit],
      ]),
    ),
};

function marksOf({ cell, refuse, settings: { decimal, units, tonOfMaker } }: RowReader): readonly Mark[] {
  const marks: Mark[] = [];
  const makersTon = tonOfMaker?.get(cell('maker')?.toLowerCase() ?? '');
  const read = (column: string, basis: MarkBasis | undefined, source: MarkSource) => {
    const text = cell(column);
    if (text === undefined) return;
    const confirmedUnit = oneOf(tonUnits, cell(`${column}_unit`), (message) => refuse(`${column}_unit`, message)) ?? makersTon;
    const parsed = parseMark(withUnit(text, units[column]), {
      source,
      decimal,
      ...(basis && { basis }),
      ...(confirmedUnit && { confirmedUnit }),
    });
    if (parsed.kind === 'fault') refuse(column, parsed.message);
    else marks.push(parsed.mark);
  };
  for (let no = 1; no <= MARKS_IN_FILE; no++) {
    const basis = oneOf(markBases, cell(`mark_${no}_basis`), (message) => refuse(`mark_${no}_basis`, message));
    const source = oneOf(markSources, cell(`mark_${no}_source`), (message) => refuse(`mark_${no}_source`, message));
    read(`mark_${no}`, basis, source ?? 'label');
  }
  const loose = oneOf(markSources, cell('mark_1') === undefined ? cell('mark_1_source') : undefined, () => undefined) ?? 'label';
  read('wll', 'wll', loose);
  read('mbs', 'mbs', loose);
  return marks;
}
