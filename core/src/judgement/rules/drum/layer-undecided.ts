import { rich } from '../../../quantity/format.ts';
import { type Answer, notFound, openPiece, type Rule, winchDrives } from '../../rule.ts';

export const layerUndecided: Rule = {
  code: 'layer-undecided',
  severity: 'caution',
  softenable: false,
  why: 'Wraps left and the pull on the working layer follow from the sizes of drum and rope.',
  needs: 'drum core, drum width, rope diameter, rope length',
  asks: 'How many wraps stay on the drum, and on which layer does it work?',
  check: (assessment) =>
    winchDrives(assessment).map(({ subject, drum, winch }): Answer => {
      if (drum.kind !== 'sizes-unknown' || !winch) return notFound(subject);
      return {
        kind: 'undecided',
        subject,
        question: rich`How many wraps stay on the drum, and on which layer does it work? Not on record: ${drum.missing.join(', ')}.`,
        fixes: [openPiece(winch, 'Enter the sizes')],
      };
    }),
};
