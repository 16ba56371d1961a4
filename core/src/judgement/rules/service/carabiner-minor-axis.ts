import { rich } from '../../../quantity/format.ts';
import { answerUses, chooseAnother, pieceName, type Rule, usesOfClass } from '../../rule.ts';

export const carabinerMinorAxis: Rule = {
  code: 'carabiner-minor-axis',
  severity: 'stop',
  softenable: false,
  why: 'Across its gate a carabiner has a fraction of its strength.',
  needs: 'axis on which a carabiner is loaded',
  check: (assessment) =>
    answerUses(usesOfClass(assessment, 'carabiner'), ({ use, piece }) =>
      use.axis === 'minor'
        ? {
            title: rich`${pieceName(piece)} is loaded across its gate`,
            detail: rich`Turn it so that the load runs along its spine.`,
            fixes: [chooseAnother(use)],
          }
        : undefined,
    ),
};
