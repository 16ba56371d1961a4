import { rich, smallLength } from '../../../quantity/format.ts';
import { exceeds } from '../../../quantity/tolerance.ts';
import { type Answer, chooseAnother, notFound, openPiece, pieceName, type Rule, useSubject } from '../../rule.ts';
import { ropesOnPulleys } from './line-pulley.ts';

export const narrowGroove: Rule = {
  code: 'narrow-groove',
  severity: 'stop',
  softenable: false,
  why: 'A rope wider than the groove rides on its edges and is pinched or jumps out.',
  needs: 'groove width, rope diameter',
  asks: 'Does the rope fit the groove?',
  check: (assessment) =>
    ropesOnPulleys(assessment).map(({ use, pulley, ropeDiameterM, ropeTag }): Answer => {
      const subject = useSubject(use);
      if (pulley.kind === 'carabiner') return notFound(subject);
      const groove = pulley.attributes.grooveWidthM;
      if (groove === undefined || ropeDiameterM === undefined)
        return {
          kind: 'undecided',
          subject,
          question: rich`Does ${ropeTag} fit the groove of ${pieceName(pulley)}? One of the two widths is not on record.`,
          fixes: [openPiece(pulley, 'Enter the groove width')],
        };
      if (!exceeds(ropeDiameterM, groove)) return notFound(subject);
      return {
        kind: 'found',
        subject,
        title: rich`${ropeTag} is too thick for ${pieceName(pulley)}`,
        detail: rich`Rope ${smallLength(ropeDiameterM)}, groove ${smallLength(groove)}.`,
        fixes: [chooseAnother(use)],
      };
    }),
};
