import { rich } from '../../../quantity/format.ts';
import { answerUses, chooseAnother, pieceName, type Rule, usesOfClass } from '../../rule.ts';

export const openHook: Rule = {
  code: 'open-hook',
  severity: 'fix',
  softenable: true,
  why: 'An open hook lets go as soon as the line goes slack.',
  needs: 'latch of every hook',
  check: (assessment) =>
    answerUses(usesOfClass(assessment, 'winch-hook'), ({ use, piece }) =>
      piece.attributes.latch === 'none'
        ? {
            title: rich`${pieceName(piece)} has no latch`,
            detail: rich`Use a closed link with a shackle, or a hook whose latch a pin locks.`,
            fixes: [chooseAnother(use)],
          }
        : undefined,
    ),
};
