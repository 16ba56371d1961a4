import { refusedPoint } from '../../../gear/vehicle-points.ts';
import { rich } from '../../../quantity/format.ts';
import { answerUses, chooseAnother, pieceName, type Rule, usesOfClass } from '../../rule.ts';

export const forbiddenPoint: Rule = {
  code: 'forbidden-point',
  severity: 'stop',
  softenable: false,
  why: 'Only points made and rated for recovery, tied to the frame, hold a stuck vehicle.',
  needs: 'what each vehicle point is',
  check: (assessment) =>
    answerUses(usesOfClass(assessment, 'recovery-point'), ({ use, piece }) => {
      const reason = refusedPoint(piece);
      return reason === undefined
        ? undefined
        : {
            title: rich`${pieceName(piece)} must not be pulled on`,
            detail: rich`Refused: ${reason}.`,
            fixes: [chooseAnother(use, 'Choose another point')],
          };
    }),
};
