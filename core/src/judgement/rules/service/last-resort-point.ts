import { rich } from '../../../quantity/format.ts';
import { isLastResort } from '../../../resolved/vehicle-point.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, found } from '../../ask/speak.ts';
import { pointName, pointUses } from '../../ask/vehicle-points.ts';

export const lastResortPoint = rigRule({
  code: 'last-resort-point',
  severity: 'fix',
  softenable: true,
  why: 'It was not made for recovery: a steady short pull only, and only when nothing better can be reached.',
  needs: ['use.piece', 'use.named', 'gear.pointKind', 'policy'],
  subjects: pointUses,
  about: aboutUse,
  answer: ({ policy }, use) =>
    isLastResort(use, policy)
      ? found({ name: pointName(use), agreedBy: use.use.named?.agreedBy }, chooseAnother(use, 'Choose another point'))
      : undefined,
  title: ({ name }) => rich`${name} is a last resort`,
  detail: ({ agreedBy }) =>
    agreedBy === undefined
      ? rich`Use a recovery point if any can be reached; else tell the owner of the risk, and write down who agreed.`
      : rich`${agreedBy} knows the risk and agreed. A steady short pull only; use a recovery point if any can be reached.`,
});
