import { roleWords } from '../../../gear/classes/roles.ts';
import { rich } from '../../../quantity/format.ts';
import { isJudgedPoint } from '../../../rig/judged-point.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, found } from '../../ask/speak.ts';

export const pieceMissing = rigRule({
  code: 'piece-missing',
  severity: 'stop',
  softenable: false,
  why: 'A rig can only be checked when every place has its piece.',
  needs: ['use.piece', 'use.judged'],
  subjects: ({ uses }) => uses,
  about: aboutUse,
  answer: (_, use) => {
    if (use.use.gearId !== undefined || isJudgedPoint(use.use)) return undefined;
    const role = roleWords[use.use.role];
    return found({ role }, chooseAnother(use, `Choose the ${role}`));
  },
  title: ({ role }) => rich`No ${role} chosen`,
  detail: () => rich`Choose the piece that goes here.`,
});
