import { rich } from '../../quantity/format.ts';
import { gearOf } from '../../rig/rig-network.ts';
import { driveLine } from '../assessment.ts';
import { notFound, openPiece, type Rule, rigSubject } from '../rule.ts';

export const layerUndecided: Rule = {
  code: 'layer-undecided',
  severity: 'caution',
  softenable: false,
  why: 'Wraps left and the pull on the working layer follow from the sizes of drum and rope.',
  needs: 'drum core, drum width, rope diameter, rope length',
  asks: 'How many wraps stay on the drum, and on which layer does it work?',
  check: ({ drum, rig, gear }) => {
    const winch = gearOf(driveLine(rig).drive.use, gear);
    if (drum.kind !== 'sizes-unknown' || !winch) return [notFound(rigSubject)];
    return [
      {
        kind: 'undecided',
        subject: rigSubject,
        question: rich`How many wraps stay on the drum, and on which layer does it work? Not on record: ${drum.missing.join(', ')}.`,
        fixes: [openPiece(winch, 'Enter the sizes')],
      },
    ];
  },
};
