import { isLastResortPoint } from '../../../gear/vehicle-points.ts';
import { rich } from '../../../quantity/format.ts';
import { answerUses, chooseAnother, pieceName, type Rule, usesOfClass } from '../../rule.ts';

export const lastResortPoint: Rule = {
  code: 'last-resort-point',
  severity: 'fix',
  softenable: true,
  why: 'It was not made for recovery: a steady short pull only, and only when nothing better can be reached.',
  needs: 'what each vehicle point is',
  check: (assessment) =>
    answerUses(usesOfClass(assessment, 'recovery-point'), ({ use, piece }) =>
      isLastResortPoint(piece)
        ? {
            title: rich`${pieceName(piece)} is a last resort`,
            detail: rich`Use a recovery point if any can be reached; else tell the owner of the risk.`,
            fixes: [chooseAnother(use, 'Choose another point')],
          }
        : undefined,
    ),
};
