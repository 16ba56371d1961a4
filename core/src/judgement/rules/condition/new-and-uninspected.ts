import { percent, rich } from '../../../quantity/format.ts';
import { answerUses, chosenUses, pieceName, type Rule } from '../../rule.ts';

export const newAndUninspected: Rule = {
  code: 'new-and-uninspected',
  severity: 'note',
  softenable: true,
  why: 'New pieces count nearly in full until their first inspection is due.',
  needs: 'inspections and first use of every load-bearing piece',
  check: (assessment) =>
    answerUses(chosenUses(assessment), ({ use, piece }) => {
      const limit = assessment.limits.get(use.id);
      if (limit?.kind !== 'rated' || limit.condition.basis !== 'none-young') return undefined;
      return {
        title: rich`${pieceName(piece)} is new and not yet inspected`,
        detail: rich`First used ${piece.firstUsedOn ?? ''}; counted at ${percent(limit.condition.derate.factor)}.`,
      };
    }),
};
