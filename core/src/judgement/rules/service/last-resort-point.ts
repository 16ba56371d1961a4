import { isLastResortPoint } from '../../../gear/vehicle-points.ts';
import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, found, pieceName, usesOfClass } from '../../ask/speak.ts';

export const lastResortPoint = rigRule({
  code: 'last-resort-point',
  severity: 'fix',
  softenable: true,
  why: 'It was not made for recovery: a steady short pull only, and only when nothing better can be reached.',
  needs: ['use.piece', 'gear.pointKind'],
  subjects: (rig) => usesOfClass(rig, 'recovery-point'),
  about: aboutUse,
  answer: (_, use) =>
    isLastResortPoint(use.piece) ? found({ name: pieceName(use.piece) }, chooseAnother(use, 'Choose another point')) : undefined,
  title: ({ name }) => rich`${name} is a last resort`,
  detail: () => rich`Use a recovery point if any can be reached; else tell the owner of the risk.`,
});
