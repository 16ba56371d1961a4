import { rich } from '../../../quantity/format.ts';
import { answerUses, chooseAnother, chosenUses, openPiece, pieceName, type Rule } from '../../rule.ts';

export const advertOnly: Rule = {
  code: 'advert-only',
  severity: 'fix',
  softenable: true,
  why: 'An advert is a claim, not a rating.',
  needs: 'source of every mark',
  check: (assessment) =>
    answerUses(chosenUses(assessment), ({ use, piece }) => {
      const limit = assessment.limits.get(use.id);
      if (limit?.kind !== 'rated' || !limit.limit.advertOnly) return undefined;
      return {
        title: rich`Only an advert speaks for ${pieceName(piece)}`,
        detail: rich`Look for a stamp, a label or the maker’s paper, or use another piece.`,
        fixes: [chooseAnother(use), openPiece(piece, 'Record a better source')],
      };
    }),
};
