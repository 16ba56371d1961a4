import { rich, smallLength } from '../../quantity/format.ts';
import { exceeds } from '../../quantity/tolerance.ts';
import { type Answer, chooseAnother, neighbours, notFound, openPiece, pieceName, type Rule, useSubject, usesOfClass } from '../rule.ts';

export const pinDoesNotFit: Rule = {
  code: 'pin-does-not-fit',
  severity: 'stop',
  softenable: false,
  why: 'A pin that does not go through its hole gets replaced by something weaker.',
  needs: 'pin diameter, bore of the point',
  asks: 'Does the pin go through the hole?',
  check: (assessment) =>
    usesOfClass(assessment, 'steel-shackle').map(({ use, piece }): Answer => {
      const { inner } = neighbours(assessment, use);
      const subject = useSubject(use);
      if (inner?.piece.kind !== 'recovery-point' && inner?.piece.kind !== 'receiver-mount') return notFound(subject);
      const pin = piece.attributes.pinDiameterM;
      const bore = inner.piece.attributes.boreDiameterM;
      if (pin === undefined || bore === undefined)
        return {
          kind: 'undecided',
          subject,
          question: rich`Does the pin of ${pieceName(piece)} go through ${pieceName(inner.piece)}? One of the two sizes is not on record.`,
          fixes: [openPiece(pin === undefined ? piece : inner.piece, 'Enter the size')],
        };
      if (!exceeds(pin, bore)) return notFound(subject);
      return {
        kind: 'found',
        subject,
        title: rich`${pieceName(piece)} does not fit ${pieceName(inner.piece)}`,
        detail: rich`Pin ${smallLength(pin)}, hole ${smallLength(bore)}.`,
        fixes: [chooseAnother(use)],
      };
    }),
};
