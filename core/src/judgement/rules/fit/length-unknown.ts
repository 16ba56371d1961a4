import { rich } from '../../../quantity/format.ts';
import { answerUses, chosenUses, openPiece, pieceName, type Rule } from '../../rule.ts';

export const lengthUnknown: Rule = {
  code: 'length-unknown',
  severity: 'note',
  softenable: true,
  why: 'A piece of unknown length is drawn as if it had none; the rope out shifts by as much.',
  needs: 'length of every piece in a chain',
  check: (assessment) =>
    answerUses(chosenUses(assessment), ({ use, piece }) =>
      assessment.network.unknownLengths.some(({ id }) => id === use.id)
        ? {
            title: rich`${pieceName(piece)}: length not on record`,
            detail: rich`Counted as nothing in the layout.`,
            fixes: [openPiece(piece, 'Enter its length')],
          }
        : undefined,
    ),
};
