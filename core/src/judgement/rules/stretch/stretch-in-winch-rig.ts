import type { Assessment } from '../../../moment/assessment.ts';
import { rich } from '../../../quantity/format.ts';
import { answerUses, chooseAnother, isBackAnchor, pieceName, type Rule, usesOfClass } from '../../rule.ts';
import { towRopes } from './tow-ropes.ts';

export const stretchInWinchRig: Rule = {
  code: 'stretch-in-winch-rig',
  severity: 'stop',
  softenable: false,
  why: 'A stretch rope stores energy that a winch rig lets go all at once when anything fails.',
  needs: 'class of every piece',
  check: (assessment) =>
    answerUses(inWinchRig(assessment), ({ use, piece }) => ({
      title: rich`${pieceName(piece)} must not be in a winch rig`,
      detail: rich`Use a static strap or an extension.`,
      fixes: [chooseAnother(use)],
    })),
};

/** Stretch ropes anywhere but in the rope of a tow or in a back-anchor, which have rules of their own. */
function inWinchRig(assessment: Assessment) {
  const towed = new Set(towRopes(assessment).map(({ use }) => use.id));
  return usesOfClass(assessment, 'stretch-rope').filter(({ use }) => !towed.has(use.id) && !isBackAnchor(assessment, use));
}
