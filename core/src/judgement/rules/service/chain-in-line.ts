import { rich } from '../../../quantity/format.ts';
import { answerUses, chooseAnother, isBackAnchor, pieceName, type Rule, usesOfClass } from '../../rule.ts';

export const chainInLine: Rule = {
  code: 'chain-in-line',
  severity: 'stop',
  softenable: false,
  why: 'Chain gives no warning and flies far; it serves as a back-anchor only.',
  needs: 'class of every piece',
  check: (assessment) =>
    answerUses(
      usesOfClass(assessment, 'chain').filter(({ use }) => !isBackAnchor(assessment, use)),
      ({ use, piece }) => ({
        title: rich`${pieceName(piece)}: chain in a tensioned line`,
        detail: rich`Use a strap or an extension here.`,
        fixes: [chooseAnother(use)],
      }),
    ),
};
