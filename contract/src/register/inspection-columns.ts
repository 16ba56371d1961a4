import { grades } from '@wainrope/core';
import type { ColumnsOf, RegisterRow, RowReader } from './register-row.ts';
import { dayOf, shortWords } from './single-columns.ts';

type Inspection = NonNullable<RegisterRow['inspection']>;

/** The last inspection, in four columns. */
export const inspectionColumns: ColumnsOf<Inspection> = {
  columns: [
    {
      key: 'inspected_on',
      label: 'Inspected',
      aliases: ['inspected', 'last inspection', 'last inspected', 'last check', 'inspection date'],
    },
    { key: 'grade', label: 'Grade', aliases: ['condition', 'condition grade'] },
    { key: 'next_due', label: 'Next due', aliases: ['due', 'next inspection', 'inspection due'] },
    { key: 'inspected_by', label: 'Inspected by', aliases: ['inspector', 'checked by'] },
  ],
  read: inspectionOf,
  write: ({ on, grade, nextDue, by }) => ({ inspected_on: on, grade, next_due: nextDue, inspected_by: by }),
};

function inspectionOf({ cell, refuse }: RowReader): Inspection | undefined {
  const day = (column: string) => {
    const text = cell(column);
    return text === undefined ? undefined : dayOf(text, (message) => refuse(column, message));
  };
  const [on, nextDue, typed, person] = [day('inspected_on'), day('next_due'), cell('grade'), cell('inspected_by')];
  const by = person === undefined ? undefined : shortWords(person, 120, (message) => refuse('inspected_by', message));
  if (on === undefined && typed === undefined) return undefined;
  if (on === undefined) return refuse('inspected_on', 'A grade without the date of its inspection; add the date.');
  const grade = grades.find((entry) => entry === typed?.toUpperCase());
  if (grade === undefined)
    return refuse(
      'grade',
      typed === undefined ? 'An inspection without a grade; expected A, B, C or D.' : `“${typed}” is not a grade; expected A, B, C or D.`,
    );
  if (nextDue !== undefined && nextDue < on) return refuse('next_due', `Due ${nextDue}, before the inspection of ${on}.`);
  return { on, grade, ...(nextDue && { nextDue }), ...(by && { by }) };
}
