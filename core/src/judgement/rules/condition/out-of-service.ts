import { rich } from '../../../quantity/format.ts';
import { answerUses, chooseAnother, chosenUses, pieceName, type Rule } from '../../rule.ts';

export const outOfService: Rule = {
  code: 'out-of-service',
  severity: 'stop',
  softenable: false,
  why: 'A piece in quarantine failed somebody’s look at it; a retired one is finished.',
  needs: 'state of every piece',
  check: (assessment) =>
    answerUses(chosenUses(assessment), ({ use, piece }) =>
      piece.state === 'in-use'
        ? undefined
        : {
            title: rich`${pieceName(piece)} is ${piece.state}`,
            detail: rich`It must not be used until an inspection returns it.`,
            fixes: [chooseAnother(use)],
          },
    ),
};
