import { rich } from '../../../quantity/format.ts';
import { answerUses, chooseAnother, pieceName, type Rule, usesOfClass } from '../../rule.ts';

export const stretchNotAllowed: Rule = {
  code: 'stretch-not-allowed',
  severity: 'stop',
  softenable: false,
  why: 'This team has decided not to use stretch ropes.',
  needs: 'the team’s policy, class of every piece',
  check: (assessment) =>
    answerUses(usesOfClass(assessment, 'stretch-rope'), ({ use, piece }) =>
      assessment.policy.stretch.allowed
        ? undefined
        : {
            title: rich`${pieceName(piece)}: stretch ropes are not used here`,
            detail: rich`Winch it out, or change the team’s policy first.`,
            fixes: [chooseAnother(use)],
          },
    ),
};
