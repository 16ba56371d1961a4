import { roleWords } from '../../../gear/role-classes.ts';
import { rich } from '../../../quantity/format.ts';
import { isJudgedPoint } from '../../../rig/judged-point.ts';
import { usesOf } from '../../../rig/references.ts';
import { type Answer, chooseAnother, notFound, type Rule, useSubject } from '../../rule.ts';

export const pieceMissing: Rule = {
  code: 'piece-missing',
  severity: 'stop',
  softenable: false,
  why: 'A rig can only be checked when every place has its piece.',
  needs: 'the piece chosen for every place, or who judged a vehicle’s own point',
  check: ({ rig }) =>
    usesOf(rig).map(({ use }): Answer => {
      if (use.gearId !== undefined || isJudgedPoint(use)) return notFound(useSubject(use));
      return {
        kind: 'found',
        subject: useSubject(use),
        title: rich`No ${roleWords[use.role]} chosen`,
        detail: rich`Choose the piece that goes here.`,
        fixes: [chooseAnother(use, `Choose the ${roleWords[use.role]}`)],
      };
    }),
};
