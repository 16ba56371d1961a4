import { rich } from '../../../quantity/format.ts';
import { type Answer, notFound, openPiece, pieceName, type Rule, useSubject, usesOfClass } from '../../rule.ts';

export const pointUnknown: Rule = {
  code: 'point-unknown',
  severity: 'fix',
  softenable: false,
  why: 'A bracket under a vehicle may be a tie-down that tears out at walking pace.',
  needs: 'what each vehicle point is',
  asks: 'What is this point?',
  check: (assessment) =>
    usesOfClass(assessment, 'recovery-point').map(({ use, piece }): Answer => {
      if (piece.attributes.pointKind !== undefined) return notFound(useSubject(use));
      return {
        kind: 'undecided',
        subject: useSubject(use),
        question: rich`What is ${pieceName(piece)}: a rated recovery point, a factory hook, a tie-down?`,
        fixes: [openPiece(piece, 'Enter what it is')],
      };
    }),
};
