import { gearClasses, type Mark, type MarkBasis, type MarkSource, markBases, markSources, parseMarks, tonUnits } from '@wainrope/core';
import { isBare, oneOf, withUnit } from './one-of.ts';
import type { ColumnsOf, RegisterColumn, RowReader } from './register-row.ts';

/** How many marks a row of the file can carry. */
const MARKS_IN_FILE = 4;

const numbered: readonly RegisterColumn[] = Array.from({ length: MARKS_IN_FILE }, (_, index) => index + 1).flatMap((no) => [
  { key: `mark_${no}`, label: `Mark ${no}` },
  { key: `mark_${no}_basis`, label: `Mark ${no} basis` },
  { key: `mark_${no}_unit`, label: `Mark ${no} ton confirmed` },
  { key: `mark_${no}_source`, label: `Mark ${no} source` },
]);

/** Marks that other people's files have in columns by what they are. */
const BY_BASIS: readonly { readonly key: string; readonly label: string; readonly basis: MarkBasis }[] = [
  { key: 'wll', label: 'Mark: WLL', basis: 'wll' },
  { key: 'mbs', label: 'Mark: breaking strength', basis: 'mbs' },
  { key: 'proof', label: 'Mark: proof load', basis: 'proof' },
  { key: 'rated_pull', label: 'Mark: rated pull', basis: 'rated-pull' },
];

/** Every mark by its words, its basis, its source and the ton that somebody confirmed; those that other people's files have by their basis. */
export const markColumns: ColumnsOf<readonly Mark[]> = {
  columns: [...BY_BASIS.map(({ key, label }) => ({ key, label, readOnly: true as const })), ...numbered],
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

function marksOf({ cell, refuse, ask, say, kind, settings: { decimal, units, tonOfMaker } }: RowReader): readonly Mark[] {
  const marks: Mark[] = [];
  const makersTon = tonOfMaker?.get(cell('maker')?.toLowerCase() ?? '');
  const read = (column: string, basis: MarkBasis | undefined, source: MarkSource) => {
    const text = cell(column);
    if (text === undefined) return;
    if (isBare(text, units[column])) return ask({ about: 'unit', word: column });
    const confirmedUnit = oneOf(tonUnits, cell(`${column}_unit`), (message) => refuse(`${column}_unit`, message)) ?? makersTon;
    const parsed = parseMarks(withUnit(text, units[column]), {
      source,
      decimal,
      ...(basis && { basis }),
      ...(confirmedUnit && { confirmedUnit }),
    });
    if (parsed.kind === 'fault') refuse(column, parsed.message);
    else marks.push(...parsed.marks.map((mark) => asOfWinch(mark, column)));
  };
  const named = kind();
  const isWinch = named !== undefined && gearClasses[named].use === 'winch';
  /** What is marked on a winch is its pull, unless it says otherwise. */
  const asOfWinch = (mark: Mark, column: string): Mark => {
    if (!isWinch || mark.basis !== 'unstated' || cell(`${column}_basis`) !== undefined) return mark;
    say(`“${mark.asWritten}”: taken for the winch’s rated pull`);
    return { ...mark, basis: 'rated-pull' };
  };
  for (let no = 1; no <= MARKS_IN_FILE; no++) {
    const basis = oneOf(markBases, cell(`mark_${no}_basis`), (message) => refuse(`mark_${no}_basis`, message));
    const source = oneOf(markSources, cell(`mark_${no}_source`), (message) => refuse(`mark_${no}_source`, message));
    read(`mark_${no}`, basis, source ?? 'label');
  }
  const loose = oneOf(markSources, cell('mark_1') === undefined ? cell('mark_1_source') : undefined, () => undefined) ?? 'label';
  for (const { key, basis } of BY_BASIS) read(key, basis, loose);
  if (marks.length > MARKS_IN_FILE)
    refuse('mark_1', `${marks.length} marks stand in this row; at most ${MARKS_IN_FILE} fit on one piece. Leave one out.`);
  return marks;
}
