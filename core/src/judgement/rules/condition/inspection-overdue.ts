import { rich } from '../../../quantity/format.ts';
import { answerUses, chooseAnother, chosenUses, pieceName, type Rule } from '../../rule.ts';

export const inspectionOverdue: Rule = {
  code: 'inspection-overdue',
  severity: 'caution',
  softenable: true,
  why: 'The condition counted on is older than the team allows.',
  needs: 'next due date of every piece',
  check: (assessment) =>
    answerUses(chosenUses(assessment), ({ use, piece }) => {
      const due = piece.inspection?.nextDue;
      if (due === undefined || due >= assessment.subject.asOf) return undefined;
      return {
        title: rich`${pieceName(piece)} is overdue for inspection`,
        detail: rich`Due ${due}, last inspected ${piece.inspection?.on ?? ''}. Look it over now or take another.`,
        fixes: [chooseAnother(use)],
      };
    }),
};
