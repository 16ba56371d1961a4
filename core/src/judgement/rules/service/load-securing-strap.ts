import { rich } from '../../../quantity/format.ts';
import { answerUses, chooseAnother, pieceName, type Rule, usesOfClass } from '../../rule.ts';

export const loadSecuringStrap: Rule = {
  code: 'load-securing-strap',
  severity: 'stop',
  softenable: false,
  why: 'Ratchet straps hold loads down; they are neither made nor marked for pulling.',
  needs: 'class of every piece',
  check: (assessment) =>
    answerUses(usesOfClass(assessment, 'load-securing-strap'), ({ use, piece }) => ({
      title: rich`${pieceName(piece)} is a load-securing strap`,
      detail: rich`It is refused in any rig.`,
      fixes: [chooseAnother(use)],
    })),
};
