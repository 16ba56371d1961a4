import { rich } from '../../quantity/format.ts';
import { answerUses, chooseAnother, pieceName, type Rule, usesOfClass } from '../rule.ts';

export const stretchInWinchRig: Rule = {
  code: 'stretch-in-winch-rig',
  severity: 'stop',
  softenable: false,
  why: 'A stretch rope stores energy that a winch rig lets go all at once when anything fails.',
  needs: 'class of every piece',
  check: (assessment) =>
    answerUses(usesOfClass(assessment, 'stretch-rope'), ({ use, piece }) => ({
      title: rich`${pieceName(piece)} must not be in a winch rig`,
      detail: rich`Use a static strap or an extension.`,
      fixes: [chooseAnother(use)],
    })),
};
