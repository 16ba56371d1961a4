import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, found, pieceName, usesOfClass } from '../../ask/speak.ts';

export const loadSecuringStrap = rigRule({
  code: 'load-securing-strap',
  severity: 'stop',
  softenable: false,
  why: 'Ratchet straps hold loads down; they are neither made nor marked for pulling.',
  needs: ['use.piece', 'gear.class'],
  subjects: (rig) => usesOfClass(rig, 'load-securing-strap'),
  about: aboutUse,
  answer: (_, use) => found({ name: pieceName(use.piece) }, chooseAnother(use)),
  title: ({ name }) => rich`${name} is a load-securing strap`,
  detail: () => rich`It is refused in any rig.`,
});
