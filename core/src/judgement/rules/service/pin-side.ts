import { rich } from '../../../quantity/format.ts';
import { type Answer, pieceName, type Rule, ticked, useSubject, usesOfClass } from '../../rule.ts';

export const pinSide: Rule = {
  code: 'pin-side',
  severity: 'fix',
  softenable: true,
  why: 'Rope or strap running over a screw pin turns it out.',
  needs: 'a look at each shackle',
  asks: 'Is the pin on the side that stands still?',
  check: (assessment) =>
    usesOfClass(assessment, 'steel-shackle').map(
      ({ use, piece }): Answer =>
        ticked(assessment, {
          code: 'pin-side',
          subject: useSubject(use),
          question: rich`Is the pin of ${pieceName(piece)} fully seated and on the side that does not move?`,
          ifNo: {
            title: rich`${pieceName(piece)}: pin on the running side or not seated`,
            detail: rich`Turn the shackle round and seat the pin by hand.`,
          },
        }),
    ),
};
