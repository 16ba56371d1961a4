import { rich } from '../../../quantity/format.ts';
import { answerUses, chooseAnother, pieceName, type Rule } from '../../rule.ts';
import { towRopes } from './tow-ropes.ts';

export const winchLineAsTow: Rule = {
  code: 'winch-line-as-tow',
  severity: 'stop',
  softenable: false,
  why: 'A winch line has no give: driving with it hooked breaks it or the drum.',
  needs: 'class of every rope of a tow',
  check: (assessment) =>
    answerUses(towRopes(assessment), ({ use, piece }) =>
      piece.kind === 'winch-line-synthetic' || piece.kind === 'winch-line-steel'
        ? {
            title: rich`${pieceName(piece)} must not be towed with`,
            detail: rich`Use a strap for a steady tow, or pull with the winch and the vehicle standing.`,
            fixes: [chooseAnother(use, 'Choose a tow strap')],
          }
        : undefined,
    ),
};
