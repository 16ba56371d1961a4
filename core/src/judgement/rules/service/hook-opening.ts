import { rich } from '../../../quantity/format.ts';
import { type Answer, notFound, pieceName, type Rule, ticked, useSubject, usesOfClass } from '../../rule.ts';

export const hookOpening: Rule = {
  code: 'hook-opening',
  severity: 'fix',
  softenable: true,
  why: 'A hook that straightens throws itself towards its back: with the opening up, into the ground.',
  needs: 'latch of the hook, a look at it',
  asks: 'Does the hook’s opening face up?',
  check: (assessment) =>
    usesOfClass(assessment, 'winch-hook').map(({ use, piece }): Answer => {
      if (piece.attributes.latch === 'pin-locked') return notFound(useSubject(use));
      return ticked(assessment, {
        code: 'hook-opening',
        subject: useSubject(use),
        question: rich`Does the opening of ${pieceName(piece)} face up?`,
        ifNo: { title: rich`The opening of ${pieceName(piece)} faces down`, detail: rich`Turn it up before tensioning.` },
      });
    }),
};
