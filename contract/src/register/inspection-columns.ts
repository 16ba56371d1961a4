import { type Grade, grades } from '@wainrope/core';
import type { ColumnsOf, RegisterRow, RowReader } from './register-row.ts';
import { dayOf, shortWords } from './single-columns.ts';
import { meaningKey, plainWord } from './word-meanings.ts';

type Inspection = NonNullable<RegisterRow['inspection']>;

const INSPECTED = { key: 'inspected_on', label: 'Inspected' };
const GRADE = { key: 'grade', label: 'Grade' };
const NEXT_DUE = { key: 'next_due', label: 'Next due' };
const BY = { key: 'inspected_by', label: 'Inspected by' };

/** The last inspection, in four columns. */
export const inspectionColumns: ColumnsOf<Inspection> = {
  columns: [INSPECTED, GRADE, NEXT_DUE, BY],
  read: inspectionOf,
  write: ({ on, grade, nextDue, by }) => ({ inspected_on: on, grade, next_due: nextDue, inspected_by: by }),
};

/** Words for a piece in order. What grade that is nobody says: without an answer the words are kept and no inspection counts. */
const IN_ORDER = [
  'good',
  'very good',
  'ok',
  'okay',
  'fine',
  'fair',
  'average',
  'new',
  'as new',
  'like new',
  'excellent',
  'pass',
  'passed',
  'satisfactory',
  'serviceable',
  'fit',
  'fit for use',
  'used',
  'yes',
  'y',
];

/** An inspection needs its day and its grade; what lacks one of them is kept in the note, and counts as none. */
function inspectionOf(reader: RowReader): Inspection | undefined {
  const { cell, refuse } = reader;
  const [on, nextDue, person] = [dayOf(INSPECTED, reader), dayOf(NEXT_DUE, reader), cell(BY.key)];
  const by = person === undefined ? undefined : shortWords(person, 120, (message) => refuse(BY.key, message));
  const grade = gradeOf(reader);
  if (grade === 'D' && on === undefined && cell(INSPECTED.key) === undefined)
    return refuse(INSPECTED.key, 'Grade D without the day of its inspection; add the day.');
  if (on === undefined || grade === undefined) return without(reader);
  if (nextDue !== undefined && nextDue < on) return refuse(NEXT_DUE.key, `Due ${nextDue}, before the inspection of ${on}.`);
  return { on, grade, ...(nextDue && { nextDue }), ...(by && { by }) };
}

function gradeOf({ cell, settings, ask }: RowReader): Grade | undefined {
  const typed = cell(GRADE.key);
  if (typed === undefined) return undefined;
  const meaning = settings.meanings?.get(meaningKey('grade', typed));
  const said = meaning ?? typed.toUpperCase().replace(/^GRADE\s*/, '');
  const grade = grades.find((entry) => entry === said);
  if (grade !== undefined || meaning !== undefined) return grade;
  const word = plainWord('grade', typed);
  return ask({ about: 'grade', word, choices: grades, ...(IN_ORDER.includes(word) && { optional: true }) });
}

function without({ cell, keep, say }: RowReader): undefined {
  for (const { key } of inspectionColumns.columns) {
    const text = cell(key);
    if (text !== undefined) keep(key, text);
  }
  if (cell(INSPECTED.key) !== undefined || cell(GRADE.key) !== undefined)
    say('Counts as never inspected: the day or the grade of the inspection is missing');
  return undefined;
}
