import { isRope } from '../../../moment/drum-state.ts';
import { rich } from '../../../quantity/format.ts';
import { answerUses, chooseAnother, chosenUses, pieceName, type Rule } from '../../rule.ts';

export const pieceUsedTwice: Rule = {
  code: 'piece-used-twice',
  severity: 'stop',
  softenable: false,
  why: 'One piece cannot be in two places of one rig.',
  needs: 'the piece chosen for every place',
  check: (assessment) => {
    const seen = new Set<string>();
    // One rope may serve as two where a grip parts it.
    const parted = assessment.uses.some(({ use }) => use.role === 'grip');
    return answerUses(chosenUses(assessment), ({ use, piece }) => {
      if (!seen.has(piece.id) || (parted && isRope(piece))) {
        seen.add(piece.id);
        return undefined;
      }
      return {
        title: rich`${pieceName(piece)} is used twice`,
        detail: rich`Choose another for one of its places.`,
        fixes: [chooseAnother(use)],
      };
    });
  },
};
