import { percent, rich } from '../../../quantity/format.ts';
import { answerUses, chooseAnother, chosenUses, pieceName, type Rule } from '../../rule.ts';

export const neverInspected: Rule = {
  code: 'never-inspected',
  severity: 'caution',
  softenable: true,
  why: 'Nobody has looked at it on record, so it counts as worn.',
  needs: 'inspections and first use of every load-bearing piece',
  check: (assessment) =>
    answerUses(chosenUses(assessment), ({ use, piece }) => {
      const limit = assessment.limits.get(use.id);
      if (limit?.kind !== 'rated' || limit.condition.basis !== 'none-old') return undefined;
      return {
        title: rich`${pieceName(piece)} was never inspected`,
        detail: rich`Counted at ${percent(limit.condition.derate.factor)} of its strength. Inspect it now.`,
        fixes: [chooseAnother(use)],
      };
    }),
};
