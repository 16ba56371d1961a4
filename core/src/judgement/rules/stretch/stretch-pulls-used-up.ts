import { rich } from '../../../quantity/format.ts';
import { type Answer, chooseAnother, notFound, openPiece, pieceName, type Rule, useSubject, usesOfClass } from '../../rule.ts';

export const stretchPullsUsedUp: Rule = {
  code: 'stretch-pulls-used-up',
  severity: 'stop',
  softenable: false,
  why: 'A stretch rope lasts a limited number of pulls.',
  needs: 'pulls allowed and used',
  asks: 'How many pulls has this stretch rope done, and how many may it do?',
  check: (assessment) =>
    usesOfClass(assessment, 'stretch-rope').map(({ use, piece }): Answer => {
      const subject = useSubject(use);
      const used = piece.attributes.pullsUsed;
      const allowed = piece.attributes.pullsAllowed ?? assessment.policy.stretch.pullsAllowed.value;
      if (used === undefined)
        return {
          kind: 'undecided',
          subject,
          question: rich`How many pulls has ${pieceName(piece)} done?`,
          fixes: [openPiece(piece, 'Enter the pulls')],
        };
      if (used < allowed) return notFound(subject);
      return {
        kind: 'found',
        subject,
        title: rich`${pieceName(piece)} has done its pulls`,
        detail: rich`${String(used)} of ${String(allowed)}. Take it out of use.`,
        fixes: [chooseAnother(use)],
      };
    }),
};
