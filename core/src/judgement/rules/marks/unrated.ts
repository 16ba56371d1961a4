import { rich } from '../../../quantity/format.ts';
import { answerUses, chooseAnother, chosenUses, openPiece, pieceName, type Rule } from '../../rule.ts';

export const unrated: Rule = {
  code: 'unrated',
  severity: 'stop',
  softenable: false,
  why: 'Without a mark nobody can say what a piece may carry.',
  needs: 'marks of every load-bearing piece',
  check: (assessment) =>
    answerUses(chosenUses(assessment), ({ use, piece }) => {
      const limit = assessment.limits.get(use.id);
      const bare = (limit?.kind === 'unrated' && use.judged === undefined) || (piece.kind === 'winch' && piece.marks.length === 0);
      if (!bare) return undefined;
      return {
        title: rich`${pieceName(piece)} has no rating`,
        detail: rich`No working load limit, breaking strength or rated pull is on record. Enter what is marked on it, or use another.`,
        fixes: [chooseAnother(use), openPiece(piece, 'Enter its mark')],
      };
    }),
};
