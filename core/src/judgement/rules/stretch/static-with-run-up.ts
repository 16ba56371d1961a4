import { rich } from '../../../quantity/format.ts';
import { answerUses, chooseAnother, pieceName, type Rule } from '../../rule.ts';
import { towRopes } from './tow-ropes.ts';

export const staticWithRunUp: Rule = {
  code: 'static-with-run-up',
  severity: 'stop',
  softenable: false,
  why: 'A strap that does not stretch turns a run-up into a blow.',
  needs: 'class of every rope of a tow with run-up',
  check: (assessment) =>
    answerUses(
      towRopes(assessment).filter(({ runUp }) => runUp),
      ({ use, piece }) =>
        piece.kind === 'stretch-rope'
          ? undefined
          : {
              title: rich`${pieceName(piece)} does not stretch: no run-up`,
              detail: rich`Tow steadily from a tight strap, or take a stretch rope.`,
              fixes: [chooseAnother(use, 'Choose a stretch rope')],
            },
    ),
};
