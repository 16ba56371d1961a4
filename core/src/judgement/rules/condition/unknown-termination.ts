import { isRope } from '../../../moment/drum-state.ts';
import { rich } from '../../../quantity/format.ts';
import { type Answer, chosenUses, notFound, openPiece, pieceName, type Rule, useSubject } from '../../rule.ts';

export const unknownTermination: Rule = {
  code: 'unknown-termination',
  severity: 'caution',
  softenable: true,
  why: 'How an end is made decides how much of the rope’s strength reaches it.',
  needs: 'how the end of each rope is made',
  asks: 'How is the end made up?',
  check: (assessment) =>
    chosenUses(assessment)
      .filter(({ piece }) => isRope(piece))
      .map(({ use, piece }): Answer => {
        const end = isRope(piece) ? piece.attributes.endTermination : undefined;
        if (end !== undefined && end !== 'unknown') return notFound(useSubject(use));
        return {
          kind: 'undecided',
          subject: useSubject(use),
          question: rich`How is the end of ${pieceName(piece)} made? Until somebody looks, 80 % of its strength counts there.`,
          fixes: [openPiece(piece, 'Enter its end')],
        };
      }),
};
