import { force, rich } from '../../../quantity/format.ts';
import { answerUses, chosenUses, pieceName, type Rule } from '../../rule.ts';

export const markAboveQuotient: Rule = {
  code: 'mark-above-quotient',
  severity: 'caution',
  softenable: true,
  why: 'The marked working limit leaves less in hand than the team asks for, so the lower figure is used.',
  needs: 'marked WLL and MBS, design factors',
  check: (assessment) =>
    answerUses(chosenUses(assessment), ({ use, piece }) => {
      const limit = assessment.limits.get(use.id);
      if (limit?.kind !== 'rated' || !limit.limit.markAboveQuotient) return undefined;
      const { markedWll, mbsN, designFactor, wllN } = limit.limit;
      return {
        title: rich`${pieceName(piece)}: its marked limit is above breaking strength ÷ ${String(designFactor)}`,
        detail: rich`Marked ${force(markedWll?.readingN ?? 0)}, breaks at ${force(mbsN)}; ${force(wllN)} is used.`,
      };
    }),
};
