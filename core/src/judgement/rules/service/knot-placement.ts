import { rich } from '../../../quantity/format.ts';
import { type Answer, pieceName, type Rule, ticked, useSubject, usesOfClass } from '../../rule.ts';

export const knotPlacement: Rule = {
  code: 'knot-placement',
  severity: 'fix',
  softenable: true,
  why: 'A knot on the running side or underneath rubs, and a noose not seated can open.',
  needs: 'a look at each soft shackle',
  asks: 'Is the noose seated, and the knot clear of running rope?',
  check: (assessment) =>
    usesOfClass(assessment, 'soft-shackle').map(
      ({ use, piece }): Answer =>
        ticked(assessment, {
          code: 'knot-placement',
          subject: useSubject(use),
          question: rich`Is the noose of ${pieceName(piece)} seated behind its knot, and the knot clear of running rope?`,
          ifNo: { title: rich`${pieceName(piece)}: knot or noose badly placed`, detail: rich`Seat the noose and turn the knot away.` },
        }),
    ),
};
