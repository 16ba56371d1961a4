import type { Grade } from '../gear/gear-facts.ts';
import { addMonths } from '../quantity/calendar.ts';
import type { InspectionSheet } from './inspection-sheet.ts';
import type { ProposedGrade } from './propose-grade.ts';

/** What an inspector means to keep: a check before or after use leaves grade and next day as they stand. */
export interface GradeToKeep {
  readonly useCheck: boolean;
  readonly grade?: Grade | undefined;
  /** `YYYY-MM-DD`. */
  readonly nextDue?: string | undefined;
  readonly note?: string | undefined;
}

/** What stands against keeping a grade, and the field that it is about. */
export interface GradeFault {
  readonly field: 'grade' | 'nextDue' | 'note';
  readonly words: string;
}

/** Whether a grade may be kept beside what was found: never milder than a failure, a better one only with a reason, with its next day. */
export function gradeFault({ useCheck, grade, nextDue, note }: GradeToKeep, proposed: ProposedGrade): GradeFault | undefined {
  if (useCheck) return grade === undefined ? undefined : { field: 'grade', words: 'A check before or after use sets no grade.' };
  if (grade === undefined) return { field: 'grade', words: `Confirm a grade; what was found points to ${proposed.grade}.` };
  if (proposed.grade === 'D' && grade !== 'D') {
    const failed = proposed.reasons.find((reason) => reason.grade === 'D')?.words;
    return { field: 'grade', words: `It fails (${failed}), so its grade is D.` };
  }
  if (grade !== 'D' && nextDue === undefined) return { field: 'nextDue', words: 'Say when it is to be inspected again.' };
  if (grade < proposed.grade && (note ?? '').trim() === '')
    return { field: 'note', words: `What was found points to ${proposed.grade}. For ${grade}, say why in the remark.` };
  return undefined;
}

/** A piece that is as worn as this is looked at again in half the time. */
const HALF_FROM: Grade = 'C';

/** The day on which the sheet asks for the next inspection, from the day of this one; a month at least. Days are `YYYY-MM-DD`. */
export function proposedDue(on: string, { everyMonths }: Pick<InspectionSheet, 'everyMonths'>, grade: Grade): string {
  return addMonths(on, grade >= HALF_FROM ? Math.max(1, Math.floor(everyMonths / 2)) : everyMonths);
}
