import { refusedPoint } from '../../../gear/vehicle-points.ts';
import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, found, pieceName, usesOfClass } from '../../ask/speak.ts';

export const forbiddenPoint = rigRule({
  code: 'forbidden-point',
  severity: 'stop',
  softenable: false,
  why: 'Only points made and rated for recovery, tied to the frame, hold a stuck vehicle.',
  needs: ['use.piece', 'gear.pointKind'],
  subjects: (rig) => usesOfClass(rig, 'recovery-point'),
  about: aboutUse,
  answer: (_, use) => {
    const reason = refusedPoint(use.piece);
    return reason === undefined ? undefined : found({ name: pieceName(use.piece), reason }, chooseAnother(use, 'Choose another point'));
  },
  title: ({ name }) => rich`${name} must not be pulled on`,
  detail: ({ reason }) => rich`Refused: ${reason}.`,
});
