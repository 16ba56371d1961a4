import { rich } from '../../../quantity/format.ts';
import { type Answer, notFound, openPiece, pieceName, type Rule, useSubject, usesOfClass } from '../../rule.ts';

export const drumSpool: Rule = {
  code: 'drum-spool',
  severity: 'fix',
  softenable: true,
  why: 'Turns spooled slack dive between the lower ones under load; a stack to one side jams and breaks the frame.',
  needs: 'how the line was last spooled',
  asks: 'Was the line last spooled under tension?',
  check: (assessment) =>
    usesOfClass(assessment, 'winch').map(({ use, piece }): Answer => {
      const state = piece.attributes.spoolState;
      if (state === 'under-tension') return notFound(useSubject(use));
      if (state === undefined)
        return {
          kind: 'undecided',
          subject: useSubject(use),
          question: rich`Was the line on ${pieceName(piece)} last spooled under tension?`,
          fixes: [openPiece(piece, 'Enter the spool state')],
        };
      return {
        kind: 'found',
        subject: useSubject(use),
        title: rich`The line on ${pieceName(piece)} is spooled ${state === 'slack' ? 'slack' : 'to one side'}`,
        detail: rich`Pull it out and re-spool it under tension before a heavy pull.`,
      };
    }),
};
