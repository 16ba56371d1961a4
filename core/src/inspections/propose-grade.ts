import type { Grade } from '../gear/gear-facts.ts';
import { type InspectionAnswers, measuredShare, newValueOf } from './inspection-answers.ts';
import type { InspectionSheet } from './inspection-sheet.ts';

export interface GradeReason {
  /** The point or measure it is about. */
  readonly id: string;
  readonly grade: Grade;
  readonly words: string;
}

export interface ProposedGrade {
  readonly grade: Grade;
  readonly reasons: readonly GradeReason[];
  /** Measures that could not be weighed because the value when new is unknown. */
  readonly unweighed: readonly string[];
}

/** Beyond this share of an allowance a piece is C, beyond the other B. */
const C_FROM = 0.75;
const B_FROM = 0.5;
/** From so many worn points on, a piece is C. */
const WORN_FOR_C = 3;

/**
 * The grade that the findings speak for: D where a point fails or a measure is over its limit; C from three worn points or
 * three quarters of an allowance; B from one worn point or half an allowance; else A. A worn point that is ground for taking
 * out of use at once counts as C.
 */
export function proposeGrade(
  sheet: InspectionSheet,
  answers: InspectionAnswers,
  attributes: { readonly [key: string]: unknown },
): ProposedGrade {
  const points = sheet.points.flatMap(({ id, look, immediate }): GradeReason[] => {
    const answer = answers.points[id];
    if (answer === 'fails') return [{ id, grade: 'D', words: `${look}: fails` }];
    if (answer === 'worn') return [{ id, grade: immediate ? 'C' : 'B', words: `${look}: worn` }];
    return [];
  });
  const unweighed: string[] = [];
  const measures = sheet.measures.flatMap((measure): GradeReason[] => {
    const taken = answers.measures[measure.id];
    if (taken === undefined) return [];
    const share = measuredShare(measure, taken.value, newValueOf(measure, attributes, answers));
    if (share === undefined) unweighed.push(measure.id);
    const grade = share && gradeOfShare(share.used, share.over);
    if (share === undefined || grade === undefined || grade === 'A') return [];
    const used = share.over ? 'over its limit' : `${Math.round(share.used * 100)} % of what is allowed is used`;
    return [{ id: measure.id, grade, words: `${measure.label}: ${used}` }];
  });
  const reasons = [...points, ...measures];
  const many = points.filter(({ grade }) => grade !== 'D').length >= WORN_FOR_C;
  const grades: readonly Grade[] = [...reasons.map(({ grade }) => grade), ...(many ? (['C'] as const) : [])];
  return { grade: grades.reduce((worst, grade) => (grade > worst ? grade : worst), 'A' as Grade), reasons, unweighed };
}

function gradeOfShare(used: number, over: boolean): Grade {
  if (over) return 'D';
  if (used >= C_FROM) return 'C';
  return used >= B_FROM ? 'B' : 'A';
}
